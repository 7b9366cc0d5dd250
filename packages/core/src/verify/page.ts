import type { CheerioAPI } from 'cheerio'
import type { AnyNode, Element } from 'domhandler'
import { parseHtml } from '../html'

/** A page after parsing, with its source kept for excerpts. */
export interface Page {
  $: CheerioAPI
  source: string
}

/** A page with source positions. Throws RangeError where it is too tangled to be read. */
export const parsePage = (html: string): Page => ({ $: parseHtml(html, { positions: true }), source: html })

export const isElement = (node: AnyNode | null | undefined): node is Element =>
  node?.type === 'tag' || node?.type === 'script' || node?.type === 'style'

const indexes = new WeakMap<Page, Map<string, Element[]>>()

/** Elements of one name, in document order; the page is gone through once for all names. What templates hold is not among them. */
export function elementsNamed(page: Page, ...names: string[]): Element[] {
  let index = indexes.get(page)
  if (!index) {
    indexes.set(page, (index = new Map()))
    const into = index
    walk(
      page,
      true,
      (element) => (element.name === 'template' ? null : true),
      (node) => {
        if (!isElement(node)) return
        const same = into.get(node.name)
        if (same) same.push(node)
        else into.set(node.name, [node])
      },
    )
  }
  return names.flatMap((name) => index.get(name) ?? [])
}

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
  const [nodes, contexts]: [AnyNode[], C[]] = [[], []]
  const enter = (children: AnyNode[], context: C) => {
    for (let i = children.length - 1; i >= 0; i--) {
      nodes.push(children[i]!)
      contexts.push(context)
    }
  }
  enter(page.$.root()[0]!.children, start)
  for (let node = nodes.pop(); node; node = nodes.pop()) {
    const context = contexts.pop()!
    visit(node, context)
    if (!('children' in node)) continue
    const within = isElement(node) ? inside(node, context) : context
    if (within !== null) enter(node.children, within)
  }
}
