// Where in a region something that is pasted comes to stand, and how wide it gets there: by what a browser draws. Of a page
// that was measured and of one that is drawn at this moment alike, so it knows neither's elements.

import { flow, inline, pictured } from '../verify/place/element-names'

/** What is known of an element that is drawn; px of the page. */
export interface DrawnBox {
  x: number
  y: number
  width: number
  height: number
  /** Of what can stand in it: without padding and border. */
  content: number
}

/** A page as it is drawn. */
export interface Drawing<E> {
  /** The elements in one that make something of the region. */
  kids(element: E): E[]
  parent(element: E): E | null
  box(element: E): DrawnBox | undefined
  /** In small letters. */
  name(element: E): string
  /** Letters of the longest text that stands in an element itself. */
  ownText(element: E): number
}

/** What a widget in a region gets, and the bands that leave it so much. */
export interface Bands<E> {
  width: number
  bands: E[]
}

/** Bands within bands: a layout is never this deep. */
const DEEPEST = 12
/** Px: narrower is no room for a widget. */
export const NARROWEST = 120
/** Of the wider column's width, how much the narrower one has at most. */
const BESIDE = 0.75
/** Side by side: more are cards. */
const MOST_COLUMNS = 3
/** Letters: more is no label. */
const A_LINE = 30

/** What a text and its lines are made of, pictures aside. */
const ofTexts = new Set([...inline, ...flow, 'select', 'textarea'].filter((name) => !pictured.has(name)))

/** The width that most of a region's bands, by height, leave to what stands in them; null where nothing of it is drawn. */
export function bandsOf<E>(drawing: Drawing<E>, region: E): Bands<E> | null {
  const found: E[] = []
  const open: { element: E; depth: number }[] = [{ element: region, depth: 0 }]
  for (let band = open.pop(); band; band = open.pop()) {
    if (!contentOf(drawing, band.element)) continue
    const drawn = drawing.kids(band.element).filter((kid) => (drawing.box(kid)?.height ?? 0) > 0)
    const isText = band.depth >= DEEPEST || !drawn.length || holdsText(drawing, band.element, drawn)
    const kids = drawn.filter((kid) => !pictured.has(drawing.name(kid)))
    // Bands lie one under another, each as wide as the region lets it be; columns beside each other share one.
    const within = isText
      ? []
      : areStacked(drawing, kids)
        ? kids
        : [widestColumn(drawing, kids)].filter((one) => one !== null)
    if (within.length) open.push(...within.map((element) => ({ element, depth: band.depth + 1 })))
    else found.push(band.element)
  }
  const widthOf = (band: E) => contentOf(drawing, band)
  const width = mostOfHeight(found.map((band) => ({ width: widthOf(band), height: drawing.box(band)?.height ?? 0 })))
  return width === null ? null : { width, bands: found.filter((band) => widthOf(band) === width) }
}

/** Px in an element, and in what it stands in where that has less: a row may reach over the column it is in. 0 where it is not drawn. */
export function contentOf<E>(drawing: Pick<Drawing<E>, 'box' | 'parent'>, element: E): number {
  const parent = drawing.parent(element)
  const around = parent === null ? undefined : drawing.box(parent)?.content
  return Math.round(Math.max(0, Math.min(drawing.box(element)?.content ?? 0, around ?? Infinity)))
}

/** The width that has most of the height; null where nothing has any width. */
export function mostOfHeight(boxes: readonly { width: number; height: number }[]): number | null {
  const heights = new Map<number, number>()
  for (const { width, height } of boxes) if (width) heights.set(width, (heights.get(width) ?? 0) + Math.max(1, height))
  const [most] = [...heights].sort(([, a], [, b]) => b - a)
  return most ? most[0] : null
}

/** Of a row that is a main column and what stands beside it, the main one; null where they are alike, or many. */
function widestColumn<E>(drawing: Drawing<E>, kids: readonly E[]): E | null {
  const [first, second] = [...kids].sort((a, b) => drawing.box(b)!.width - drawing.box(a)!.width)
  if (kids.length > MOST_COLUMNS || !first || !second) return null
  return drawing.box(second)!.width <= drawing.box(first)!.width * BESIDE ? first : null
}

/**
 * What stands beside a part of the page and is narrower, a column with nothing in it too: a sidebar, whatever it is called.
 * @param core of the content
 */
export function columnsBeside<E>(drawing: Drawing<E>, core: E): E[] {
  const columns: E[] = []
  for (let at: E | null = core; at !== null; at = drawing.parent(at)) {
    const [own, parent] = [drawing.box(at), drawing.parent(at)]
    if (!own || parent === null) break
    for (const kid of drawing.kids(parent)) {
      const box = drawing.box(kid)
      if (!box || kid === at || box.width < NARROWEST || box.width > own.width * BESIDE) continue
      const isBeside = box.x + box.width <= own.x + 1 || box.x >= own.x + own.width - 1
      // One that is empty has no height; it begins where the content does.
      if (isBeside && box.y < own.y + own.height && box.y + box.height >= own.y) columns.push(kid)
    }
    if (columns.length) break
  }
  return columns
}

const holdsText = <E>(drawing: Drawing<E>, parent: E, kids: readonly E[]) =>
  kids.some((kid) => ofTexts.has(drawing.name(kid))) ||
  kids.every((kid) => pictured.has(drawing.name(kid))) ||
  drawing.ownText(parent) > A_LINE

/** Each begins under where the one before it ends, give or take what overlaps for looks. */
function areStacked<E>(drawing: Drawing<E>, kids: readonly E[]): boolean {
  const boxes = kids.map((kid) => drawing.box(kid)!).sort((a, b) => a.y - b.y)
  return boxes.every((box, i) => i === 0 || box.y >= boxes[i - 1]!.y + boxes[i - 1]!.height * 0.6)
}
