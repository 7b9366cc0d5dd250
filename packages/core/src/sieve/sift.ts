import type { Item } from '../items'
import { inOrder, type Order } from './order'
import { ruleKinds, type Rule, type RuleDefinition } from './rules'

/** One rule's share: how many came in, how many went on, and which ones it took out. */
export interface SieveStep {
  rule: Rule
  label: string
  before: number
  after: number
  taken: Item[]
}

export interface Sieved {
  all: number
  steps: SieveStep[]
  items: Item[]
}

/**
 * Puts the items in order and passes them through the rules, one after the other. The order of the rules is the
 * order of the sieve: a cap before `include` narrows the newest, a cap after it takes the newest of the narrowed.
 */
export function sift(items: readonly Item[], rules: readonly Rule[], order: Order, now: Date): Sieved {
  let left = inOrder(items, order, now)
  const steps = rules.map((rule) => {
    const test = testOf(rule, now)
    left = definitionOf(rule).arrange?.(rule, left) ?? left
    const kept: Item[] = []
    const taken: Item[] = []
    left.forEach((item, index) => (test(item, index) ? kept : taken).push(item))
    const step = { rule, label: labelOf(rule), before: left.length, after: kept.length, taken }
    left = kept
    return step
  })
  return { all: items.length, steps, items: left }
}

// Each rule is looked up by its own kind, so the definition always fits it; the compiler cannot follow that.
const definitionOf = (rule: Rule) => ruleKinds[rule.kind] as RuleDefinition<Rule>
const labelOf = (rule: Rule) => definitionOf(rule).label(rule)
const testOf = (rule: Rule, now: Date) => definitionOf(rule).test(rule, now)
