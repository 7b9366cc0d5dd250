import type { AnyNode, Element, Text } from 'domhandler'
import { MARK } from '../snippet'
import { ancestors, isElement, position, type Page } from './page'

/** How one of our snippets was met on a page. */
export interface Trace {
  form: 'element' | 'frame'
  id: string
  /** Where a frame points; the element itself names no host, its script does. */
  origin: string | null
  node: Element
}

/** A snippet's text where no browser runs it. */
export interface DeadTrace {
  /** `text`: visible, escaped. The others: not rendered at all. */
  where: 'text' | 'comment' | 'template' | 'noscript' | 'head' | 'data'
  id: string
  node: AnyNode
  offset: number
}

export interface Traces {
  live: Trace[]
  dead: DeadTrace[]
  /** Origins of our script on the page. */
  scripts: string[]
  /** Ids in our no-script links that stand outside an element of ours: an editor took the element away. */
  orphans: { id: string; node: Element }[]
}

const FRAME_PATH = /^\/f\/([^/?#]+)$/
const LINK_PATH = /^\/v\/([^/?#]+)$/
const QUOTE = `["'“”„«»‘’]|&quot;|&#34;`
const IN_TEXT = new RegExp(`${MARK}\\s*=\\s*(?:${QUOTE})?\\s*([\\w-]{4,})|https?://[^\\s"'<>“”]+/f/([\\w-]{4,})`, 'g')

/** Every trace of Pebblestrand on a page, in document order. */
export function findTraces(page: Page): Traces {
  const traces: Traces = { live: [], dead: [], scripts: [], orphans: [] }
  const bodyTag = explicitBodyOffset(page)
  walk(page.$.root()[0]!.children, (node) => {
    if (node.type === 'comment') collectDead(traces, node, node.data, 'comment')
    else if (node.type === 'text') collectText(traces, node)
    else if (isElement(node)) collectElement(traces, node, bodyTag)
  })
  return traces
}

function walk(nodes: AnyNode[], visit: (node: AnyNode) => void): void {
  for (const node of nodes) {
    visit(node)
    if ('children' in node) walk(node.children, visit)
  }
}

function collectElement(traces: Traces, node: Element, bodyTag: number): void {
  const dead = deadPlace(node, bodyTag)
  const own = ownTrace(node)
  if (own && dead) traces.dead.push({ where: dead, id: own.id, node, offset: position(node)?.offset ?? 0 })
  else if (own) traces.live.push(own)
  else if (node.name === 'script' && !dead) {
    const url = parsed(node.attribs.src)
    if (url?.pathname === '/strand.js') traces.scripts.push(url.origin)
  } else if (node.name === 'a' && !dead) {
    const id = LINK_PATH.exec(parsed(node.attribs.href)?.pathname ?? '')?.[1]
    if (id && ![...ancestors(node)].some((a) => a.attribs[MARK])) traces.orphans.push({ id, node })
  }
}

function ownTrace(node: Element): Trace | null {
  const mark = node.attribs[MARK]
  if (mark) return { form: 'element', id: mark, origin: null, node }
  if (node.name !== 'iframe') return null
  const url = parsed(node.attribs.src ?? node.attribs['data-src'])
  const id = FRAME_PATH.exec(url?.pathname ?? '')?.[1]
  return url && id ? { form: 'frame', id: decodeURIComponent(id), origin: url.origin, node } : null
}

function parsed(address: string | undefined): URL | null {
  if (!address) return null
  try {
    return new URL(address, 'https://relative.invalid')
  } catch {
    return null
  }
}

/** Inside a template nothing is rendered. What stands before the body's own tag was pasted into the head; browsers move it to the top. */
function deadPlace(node: Element, bodyTag: number): DeadTrace['where'] | null {
  for (const ancestor of ancestors(node)) {
    if (ancestor.name === 'template') return 'template'
    if (ancestor.name === 'noscript') return 'noscript'
    if (ancestor.name === 'head' && node.name !== 'script') return 'head'
  }
  const at = position(node)
  return at && bodyTag >= 0 && at.offset < bodyTag && node.name !== 'script' ? 'head' : null
}

/** Offset of the `<body>` tag in the source, comments and scripts passed over; -1 where the page leaves it out. */
function explicitBodyOffset(page: Page): number {
  const blanked = page.source.replace(
    /<!--[\s\S]*?-->|<(script|style|template|noscript|textarea|title)\b[\s\S]*?<\/\1\s*>/gi,
    (dead) => ' '.repeat(dead.length),
  )
  return blanked.search(/<body[\s>]/i)
}

/** Elements whose text a browser does not run as HTML. */
const textPlaces: Record<string, DeadTrace['where']> = {
  noscript: 'noscript',
  template: 'template',
  script: 'data',
  style: 'data',
  title: 'head',
}

function collectText(traces: Traces, node: Text): void {
  if (!node.data.includes(MARK) && !node.data.includes('/f/')) return
  const parent = isElement(node.parent as AnyNode) ? (node.parent as Element) : null
  const place = (parent && textPlaces[parent.name]) ?? 'text'
  if (place === 'data' && parent?.attribs.src) return
  // Visual editors link addresses and break lines: read on over the whole block, so that an id behind a break is found.
  const whole = place === 'text' && parent ? textOf(blockOf(parent)) : node.data
  collectDead(traces, node, node.data.match(IN_TEXT) ? node.data : whole, place)
}

function blockOf(element: Element): Element {
  const inline = new Set(['a', 'span', 'code', 'b', 'i', 'em', 'strong', 'font', 'kbd', 'samp', 'small'])
  let block = element
  while (inline.has(block.name) && isElement(block.parent as AnyNode)) block = block.parent as Element
  return block
}

const textOf = (node: AnyNode): string =>
  node.type === 'text' ? node.data : 'children' in node ? node.children.map(textOf).join('') : ''

function collectDead(traces: Traces, node: AnyNode, text: string, where: DeadTrace['where']): void {
  for (const match of text.matchAll(IN_TEXT)) {
    const id = match[1] ?? match[2]!
    if (!traces.dead.some((d) => d.id === id && d.where === where && d.node.parent === node.parent)) {
      traces.dead.push({ where, id, node, offset: (position(node)?.offset ?? 0) + Math.max(0, leadOf(node, match[0])) })
    }
  }
}

/** How far into a node's own source its text begins to be ours; entities make this the node's start at worst. */
const leadOf = (node: AnyNode, matched: string) =>
  'data' in node ? node.data.slice(0, Math.max(0, node.data.indexOf(matched))).length : 0
