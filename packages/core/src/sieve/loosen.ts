import type { Item } from '../items'
import { inOrder, type Order } from './order'
import { ruleKinds, type Rule, type RuleKind } from './rules'
import { sift } from './sift'

/** A rule without which more would be left. */
export interface Loosening {
  rule: Rule
  label: string
  /** Items that would come back. */
  more: number
}

/** Rules that set in order, or say how many: leaving them off brings nothing back that anyone misses. */
const NEVER: ReadonlySet<RuleKind> = new Set(['unique', 'pinned', 'cap'])

/** Which single rule to loosen, worked out by trying each: the one that brings back the most first. */
export function whatToLoosen(items: readonly Item[], rules: readonly Rule[], order: Order, now: Date): Loosening[] {
  const sorted = inOrder(items, order, now)
  const left = (chain: readonly Rule[]) => sift(sorted, chain, 'as-given', now).items.length
  const asItIs = left(rules)
  return rules
    .flatMap((rule, at) => {
      if (NEVER.has(rule.kind)) return []
      const more = left(rules.filter((_, other) => other !== at)) - asItIs
      const label = (ruleKinds[rule.kind].label as (rule: Rule) => string)(rule)
      return more > 0 ? [{ rule, label, more }] : []
    })
    .sort((a, b) => b.more - a.more)
}
