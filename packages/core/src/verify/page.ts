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

/** By name, each in document order; the page is gone through once for all. What templates hold is not among them. */
function indexOf(page: Page): Map<string, Element[]> {
  const known = indexes.get(page)
  if (known) return known
  const index = new Map<string, Element[]>()
  indexes.set(page, index)
  walk(
    page,
    true,
    (element) => (element.name === 'template' ? null : true),
    (node) => {
      if (!isElement(node)) return
      const same = index.get(node.name)
      if (same) same.push(node)
      else index.set(node.name, [node])
    },
  )
  return index
}

/** Elements of some names, those of one in document order. What templates hold is not among them. */
export function elementsNamed(page: Page, ...names: string[]): Element[] {
  const index = indexOf(page)
  return names.flatMap((name) => index.get(name) ?? [])
}

/** Every element but what templates hold, by their names. */
export function* everyElement(page: Page): Generator<Element> {
  for (const same of indexOf(page).values()) yield* same
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
  const root: AnyNode = page.$.root()[0]!
  const around: C[] = []
  let context = start
  let node: AnyNode | null = root.children[0] ?? null
  while (node) {
    visit(node, context)
    const first: AnyNode | undefined = 'children' in node ? node.children[0] : undefined
    const within = first && isElement(node) ? inside(node, context) : context
    if (first && within !== null) {
      around.push(context)
      context = within
      node = first
      continue
    }
    for (; node && !node.next; context = around.pop()!) {
      node = node.parent as AnyNode | null
      if (!node || node === root) return
    }
    node = node?.next ?? null
  }
}
