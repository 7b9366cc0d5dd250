import { bandsOf, columnsBeside, contentOf } from '@pebblestrand/core/site-facts/bands'
import { ROOM_MARK, type RoomMark } from '@pebblestrand/core/verify/room-marks'
import { pageAsDrawn } from './drawing'

/** What holds nothing that a person pastes. */
const CLOSED = 'table, thead, tbody, tr, ul, ol, dl, select, svg, picture, video, button, a, form, details'

/** Px: how far a width may be from the planned one to count as that. */
const AS_PLANNED = 4

/** Px: what a box takes of its width for its edges, at most. */
const BOX_EDGES = 80
/** Px: a row as high is columns, a lower one a line. */
const COLUMNS = 160

/** Where a room may be put. */
interface Choice {
  holder: Element
  /** As wide as planned. */
  isPlanned: boolean
  /** Px², of the part of the page it is in. */
  area: number
}

/**
 * Moves the room to where a person's paste would come to stand: behind the content of its placement, in what holds that. Of
 * several that the placement may be, the one that is as wide as planned, else the largest. Where the markup names none, what is
 * drawn beside the content is its sidebar.
 * @param planned px; 0 where nobody knows
 */
export function settle(room: Element, planned: number): void {
  if (room.hasAttribute(ROOM_MARK)) return
  const named = choicesIn(marked('here'), planned)
  const choices = named.length ? named : choicesIn(besideContent(), planned)
  const [best] = choices.sort((a, b) => Number(b.isPlanned) - Number(a.isPlanned) || b.area - a.area)
  if (best) (slotIn(best.holder) ?? best.holder).append(room)
}

const marked = (as: RoomMark) => [...document.querySelectorAll(`[${ROOM_MARK}=${as}]`)]

/** The narrower columns beside the page's main part. */
function besideContent(): Element[] {
  const contents = marked('content').flatMap((element) => bandsOf(pageAsDrawn, element)?.bands ?? [])
  return [...new Set(contents.flatMap((content) => columnsBeside(pageAsDrawn, content)))]
}

const choicesIn = (elements: readonly Element[], planned: number): Choice[] =>
  elements.flatMap((element) => {
    const found = bandsOf(pageAsDrawn, element)
    const open = found?.bands.filter((band) => !band.matches(CLOSED)) ?? []
    const holder = holderOf(open, element)
    return holder ? [{ holder, isPlanned: Math.abs(found!.width - planned) <= AS_PLANNED, area: areaOf(element) }] : []
  })

/**
 * Behind boxes that lie one under another something is added as one more of them, not in the last one; behind sections that are
 * much wider than what is in them, in the last one. Nothing is added as one more column of a row.
 */
function holderOf(bands: readonly Element[], region: Element): Element | null {
  const last = bands.reduce(later, null)
  if (!last) return null
  const around = bands.reduce((at: Element, band) => shared(at, band), last)
  const isBoxes = contentOf(pageAsDrawn, around) - contentOf(pageAsDrawn, last) <= BOX_EDGES
  let holder = region.contains(around) && isBoxes ? around : last
  while (holder !== region && isRowOfColumns(holder)) holder = holder.parentElement!
  return holder
}

function shared(one: Element, other: Element): Element {
  let at = one
  while (!at.contains(other)) at = at.parentElement!
  return at
}

/** Side by side, and more than a line: a line of a name and links takes one more at its end. */
function isRowOfColumns(element: Element): boolean {
  const { display, flexDirection, gridTemplateColumns } = getComputedStyle(element)
  const isRow = /flex$/.test(display)
    ? flexDirection.startsWith('row')
    : /grid$/.test(display) && gridTemplateColumns.split(' ').length > 1
  if (!isRow || slotIn(element)) return false
  const box = pageAsDrawn.box(element)
  const around = pageAsDrawn.box(element.parentElement!)
  // Columns with gaps of their own reach over what they stand in.
  const reachesOver = Boolean(box && around && box.width > around.content + 1)
  return reachesOver || (box?.height ?? 0) >= COLUMNS
}

/** What a theme keeps empty at the end of a part of the page is for what is added there. */
function slotIn(holder: Element): Element | null {
  const last = pageAsDrawn.kids(holder).at(-1)
  return last?.matches('div, section') && !last.childElementCount && !last.textContent.trim() ? last : null
}

function areaOf(element: Element): number {
  const { width, height } = element.getBoundingClientRect()
  return width * height
}

/** Of two elements, the one further down the document. */
const later = (one: Element | null, other: Element): Element =>
  one && other.compareDocumentPosition(one) & Node.DOCUMENT_POSITION_FOLLOWING ? one : other
