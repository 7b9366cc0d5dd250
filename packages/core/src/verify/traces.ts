import type { AnyNode, Element, Text } from 'domhandler'
import { MARK } from '../snippet'
import { bodyTagOffset } from './body-tag'
import { isElement, position, textWithin, walk, type Page } from './page'

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
// Every part has an end: a page may hold megabytes of what nearly matches.
const IN_TEXT = new RegExp(
  `${MARK}\\s{0,20}=\\s{0,20}(?:(?:${QUOTE})\\s{0,20})?([\\w-]{4,80})|https?://[^\\s"'<>“”]{1,200}/f/([\\w-]{4,80})`,
  'g',
)

/** More than anyone has to take out of a page; what is beyond is not looked at. */
const MOST = { traces: 200, blocks: 300, letters: 20_000 }

/** What an element's surroundings make of what stands in it. */
interface Surroundings {
  dead: 'template' | 'noscript' | 'head' | null
  /** Within an element of ours. */
  marked: boolean
}

interface Search {
  traces: Traces
  bodyTag: number
  /** Blocks whose whole text has been read. */
  read: Set<Element>
}

/** Every trace of Pebblestrand on a page, in document order. */
export function findTraces(page: Page): Traces {
  const traces: Traces = { live: [], dead: [], scripts: [], orphans: [] }
  const search: Search = { traces, bodyTag: bodyTagOffset(page), read: new Set() }
  walk<Surroundings>(page, { dead: null, marked: false }, inside, (node, around) => {
    if (node.type === 'comment') collectDead(traces, node, node.data, 'comment')
    else if (node.type === 'text') collectText(search, node)
    else if (isElement(node)) collectElement(search, node, around)
  })
  return traces
}

const deadContent: Record<string, Surroundings['dead']> = { template: 'template', noscript: 'noscript', head: 'head' }
const inside = ({ name, attribs }: Element, { dead, marked }: Surroundings): Surroundings => ({
  dead: deadContent[name] ?? dead,
  marked: marked || Boolean(attribs[MARK]),
})

function collectElement({ traces, bodyTag }: Search, node: Element, around: Surroundings): void {
  const own = ownTrace(node)
  const isScript = node.name === 'script'
  if (!own && !isScript && node.name !== 'a') return
  const dead = deadPlace(node, around, bodyTag)
  if (own && dead) {
    const offset = position(node)?.offset ?? 0
    if (traces.dead.length < MOST.traces) traces.dead.push({ where: dead, id: own.id, node, offset })
  } else if (own) {
    if (traces.live.length < MOST.traces) traces.live.push(own)
  } else if (dead) {
    return
  } else if (isScript) {
    const url = parsed(node.attribs.src)
    if (url?.pathname === '/strand.js' && !traces.scripts.includes(url.origin) && traces.scripts.length < MOST.traces)
      traces.scripts.push(url.origin)
  } else {
    const id = LINK_PATH.exec(parsed(node.attribs.href)?.pathname ?? '')?.[1]
    if (id && !around.marked && traces.orphans.length < MOST.traces) traces.orphans.push({ id, node })
  }
}

function ownTrace(node: Element): Trace | null {
  const mark = node.attribs[MARK]
  if (mark) return { form: 'element', id: mark, origin: null, node }
  if (node.name !== 'iframe') return null
  const url = parsed(node.attribs.src ?? node.attribs['data-src'])
  const id = FRAME_PATH.exec(url?.pathname ?? '')?.[1]
  return url && id ? { form: 'frame', id: decoded(id), origin: url.origin, node } : null
}

function decoded(segment: string): string {
  try {
    return decodeURIComponent(segment)
  } catch {
    return segment // a lone % is no escape
  }
}

function parsed(address: string | undefined): URL | null {
  if (!address || address.length > 2000) return null
  try {
    return new URL(address, 'https://relative.invalid')
  } catch {
    return null
  }
}

/** Inside a template nothing is rendered. What stands before the body's own tag was pasted into the head; browsers move it to the top. Scripts run in the head. */
function deadPlace(node: Element, { dead }: Surroundings, bodyTag: number): DeadTrace['where'] | null {
  if (dead && dead !== 'head') return dead
  if (node.name === 'script') return null
  const at = position(node)
  return dead ?? (at && at.offset < bodyTag ? 'head' : null)
}

/** Elements whose text a browser does not run as HTML. */
const textPlaces: Record<string, DeadTrace['where']> = {
  noscript: 'noscript',
  template: 'template',
  script: 'data',
  style: 'data',
  title: 'head',
}

function collectText({ traces, read }: Search, node: Text): void {
  if (!node.data.includes(MARK) && !node.data.includes('/f/')) return
  const parent = isElement(node.parent as AnyNode) ? (node.parent as Element) : null
  const place = (parent && textPlaces[parent.name]) ?? 'text'
  if (place === 'data' && parent?.attribs.src) return
  if (place !== 'text' || !parent || node.data.match(IN_TEXT)) return collectDead(traces, node, node.data, place)
  // Visual editors link addresses and break lines: read on over the whole block, so that an id behind a break is found.
  const block = blockOf(parent)
  if (read.has(block) || read.size >= MOST.blocks) return
  read.add(block)
  collectDead(traces, node, textWithin(block, MOST.letters), place)
}

const inline = new Set(['a', 'span', 'code', 'b', 'i', 'em', 'strong', 'font', 'kbd', 'samp', 'small'])

function blockOf(element: Element): Element {
  let block = element
  for (let up = 0; up < 30 && inline.has(block.name) && isElement(block.parent as AnyNode); up++)
    block = block.parent as Element
  return block
}

function collectDead(traces: Traces, node: AnyNode, text: string, where: DeadTrace['where']): void {
  for (const match of text.matchAll(IN_TEXT)) {
    if (traces.dead.length >= MOST.traces) return
    const id = match[1] ?? match[2]!
    if (!traces.dead.some((d) => d.id === id && d.where === where && d.node.parent === node.parent))
      traces.dead.push({ where, id, node, offset: (position(node)?.offset ?? 0) + leadOf(node, match[0]) })
  }
}

/** How far into a node's own source its text begins to be ours; entities make this the node's start at worst. */
const leadOf = (node: AnyNode, matched: string) => ('data' in node ? Math.max(0, node.data.indexOf(matched)) : 0)
