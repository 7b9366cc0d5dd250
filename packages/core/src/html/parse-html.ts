import { load, type CheerioAPI } from 'cheerio'
import type { Token } from 'parse5'
import { hasCrowdedTag } from './crowded-tag'
import { tree } from './tree'

/**
 * Far more than any page that is read by people: browsers themselves nest 512 deep at most. At every tag the standard's
 * algorithm looks through the open elements, and at every formatting tag through those that were opened alike, so that depth
 * costs its square.
 */
const MOST = { depth: 800, formatting: 400, elements: 300_000 }

/** HTML standard, section 13.2.4.3: what is opened anew in the next block when it was left open. */
const formatting = new Set('a b big code em font i nobr s small strike strong tt u'.split(' '))

const tangled = () => new RangeError('The document is too tangled.')

/**
 * Parses as the HTML standard says and browsers do (parse5), with source positions where they are asked for.
 * @throws RangeError for what is nested so deep, or says to repeat so much, that reading it would take no end of time
 */
export function parseHtml(html: string, { positions = false, fragment = false } = {}): CheerioAPI {
  if (hasCrowdedTag(html)) throw tangled()
  return load(readable(html), { sourceCodeLocationInfo: positions, treeAdapter: counting(html) as never }, !fragment)
}

/**
 * What the parser fails over: halves of surrogate pairs, and numeric references of so many digits that their number has no
 * end. The latter are left as text behind U+FFFD, which is what the standard makes of them; positions in the source stay.
 */
const readable = (html: string) => html.toWellFormed().replace(/&(?=#x?[\da-f]{200})/gi, '\uFFFD')

/** Builds the tree as usual, and stops when there is too much of it. */
function counting(html: string) {
  const open = { elements: 0, formatting: 0 }
  let elements = 0
  const most = Math.min(MOST.elements, 1000 + 2 * tagsIn(html))
  const count = (node: unknown, by: 1 | -1) => {
    open.elements += by
    if (formatting.has((node as { name: string }).name)) open.formatting += by
  }
  return {
    ...tree,
    onItemPush(node: unknown) {
      count(node, 1)
      if (++elements > most || open.elements > MOST.depth || open.formatting > MOST.formatting) throw tangled()
    },
    onItemPop: (node: unknown) => count(node, -1),
    updateNodeSourceCodeLocation: moveEnd,
  }
}

type End = Partial<Token.LocationWithAttributes & Token.ElementLocation>

/**
 * A node's end has been found. In place: the adapter's own copies all that is known. Of texts only their beginning is known: their
 * end is told at every piece of them, which is a sixth of a parse, and nobody asks for it.
 */
function moveEnd(node: { type: string; endIndex?: number | null; sourceCodeLocation?: End | null }, end: End): void {
  if (node.type === 'text') return
  if (end.endOffset !== undefined) node.endIndex = end.endOffset
  const at = node.sourceCodeLocation
  if (!at) return void (node.sourceCodeLocation = end)
  at.endLine = end.endLine
  at.endCol = end.endCol
  at.endOffset = end.endOffset
  if (end.endTag) at.endTag = end.endTag
}

/** No page makes more elements than it has tags, but for those that are opened anew. */
function tagsIn(html: string): number {
  let count = 0
  for (let at = html.indexOf('<'); at >= 0; at = html.indexOf('<', at + 1)) count++
  return count
}
