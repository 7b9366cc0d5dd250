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
