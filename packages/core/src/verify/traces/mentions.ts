import type { AnyNode } from 'domhandler'
import { beforeIds } from '../../methods'
import { SHORTCODE } from '../../wire'

/** Where a snippet's text stands without being run: `text` is read by visitors, the others are not rendered at all. */
export type TextPlace =
  'text' | 'comment' | 'template' | 'noscript' | 'head' | 'data' | 'noembed' | 'noframes' | 'fallback'

/** A snippet's own text on a page. */
export interface Mention {
  where: TextPlace
  node: AnyNode
  /** What it was read as: a shortcode, or other code. */
  as: 'shortcode' | 'code'
  /** In the page's source, where it begins; at worst where its node does. */
  offset: number
}

/** Letters of one text that are looked through, and of all. */
const MOST = { text: 500_000, all: 4_000_000 }

/** Letters from an address's beginning to the id in it. */
const FAR = 300

/** Its letters and digits of ASCII, small, as their codes behind one another; a page has many texts and little of this is looked at. */
function squeezeInto(codes: Uint8Array, from: number, text: string): number {
  let at = from
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i)
    if ((unit >= 97 && unit <= 122) || (unit >= 48 && unit <= 57)) codes[at++] = unit
    else if (unit >= 65 && unit <= 90) codes[at++] = unit + 32
  }
  return at
}

const asText = (codes: Uint8Array) => new TextDecoder('latin1').decode(codes)

function squeezed(text: string): string {
  const codes = new Uint8Array(text.length)
  return asText(codes.subarray(0, squeezeInto(codes, 0, text)))
}

/** What escaping leaves of one letter, however often it was done: entities, and codes of scripts and addresses. */
const ESCAPES = /&(?:amp;)*(?:#x?[0-9a-f]{1,6}|[a-z]{2,10});?|\\u00[0-9a-f]{2}|%[0-9a-f]{2}/gi

const marks = beforeIds.map((text) => ({
  text: squeezed(text),
  isPath: text.startsWith('/'),
  as: text.startsWith(`[${SHORTCODE}`) ? ('shortcode' as const) : ('code' as const),
}))

/** One text, without all that editors, highlighters and typography put between or in place of its letters. */
interface Stream {
  where: TextPlace
  text: string
  /** Where the letters of each node begin. */
  starts: { at: number; node: AnyNode }[]
}

/**
 * All text of a page by where it stands. What visitors read is one text, since the pieces of a code that is shown may be in
 * elements of their own; of all of it letters and digits count, so that soft hyphens, break marks, primes, other hyphens,
 * capitals and escapes make no difference.
 */
export class Mentions {
  private readonly starts: { at: number; node: AnyNode }[] = []
  /** Of what visitors read. */
  private codes = new Uint8Array(16_384)
  private length = 0
  private readonly others: Stream[] = []
  private joined: Stream | null = null
  private left = MOST.all

  add(where: TextPlace, node: AnyNode, text: string): void {
    if (this.left <= 0) return
    const cut = text.slice(0, MOST.text)
    const bare = cut.includes('&') || cut.includes('\\') || cut.includes('%') ? cut.replace(ESCAPES, '') : cut
    if (where === 'text') return this.addRead(node, bare)
    const letters = squeezed(bare)
    this.left -= letters.length
    if (marks.some((mark) => letters.includes(mark.text)))
      this.others.push({ where, text: letters, starts: [{ at: 0, node }] })
  }

  private addRead(node: AnyNode, text: string): void {
    if (this.length + text.length > this.codes.length) {
      const wider = new Uint8Array(2 * (this.length + text.length))
      wider.set(this.codes.subarray(0, this.length))
      this.codes = wider
    }
    const end = squeezeInto(this.codes, this.length, text)
    if (end === this.length) return
    this.starts.push({ at: this.length, node })
    this.left -= end - this.length
    this.length = end
  }

  /** Where the snippet of an id is written out, what visitors read first. */
  of(id: string): Omit<Mention, 'offset'>[] {
    this.joined ??= { where: 'text', text: asText(this.codes.subarray(0, this.length)), starts: this.starts }
    return [this.joined, ...this.others].flatMap((stream) => found(stream, squeezed(id)))
  }
}

function found(stream: Stream, id: string): Omit<Mention, 'offset'>[] {
  if (!id) return []
  // One piece of code names itself more than once: what stands in one element is one mention.
  const nodes = new Map<AnyNode, Omit<Mention, 'offset'>>()
  for (let at = stream.text.indexOf(id); at >= 0 && nodes.size < 20; at = stream.text.indexOf(id, at + id.length)) {
    const before = stream.text.slice(Math.max(0, at - FAR), at)
    const mark = marks.find(({ text, isPath }) => before.endsWith(text) && (!isPath || before.includes('http')))
    if (!mark) continue
    const node = nodeAt(stream, at)
    if (!nodes.has(node.parent ?? node)) nodes.set(node.parent ?? node, { where: stream.where, node, as: mark.as })
  }
  return [...nodes.values()]
}

function nodeAt({ starts }: Stream, at: number): AnyNode {
  let [low, high] = [0, starts.length - 1]
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (starts[middle]!.at <= at) low = middle
    else high = middle - 1
  }
  return starts[low]!.node
}
