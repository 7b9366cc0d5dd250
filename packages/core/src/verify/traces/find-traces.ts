import type { AnyNode, Element, Text } from 'domhandler'
import { readElement, readRemnant, readScript, type ElementReading, type MethodId } from '../../methods'
import { MARK, publicPaths } from '../../wire'
import { bodyTagOffset } from '../body-tag'
import { isElement, parsePage, position, walk, type Page } from '../page'
import { Mentions, type Mention, type TextPlace } from './mentions'

/** How one of our snippets was met on a page. */
export interface Trace {
  method: MethodId
  id: string
  /** Where it loads from, if the element itself says so; else its script does. */
  origin: string | null
  /** The element; where it stands in the markup of a frame, that frame. */
  node: Element
  /** What has to happen before it loads. */
  waitsFor: ElementReading['waitsFor'] | null
  /** The mark of the text it was pasted from. */
  version: string | null
  /** The document it stands in, where that is a frame's. */
  within: Within | null
}

/** A document written out in a frame's `srcdoc`. */
export interface Within {
  /** Whether the frame lets scripts run. */
  runsScripts: boolean
  scripts: ScriptTrace[]
}

export interface ScriptTrace {
  origin: string
  /** False where it is there and browsers leave it alone. */
  runs: boolean
  node: Element
}

/** An element of ours where no browser renders it. */
export interface DeadTrace extends Omit<Mention, 'as'> {
  id: string
}

export interface Traces {
  live: Trace[]
  dead: DeadTrace[]
  scripts: ScriptTrace[]
  /** Ids in our no-script links that stand outside an element of ours: an editor took the element away. */
  orphans: { id: string; node: Element }[]
  /** Where a snippet is written out as text. */
  mentions(id: string): Mention[]
}

/** More than anyone has to take out of a page, and deeper than frames are written; what is beyond is not looked at. */
const MOST = { traces: 200, frames: 20, depth: 2 }

/** What an element's surroundings make of what stands in it. */
interface Surroundings {
  dead: TextPlace | null
  /** Within an element of ours. */
  marked: boolean
}

interface Search {
  traces: Omit<Traces, 'mentions'>
  texts: Mentions
  bodyTag: number
  depth: number
  frames: number
  /** Documents written out in frames, each with its frame. */
  inner: { search: Search; node: Element }[]
}

/** Every trace of Pebblestrand on a page, in document order. */
export function findTraces(page: Page): Traces {
  const found = search(page, 0)
  const { traces } = found
  const mentions = (id: string): Mention[] =>
    mentionsIn(found, id).map((mention) => ({
      ...mention,
      offset: (position(mention.node)?.offset ?? 0) + leadOf(mention.node, id),
    }))
  return { ...traces, mentions }
}

/** Its own texts, and those of the documents in its frames: there it is the frame that shows them. */
const mentionsIn = ({ texts, inner }: Search, id: string): Omit<Mention, 'offset'>[] => [
  ...texts.of(id),
  ...inner.flatMap(({ search: one, node }) => mentionsIn(one, id).map((mention) => ({ ...mention, node }))),
]

function search(page: Page, depth: number): Search {
  const found: Search = {
    traces: { live: [], dead: [], scripts: [], orphans: [] },
    texts: new Mentions(),
    bodyTag: bodyTagOffset(page),
    depth,
    frames: 0,
    inner: [],
  }
  walk<Surroundings>(page, { dead: null, marked: false }, inside, (node, around) => {
    if (node.type === 'comment') found.texts.add('comment', node, node.data)
    else if (node.type === 'text') collectText(found, node, around)
    else if (isElement(node)) collectElement(found, node, around)
  })
  return found
}

const deadContent: Record<string, TextPlace> = {
  template: 'template',
  noscript: 'noscript',
  head: 'head',
  noembed: 'noembed',
  noframes: 'noframes',
  iframe: 'fallback',
  object: 'fallback',
}
function inside(element: Element, around: Surroundings): Surroundings {
  const here = element.name === 'object' && !element.attribs.data ? undefined : deadContent[element.name]
  const marked = element.attribs[MARK] !== undefined
  return here || marked ? { dead: here ?? around.dead, marked: around.marked || marked } : around
}

