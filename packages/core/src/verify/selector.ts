import { compile } from 'css-select'
import { parse, stringify, type Selector as Token } from 'css-what'
import type { Element } from 'domhandler'
import { compile as compileNth, parse as parseNth } from 'nth-check'

/** An element among its siblings; counts from 1. */
export interface Place {
  index: number
  indexOfType: number
  count: number
  countOfType: number
}

/** One link of a chain like `#main > .side li:nth-child(2)`: what the element itself has to be, and how the link before it stands to it. */
export interface Link {
  fits(element: Element, place: Place): boolean
  combinator: 'first' | 'descendant' | 'child' | 'adjacent' | 'sibling'
}

/** What can be matched in one pass over a page: chains of links. */
export type Selector = Link[][]

const combinators = new Set(['descendant', 'child', 'adjacent', 'sibling'])

/** Position among siblings, as CSS Selectors Level 4 counts it. */
const positions: Record<string, ((data: string | null) => (place: Place) => boolean) | undefined> = {
  'first-child': () => (at) => at.index === 1,
  'last-child': () => (at) => at.index === at.count,
  'only-child': () => (at) => at.count === 1,
  'first-of-type': () => (at) => at.indexOfType === 1,
  'last-of-type': () => (at) => at.indexOfType === at.countOfType,
  'only-of-type': () => (at) => at.countOfType === 1,
  'nth-child': (data) => nth(data, (at) => at.index),
  'nth-last-child': (data) => nth(data, (at) => at.count - at.index + 1),
  'nth-of-type': (data) => nth(data, (at) => at.indexOfType),
  'nth-last-of-type': (data) => nth(data, (at) => at.countOfType - at.indexOfType + 1),
}

function nth(data: string | null, of: (place: Place) => number) {
  const fits = compileNth(parseNth(data ?? '')) // counts from 0
  return (place: Place) => fits(of(place) - 1)
}

/** Chains and links that a placement may be written with, far beyond what a browser's "copy selector" gives. */
const MOST = { chains: 10, links: 20 }

/**
 * Reads a CSS selector of element names, ids, classes, attributes, `:not()` and `:is()` of those, `>`, `+`, `~` and positions
 * among siblings.
 * @returns null for what is no selector, or needs more than one pass over a page
 */
export function readSelector(text: string): Selector | null {
  try {
    const chains = parse(text)
    if (!chains.length || chains.length > MOST.chains) return null
    return chains.map(readChain)
  } catch {
    return null
  }
}

function readChain(tokens: Token[]): Link[] {
  const links: Link[] = []
  let [own, combinator]: [Token[], Link['combinator']] = [[], 'first']
  const close = () => void links.push({ combinator, fits: fitting(own) })
  for (const token of tokens)
    if (combinators.has(token.type)) {
      close()
      ;[own, combinator] = [[], token.type as Link['combinator']]
    } else own.push(token)
  close()
  if (links.length > MOST.links) throw new RangeError('too many links')
  return links
}

const plain = new Set(['tag', 'attribute', 'universal'])
const logical = new Set(['not', 'is', 'where'])

/** What the element itself tells; of `:not()` and `:is()` only what holds nothing else. */
const isSimple = (token: Token): boolean =>
  plain.has(token.type) ||
  (token.type === 'pseudo' &&
    logical.has(token.name) &&
    Array.isArray(token.data) &&
    token.data.every((inner) => inner.every((one) => plain.has(one.type))))

function fitting(tokens: Token[]): Link['fits'] {
  if (!tokens.length) throw new SyntaxError('nothing to match')
  const [simple, others] = [tokens.filter(isSimple), tokens.filter((token) => !isSimple(token))]
  const is = simple.length ? compile<Element, Element>(stringify([simple])) : () => true
  const places = others.map((token) => {
    const argument = token.type === 'pseudo' && !Array.isArray(token.data) ? { text: token.data } : null
    const name = 'name' in token ? token.name : ''
    const position = argument && Object.hasOwn(positions, name) && positions[name]
    if (!position) throw new SyntaxError(`${token.type} is not matched here`)
    return position(argument.text)
  })
  return (element, place) => is(element) && places.every((fits) => fits(place))
}
