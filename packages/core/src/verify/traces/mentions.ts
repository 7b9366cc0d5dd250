import type { AnyNode } from 'domhandler'
import { beforeIds } from '../../methods'

/** Where a snippet's text stands without being run: `text` is read by visitors, the others are not rendered at all. */
export type TextPlace =
  'text' | 'comment' | 'template' | 'noscript' | 'head' | 'data' | 'noembed' | 'noframes' | 'fallback'

/** A snippet's own text on a page. */
export interface Mention {
  where: TextPlace
  node: AnyNode
  /** In the page's source, where it begins; at worst where its node does. */
  offset: number
}

/** Letters of one text that are looked through, and of all. */
const MOST = { text: 500_000, all: 4_000_000 }

/** Letters from an address's beginning to the id in it. */
const FAR = 300

const squeezed = (text: string) => text.toLowerCase().replace(/[^a-z0-9]+/g, '')

/** What escaping leaves of one letter, however often it was done: entities, and codes of scripts and addresses. */
const ESCAPES = /&(?:amp;)*(?:#x?[0-9a-f]{1,6}|[a-z]{2,10});?|\\u00[0-9a-f]{2}|%[0-9a-f]{2}/gi

const marks = beforeIds.map((text) => ({ text: squeezed(text), isPath: text.startsWith('/') }))

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
  private readonly read: { starts: { at: number; node: AnyNode }[]; parts: string[]; length: number } = {
    starts: [],
    parts: [],
    length: 0,
  }
  private readonly others: Stream[] = []
  private joined: Stream | null = null
  private left = MOST.all

  add(where: TextPlace, node: AnyNode, text: string): void {
    if (this.left <= 0) return
    const cut = text.slice(0, MOST.text)
    const letters = squeezed(
      cut.includes('&') || cut.includes('\\') || cut.includes('%') ? cut.replace(ESCAPES, '') : cut,
    )
    if (!letters) return
    this.left -= letters.length
    if (where === 'text') {
      this.read.starts.push({ at: this.read.length, node })
      this.read.parts.push(letters)
      this.read.length += letters.length
    } else if (marks.some((mark) => letters.includes(mark.text)))
      this.others.push({ where, text: letters, starts: [{ at: 0, node }] })
  }

  /** Where the snippet of an id is written out, what visitors read first. */
  of(id: string): { where: TextPlace; node: AnyNode }[] {
    this.joined ??= { where: 'text', text: this.read.parts.join(''), starts: this.read.starts }
    return [this.joined, ...this.others].flatMap((stream) => found(stream, squeezed(id)))
  }
}

function found(stream: Stream, id: string): { where: TextPlace; node: AnyNode }[] {
  if (!id) return []
  // One piece of code names itself more than once: what stands in one element is one mention.
  const nodes = new Map<AnyNode, AnyNode>()
  for (let at = stream.text.indexOf(id); at >= 0 && nodes.size < 20; at = stream.text.indexOf(id, at + id.length)) {
    const before = stream.text.slice(Math.max(0, at - FAR), at)
    if (marks.some((mark) => before.endsWith(mark.text) && (!mark.isPath || before.includes('http'))))
      addOnce(nodes, nodeAt(stream, at))
  }
  return [...nodes.values()].map((node) => ({ where: stream.where, node }))
}

function addOnce(nodes: Map<AnyNode, AnyNode>, node: AnyNode): void {
  const parent = node.parent ?? node
  if (!nodes.has(parent)) nodes.set(parent, node)
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