function collectElement(search: Search, node: Element, around: Surroundings): void {
  const { traces, bodyTag } = search
  const own = readElement(node)
  const script = own && own.method !== 'tag' ? null : readScript(node)
  const remnant = own || script ? null : readRemnant(node)
  if (!own && !script && !remnant && node.name !== 'iframe') return
  const dead = deadPlace(node, around, bodyTag)
  if (!dead && node.name === 'iframe' && node.attribs.srcdoc) collectFrame(search, node)
  if (own && dead) {
    const offset = position(node)?.offset ?? 0
    if (traces.dead.length < MOST.traces) traces.dead.push({ where: dead, id: own.publicId, node, offset })
  } else if (own) {
    const { method, publicId, origin, waitsFor, version } = own
    if (traces.live.length < MOST.traces)
      traces.live.push({ method, id: publicId, origin, node, waitsFor: waitsFor ?? null, version, within: null })
    if (script && traces.scripts.length < MOST.traces) traces.scripts.push({ ...script, node })
  } else if (dead) {
    return
  } else if (script) {
    if (traces.scripts.length < MOST.traces) traces.scripts.push({ ...script, node })
  } else if (remnant && !around.marked && traces.orphans.length < MOST.traces) {
    traces.orphans.push({ id: remnant, node })
  }
}

/** What a frame's own document holds, as far as it is written out in the page. */
function collectFrame(outer: Search, node: Element): void {
  if (outer.depth >= MOST.depth || ++outer.frames > MOST.frames) return
  const { sandbox, srcdoc } = node.attribs
  const inner = search(parsePage(srcdoc!), outer.depth + 1)
  const runsScripts = sandbox === undefined || /(^|\s)allow-scripts(\s|$)/i.test(sandbox)
  outer.inner.push({ search: inner, node })
  const { live, dead, scripts, orphans } = inner.traces
  for (const trace of live)
    if (outer.traces.live.length < MOST.traces)
      outer.traces.live.push({ ...trace, node, within: trace.within ?? { runsScripts, scripts } })
  for (const one of dead)
    if (outer.traces.dead.length < MOST.traces)
      outer.traces.dead.push({ ...one, node, offset: position(node)?.offset ?? 0 })
  for (const { id } of orphans) outer.traces.orphans.push({ id, node })
}

/** Inside a template nothing is rendered. What stands before the body's own tag was pasted into the head; browsers move it to the top. Scripts run in the head. */
function deadPlace(node: Element, { dead }: Surroundings, bodyTag: number): TextPlace | null {
  if (dead && dead !== 'head') return dead
  if (node.name === 'script') return null
  const at = position(node)
  return dead ?? (at && at.offset < bodyTag ? 'head' : null)
}

/** Elements whose text a browser does not run as HTML. */
const textPlaces: Record<string, TextPlace> = {
  noscript: 'noscript',
  template: 'template',
  script: 'data',
  style: 'data',
  title: 'head',
  noembed: 'noembed',
  noframes: 'noframes',
  iframe: 'fallback',
}

const SCRIPT_IN_TEXT = new RegExp(
  `(https?:)?//[^\\s"'<>\\\\]{3,200}(?:${publicPaths.script.replace('.', '\\.')}|${publicPaths.scriptVersion.replace('{id}', '[\\w-]{1,80}').replace('.', '\\.')})`,
  'g',
)

function collectText(search: Search, node: Text, around: Surroundings): void {
  const parent = isElement(node.parent as AnyNode) ? (node.parent as Element) : null
  const place = (parent && textPlaces[parent.name]) ?? around.dead ?? 'text'
  if (parent?.name === 'script') {
    if (parent.attribs.src) return
    collectLoaders(search, parent, node.data)
  }
  search.texts.add(place, node, node.data)
}

/** A script of the page that loads ours. */
function collectLoaders({ traces }: Search, node: Element, text: string): void {
  if (!text.includes('.js') || !text.includes('strand')) return
  const { type = '' } = node.attribs
  for (const [address] of text.slice(0, 500_000).replace(/\\\//g, '/').matchAll(SCRIPT_IN_TEXT)) {
    const url = new URL(address, 'https://relative.invalid')
    if (traces.scripts.length < MOST.traces)
      traces.scripts.push({ origin: url.origin, runs: !type || /javascript|module/i.test(type), node })
  }
}

/** How far into a node's own source its text begins to be ours; 0 where that cannot be told. */
const leadOf = (node: AnyNode, id: string) =>
  'data' in node ? Math.max(0, node.data.lastIndexOf('\n', node.data.indexOf(id)) + 1) : 0
