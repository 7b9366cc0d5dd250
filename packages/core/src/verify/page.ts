import { load, type CheerioAPI } from 'cheerio'
import type { AnyNode, Element } from 'domhandler'

/** A page after parsing, with its source kept for excerpts. */
export interface Page {
  $: CheerioAPI
  source: string
}

/** Parses as the HTML standard says and browsers do (parse5), with source positions. */
export const parsePage = (html: string): Page => ({ $: load(html, { sourceCodeLocationInfo: true }), source: html })

export const isElement = (node: AnyNode | null | undefined): node is Element =>
  node?.type === 'tag' || node?.type === 'script' || node?.type === 'style'

/** All ancestors, nearest first. */
export function* ancestors(node: AnyNode): Generator<Element> {
  for (let at = node.parent; at; at = at.parent) if (isElement(at as AnyNode)) yield at as Element
}

/** Where a node stands in the source: line from 1, offset from 0; null where the parser made it up. */
export function position(node: AnyNode): { line: number; offset: number } | null {
  const at = node.sourceCodeLocation
  return at ? { line: at.startLine, offset: at.startOffset } : null
}

/**
 * Every node in document order, each with what its surroundings make of it: `inside` gives what holds within an element,
 * null to pass its content over. Without recursion, since a page may be nested as deep as it is long.
 */
export function walk<C>(
  page: Page,
  start: C,
  inside: (element: Element, context: C) => C | null,
  visit: (node: AnyNode, context: C) => void,
): void {
  const open: { node: AnyNode; context: C }[] = []
  const enter = (nodes: AnyNode[], context: C) => {
    for (let i = nodes.length - 1; i >= 0; i--) open.push({ node: nodes[i]!, context })
  }
  enter(page.$.root()[0]!.children, start)
  for (let next = open.pop(); next; next = open.pop()) {
    visit(next.node, next.context)
    if (!('children' in next.node)) continue
    const within = isElement(next.node) ? inside(next.node, next.context) : next.context
    if (within !== null) enter(next.node.children, within)
  }
}

/** The words of a node and all below it, cut after so many letters. */
export function textWithin(node: AnyNode, most: number): string {
  const parts: string[] = []
  let length = 0
  const open = [node]
  for (let next = open.pop(); next && length < most; next = open.pop()) {
    if (next.type === 'text') {
      parts.push(next.data.slice(0, most))
      length += next.data.length
    } else if ('children' in next) for (let i = next.children.length - 1; i >= 0; i--) open.push(next.children[i]!)
  }
  return parts.join('').slice(0, most)
}
