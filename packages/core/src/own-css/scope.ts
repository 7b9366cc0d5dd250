import {
  generate,
  ident,
  lexer,
  List,
  parse,
  walk,
  type Atrule,
  type CssNode,
  type Declaration,
  type Rule,
  type Selector,
  type StyleSheet,
} from 'css-tree'
import {
  atRuleReasons,
  atRules,
  deniedProperties,
  functions,
  outerElements,
  outward,
  standingProperties,
} from './allowed'

import { readablePart } from './readable'

/** Something to say of a sheet, at its place. */
export interface CssNote {
  /** From 1. */
  line: number
  column: number
  /** `mistake`: it cannot be read; `taken-out`: it may not stand; `unknown`: it stands, and browsers may not know it. */
  kind: 'mistake' | 'taken-out' | 'unknown'
  /** The piece, shortened. */
  text: string
  says: string
}

export interface ScopedCss {
  css: string
  notes: CssNote[]
}

export interface ScopeWish {
  /** Names that `::part(…)` may have. */
  parts: readonly string[]
  /** It stands over the page: then it may not decide where, nor how large it is. */
  overPage: boolean
}

const MOST_NOTES = 60

/** In `:not()` it weighs as much as an id, and matches every element: own CSS comes before the widget's. */
const HEAVY = '#\\_'

/**
 * Own CSS of a widget, parsed and written anew: every selector within the widget (`:host`), `::part(name)` as its element, and
 * nothing that loads, covers or leaves it. What was taken out is told. Never throws; whatever is given, what comes back can stand in
 * a style element.
 */
export function scopeCss(source: string, wish: ScopeWish): ScopedCss {
  const notes: CssNote[] = []
  const lines = source.split('\n')
  const note: Noting = (node, kind, says, text) => {
    const { line, column } = placeOf(node)
    if (notes.length < MOST_NOTES) notes.push({ line, column, kind, text: shortened(text ?? textAt(node)), says })
  }
  const textAt = (node: CssNode | Place): string => {
    if ('loc' in node && node.loc) return source.slice(node.loc.start.offset, node.loc.end.offset)
    return 'line' in node ? (lines[node.line - 1] ?? '').slice(node.column - 1) : ''
  }
  const { text, says } = readablePart(source)
  const sheet = parse(text, {
    positions: true,
    parseCustomProperty: true,
    onParseError: ({ line, column, message }) =>
      note({ line, column }, 'mistake', `cannot be read here: ${message.toLowerCase()}`),
  }) as StyleSheet
  if (says) note({ line: 1, column: 1 }, 'taken-out', says, '')
  clean(sheet.children, 0, { wish, note })
  // Neither a string nor anything else may end the element it stands in.
  const css = generate(sheet).replaceAll('</', '<\\/')
  return { css, notes: notes.sort((a, b) => a.line - b.line || a.column - b.column) }
}

interface Place {
  line: number
  column: number
}
const placeOf = (node: CssNode | Place): Place => ('type' in node ? (node.loc?.start ?? { line: 1, column: 1 }) : node)
type Noting = (node: CssNode | Place, kind: CssNote['kind'], says: string, text?: string) => void
interface Work {
  wish: ScopeWish
  note: Noting
}

const shortened = (text: string) => {
  const flat = text.replace(/\s+/g, ' ').trim()
  return flat.length > 60 ? `${flat.slice(0, 59)}…` : flat
}

/** Names as the browser reads them: escapes undone, in small letters. */
const nameOf = (name: string) => ident.decode(name).toLowerCase()

/** How deep rules stand in rules at most: a browser reads no deeper either, for what people write. */
const MOST_DEPTH = 12

/** @param depth 0 where selectors are the sheet's own, more within another rule */
function clean(children: List<CssNode>, depth: number, work: Work): void {
  children.forEach((node, item, list) => {
    const stays = depth <= MOST_DEPTH && cleaners[node.type]?.(node as never, depth, work)
    if (depth > MOST_DEPTH) work.note(node, 'taken-out', 'it stands too deep in other rules')
    if (!stays) list.remove(item)
  })
}

/** Whether a node may stay; what has no cleaner goes: comments, and what could not be read. */
const cleaners: Partial<Record<CssNode['type'], (node: never, depth: number, work: Work) => boolean>> = {
  Rule: cleanRule,
  Atrule: cleanAtrule,
  Declaration: cleanDeclaration,
}

function cleanRule(rule: Rule, depth: number, work: Work): boolean {
  if (rule.prelude.type !== 'SelectorList') return false // a mistake that has been told
  rule.prelude.children.forEach((selector, item, list) => {
    if (!cleanSelector(selector as Selector, depth > 0 && !isOutermost(depth), work)) list.remove(item)
  })
  if (rule.prelude.children.isEmpty) return false
  clean(rule.block.children, nested(depth), work)
  return true
}

// Depths: 0 and halves are places for rules of the sheet's own (`@media` at the top is 0.5), whole numbers from 1 on are within a rule.
const isOutermost = (depth: number) => depth % 1 !== 0
const nested = (depth: number) => Math.floor(depth) + 1

function cleanAtrule(rule: Atrule, depth: number, work: Work): boolean {
  const name = nameOf(rule.name)
  if (!atRules.has(name) || !rule.block) {
    const reason = atRuleReasons[name] ?? 'it is none that a widget may have'
    work.note(rule, 'taken-out', reason, `@${rule.name}`)
    return false
  }
  const fault = rule.prelude && conditionFault(rule.prelude)
  if (fault) {
    work.note(rule, 'taken-out', fault, `@${rule.name}`)
    return false
  }
  if (name.endsWith('keyframes')) {
    rule.block.children.forEach((step, item, list) => {
      if (step.type !== 'Rule') return list.remove(item)
      clean(step.block.children, nested(depth), work)
    })
    return true
  }
  clean(rule.block.children, depth === 0 || isOutermost(depth) ? 0.5 : depth, work)
  return true
}

