import type { AnyNode, Element } from 'domhandler'
import type { Region } from '../../platforms'
import { isElement } from '../page'
import { landmarkOf } from './landmark'
import type { Label } from './known-by'
import { flow, skipped } from './element-names'
import { A_TEXT, type PageLayout } from './page-layout'
import type { Measure } from './measure'
import { hasRights } from './rights'

export const NOTHING_TOLD: ReadonlyMap<Element, Label> = new Map()

/** Letters of prose for each heading: more is a text, not a box beside one. */
const MOST_PROSE = 160

/** Nodes looked at: a column is small. */
const MOST_NODES = 600

const fields = new Set(['input', 'select', 'textarea'])

/** How an element that may be a column is put together. */
interface Parts {
  /** Levels of its headings, in their order. */
  levels: number[]
  /** Whether words, pictures or fields stand before the first heading. */
  beforeHeading: boolean
  /** Links in lists, and fields to fill. */
  listed: number
  articles: number
}

function partsOf(element: Element): Parts | null {
  const parts: Parts = { levels: [], beforeHeading: false, listed: 0, articles: 0 }
  const open: { node: AnyNode; inList: boolean }[] = [{ node: element, inList: false }]
  let left = MOST_NODES
  for (let next = open.pop(); next; next = open.pop()) {
    if (--left < 0) return null
    const { node } = next
    if (node.type === 'text') {
      if (!parts.levels.length && node.data.trim()) parts.beforeHeading = true
      continue
    }
    if (!isElement(node) || skipped.has(node.name)) continue
    const level = /^h([1-6])$/.exec(node.name)?.[1]
    if (level) {
      parts.levels.push(Number(level))
      continue
    }
    if (node.name === 'article') parts.articles++
    if (fields.has(node.name) || (node.name === 'a' && next.inList)) parts.listed++
    const inList = next.inList || node.name === 'ul' || node.name === 'ol'
    for (let i = node.children.length - 1; i >= 0; i--) open.push({ node: node.children[i]!, inList })
  }
  return parts
}

/**
 * Small boxes one under another, each under a heading of one rank, with lists or fields among them: what a side column is made
 * of. A band across the page has one heading, or one above the others. Common practice in the trade; no published source.
 * @param size of the element, as measured
 * @param besideMain the content is known by its landmark, so that what stands beside it is none of it
 */
function isPanel(element: Element, size: Measure, besideMain: boolean): boolean {
  if (size.titles || size.headings < 2 || size.prose > size.headings * MOST_PROSE) return false
  const parts = partsOf(element)
  if (!parts || parts.beforeHeading || parts.articles) return false
  if (parts.levels.some((level) => level !== parts.levels[0])) return false
  return parts.listed > 0 || besideMain
}

/**
 * What a stack of small boxes beside the content is: a side column, unless it stands across the page's end.
 * @param kids what stands in one part of the layout; the content in the one at `core`
 * @param isTop that part is the whole page
 */
export function panelBeside(page: PageLayout, kids: Element[], i: number, core: number, isTop: boolean): Region | null {
  if (i === core || (!isTop && kids.length > 3)) return null
  const kid = kids[i]!
  const content = page.core!
  const isMain = content.name === 'main' || content.attribs.role === 'main'
  const size = page.size(kid)
  if (size.prose > page.size(kids[core]!).prose * 0.6 || !isPanel(kid, size, isMain)) return null
  if (!isTop) return 'sidebar'
  if (i < core) return i > 0 ? 'sidebar' : null
  const end = kids.slice(i + 1).find((other) => hasRights(other) || landmarkOf(other, () => false) === 'contentinfo')
  if (!end) return null
  return page.size(end).headings ? 'sidebar' : 'footer'
}

/** Within the content, a stack of small boxes beside the one part that has its title and most of its text. */
export function panelWithin(page: PageLayout, parent: Element): ReadonlyMap<Element, Label> {
  const all = page.size(page.core!).prose
  const { prose, titles, headings } = page.size(parent)
  // Of most elements that is enough to know: laying out all of a text takes as long as all else.
  if (!titles || headings < 3 || prose <= all / 2) return NOTHING_TOLD
  const { kids } = page.layout(parent)
  if (kids.length !== 2) return NOTHING_TOLD
  const text = kids.find((kid) => page.size(kid).titles && page.size(kid).prose > Math.max(A_TEXT, all / 2))
  const other = kids.find((kid) => kid !== text)
  if (!text || !other || flow.has(text.name) || !isPanel(other, page.size(other), false)) return NOTHING_TOLD
  return new Map([[other, { region: 'sidebar', by: 'structure' }]])
}