/** A condition as css-tree does not know it stands as it is, as long as it is made of words, numbers and brackets that close. */
const CONDITION = /^[\w\s():<>=.,%+*/-]*$/

function conditionFault(prelude: CssNode): string | null {
  let fault = valueFault(prelude)
  walk(prelude, (node) => {
    if (node.type !== 'Raw') return
    const depth = [...node.value].reduce(
      (open, letter) => (open < 0 ? open : open + (letter === '(' ? 1 : letter === ')' ? -1 : 0)),
      0,
    )
    if (!CONDITION.test(node.value) || depth !== 0 || /url|\/\*/i.test(node.value))
      fault = 'its condition cannot be read'
    else fault = null
  })
  return fault
}

/** @param within stands in another rule, whose elements are the widget's already */
function cleanSelector(selector: Selector, within: boolean, { wish, note }: Work): boolean {
  const [fault] = selectorFaults(selector, wish, within)
  if (fault) {
    note(selector, 'taken-out', fault)
    return false
  }
  walk(selector, (node, item, list) => {
    if (isPart(node) && item && list) list.replace(item, list.createItem(partAttribute(partName(node)!)))
  })
  if (!within) scopeToWidget(selector)
  return true
}

function selectorFaults(selector: Selector, { parts }: ScopeWish, within: boolean): string[] {
  const faults: string[] = []
  walk(selector, (node) => {
    if (node.type === 'Raw') faults.push('its selector cannot be read')
    if (isPart(node)) {
      const part = partName(node)!
      if (!parts.includes(part)) faults.push(`has no part “${part}”; its parts are ${parts.join(', ')}`)
      return walk.skip
    }
    if (node.type === 'NestingSelector' && !within) faults.push('“&” stands in no other rule')
    if (node.type === 'TypeSelector' && outerElements.has(nameOf(node.name.replace(/^.*\|/, ''))))
      faults.push('it is no element of the widget')
    if (node.type === 'PseudoClassSelector' || node.type === 'PseudoElementSelector') {
      const colons = node.type === 'PseudoClassSelector' ? ':' : '::'
      const name = nameOf(node.name)
      if (outward.has(colons + name) || name.startsWith('view-transition')) faults.push('it reaches out of the widget')
      if (name === 'part') faults.push('a part is named as ::part(title)')
    }
    return undefined
  })
  return faults
}

const isPart = (node: CssNode) =>
  node.type === 'PseudoElementSelector' && nameOf(node.name) === 'part' && partName(node) !== null

/** The one name in `::part(name)`; null for none or several. */
function partName(node: CssNode): string | null {
  if (node.type !== 'PseudoElementSelector' || !node.children) return null
  const written = node.children
    .toArray()
    .map((child) => generate(child))
    .join('')
    .trim()
  return /^[a-z][a-z-]*$/.test(written) ? written : null
}

const partAttribute = (name: string): CssNode => ({
  type: 'AttributeSelector',
  name: { type: 'Identifier', name: 'part' },
  matcher: '~=',
  value: { type: 'String', value: name },
  flags: null,
})

const within = (): CssNode[] => [
  { type: 'PseudoClassSelector', name: 'host', children: null },
  { type: 'Combinator', name: ' ' },
]
const heavy = (): CssNode => ({
  type: 'PseudoClassSelector',
  name: 'not',
  children: new List<CssNode>().fromArray([{ type: 'Raw', value: HEAVY }]),
})

/** Its first element is one within the widget, and its rules come before the widget's own. */
function scopeToWidget(selector: Selector): void {
  const nodes = selector.children.toArray()
  if (nodes[0]?.type === 'Combinator') nodes.shift()
  // An element's name stands first in its compound.
  const name = nodes[0]?.type === 'TypeSelector' ? [nodes.shift()!] : []
  selector.children.fromArray([...within(), ...name, heavy(), ...nodes])
}

function cleanDeclaration(declaration: Declaration, _depth: number, { wish, note }: Work): boolean {
  const property = nameOf(declaration.property)
  const refuse = (says: string) => {
    note(declaration, 'taken-out', says)
    return false
  }
  if (deniedProperties.has(property)) return refuse('it would load or run something')
  if (wish.overPage && standingProperties.has(property)) return refuse('where it stands over the page decides that')
  if (declaration.value.type === 'Raw') return false // a mistake that has been told
  const fault = valueFault(declaration.value)
  if (fault) return refuse(fault)
  // What a variable stands for is known to the browser alone.
  if (!property.startsWith('--') && !/var\(/i.test(generate(declaration.value))) {
    const { error } = lexer.matchProperty(property, declaration.value)
    if (error)
      note(
        declaration,
        'unknown',
        error.name === 'SyntaxReferenceError'
          ? `“${declaration.property}” is no property that is known here`
          : `“${declaration.property}” takes no such value, as far as is known here`,
      )
  }
  return true
}

function valueFault(value: CssNode): string | null {
  let fault: string | null = null
  walk(value, (node) => {
    if (fault) return
    if (node.type === 'Url') fault = 'it would load something from elsewhere'
    else if (node.type === 'Function' && !functions.has(nameOf(node.name)))
      fault = `“${node.name}()” is no function that a widget may use`
    else if (node.type === 'Raw') fault = 'its value cannot be read'
    else if (node.type === 'Block') fault = 'its value cannot be read'
  })
  return fault
}
