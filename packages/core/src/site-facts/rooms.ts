import type { Element } from 'domhandler'
import { isSameWidth } from '../layout'
import { readElement } from '../methods'
import type { Region } from '../platforms'
import type { BrowserLookId } from '../verify/look-kinds'
import { isElement, type Page } from '../verify/page'
import { markOf } from '../verify/place/mark'
import { flow, skipped } from '../verify/place/page-layout'
import { regionsOf } from '../verify/place/regions'

/** What a browser measured of an element at one width, px from the page's top left. */
export interface MeasuredBox {
  x: number
  y: number
  width: number
  height: number
  /** Of what can stand in it: without padding and border. */
  content: number
}

/** A page as a browser has it, each element numbered by an attribute, and each number's box at each width. */
export interface MeasuredPage {
  page: Page
  boxes: Record<BrowserLookId, ReadonlyMap<number, MeasuredBox>>
}

/** The attribute that numbers an element. */
export const NUMBER = 'data-pebblestrand-number'

/** Room for widgets in one region of a page. */
export interface Room {
  region: Region
  name: string
  /** Px that a widget there gets, at each width; null where the region is not shown then. */
  widths: Record<BrowserLookId, number | null>
  /** Where the region is drawn in a wide window. */
  box: Omit<MeasuredBox, 'content'>
  /** A selector that finds it, where something is likely to stay. */
  mark: string | null
}

/** Narrower is no room for a widget. */
const NARROWEST = 120
/** Of each region, the widest ones. */
const MOST: Record<Region, number> = { header: 1, main: 1, sidebar: 2, footer: 1 }

/** The rooms of a page, from its top to its foot. */
export function roomsOf(measured: MeasuredPage): Room[] {
  const { page } = measured
  const found: Room[] = []
  for (const [element, { region }] of regionsOf(page).labels) {
    const box = boxAt(measured, 'desktop', element)
    if (!box || box.width < NARROWEST) continue
    const wide = roomIn(measured, element, region)
    if (!wide || wide.width < NARROWEST) continue
    const widthAt = (id: BrowserLookId) => commonWidth(measured, id, wide.bands)
    const holder = wide.bands.length === 1 ? wide.bands[0]! : element
    found.push({
      region,
      name: region,
      widths: { phone: widthAt('phone'), tablet: widthAt('tablet'), desktop: wide.width },
      box: around(wide.bands.map((band) => boxAt(measured, 'desktop', band)!)),
      mark: markOf(page, holder) ?? markOf(page, element),
    })
  }
  const main = Math.max(0, ...found.filter(({ region }) => region === 'main').map(({ widths }) => widths.desktop!))
  const plausible = found.filter((room) => room.region !== 'sidebar' || isColumn(room, main))
  const kept = (Object.keys(MOST) as Region[]).flatMap((region) =>
    best(
      plausible.filter((one) => one.region === region),
      MOST[region],
    ),
  )
  return kept.map((room) => ({ ...room, name: nameOf(room, kept) }))
}

/** Narrower than the main column, and no mere line; an empty one has no height yet. */
const isColumn = ({ widths, box }: Room, main: number) =>
  (main === 0 || widths.desktop! <= main * 0.8) && (box.height < 1 || box.height >= 60)

/** The largest, and those apart from them. */
function best(rooms: Room[], most: number): Room[] {
  const kept: Room[] = []
  for (const room of [...rooms].sort((a, b) => area(b) - area(a))) {
    if (kept.length === most) break
    // Pieces of one column are one room.
    if (!kept.some((other) => overlap(room.box, other.box))) kept.push(room)
  }
  return kept.sort((a, b) => a.box.x - b.box.x)
}

const area = ({ box }: Room) => Math.max(1, box.width) * Math.max(1, box.height)
const overlap = (a: Room['box'], b: Room['box']) => a.x < b.x + b.width && b.x < a.x + a.width

function nameOf(room: Room, all: readonly Room[]): string {
  const same = all.filter(({ region }) => region === room.region)
  if (same.length < 2) return room.region
  return `${room === same[0] ? 'left' : 'right'} ${room.region}`
}

const boxAt = ({ boxes }: MeasuredPage, id: BrowserLookId, element: Element): MeasuredBox | undefined =>
  boxes[id].get(Number(element.attribs[NUMBER] ?? NaN))

/** One box around some. */
function around(boxes: readonly MeasuredBox[]): Room['box'] {
  const [x, y] = [Math.min(...boxes.map((box) => box.x)), Math.min(...boxes.map((box) => box.y))]
  const right = Math.max(...boxes.map((box) => box.x + box.width))
  const bottom = Math.max(...boxes.map((box) => box.y + box.height))
  return { x, y, width: right - x, height: bottom - y }
}

/** What a widget gets, and the bands that leave it so much. */
interface Bands {
  width: number
  bands: Element[]
}

/**
 * What a widget in a region gets: the width that most of the region's bands, by height, leave to what stands in them. What
 * begins another region is none of its bands, nor is a widget that stands there already.
 */
function roomIn(measured: MeasuredPage, region: Element, own: Region): Bands | null {
  const { labels } = regionsOf(measured.page)
  const isOther = (element: Element) => {
    const label = labels.get(element)
    return label !== undefined && label.region !== own
  }
  const found: Element[] = []
  const bands: { element: Element; depth: number }[] = [{ element: region, depth: 0 }]
  for (let band = bands.pop(); band; band = bands.pop()) {
    if (!contentAt(measured, 'desktop', band.element)) continue
    const kids = band.element.children.filter(
      (kid): kid is Element =>
        isElement(kid) &&
        !skipped.has(kid.name) &&
        !isOther(kid) &&
        !isOurs(kid) &&
        (boxAt(measured, 'desktop', kid)?.height ?? 0) > 0,
    )
    // Bands lie one under another, each as wide as the region lets it be; columns beside each other share one.
    const isStack = band.depth < 12 && kids.length > 0 && !isText(band.element, kids) && areStacked(measured, kids)
    if (isStack) bands.push(...kids.map((element) => ({ element, depth: band.depth + 1 })))
    else found.push(band.element)
  }
  const width = commonWidth(measured, 'desktop', found)
  return width === null
    ? null
    : { width, bands: found.filter((band) => contentAt(measured, 'desktop', band) === width) }
}

/** Px in an element, and in what it stands in where that has less: a row may reach over the column it is in. 0 where it is not drawn. */
function contentAt(measured: MeasuredPage, id: BrowserLookId, element: Element): number {
  const own = boxAt(measured, id, element)?.content ?? 0
  const parent = isElement(element.parent) ? boxAt(measured, id, element.parent)?.content : undefined
  return Math.round(Math.max(0, Math.min(own, parent ?? Infinity)))
}

/** The width that most of some bands have, by height; null where none is drawn. */
function commonWidth(measured: MeasuredPage, id: BrowserLookId, bands: readonly Element[]): number | null {
  const heights = new Map<number, number>()
  for (const band of bands) {
    const width = contentAt(measured, id, band)
    if (width) heights.set(width, (heights.get(width) ?? 0) + Math.max(1, boxAt(measured, id, band)!.height))
  }
  const [most] = [...heights].sort(([, a], [, b]) => b - a)
  return most ? most[0] : null
}

/** A widget of ours, and what was put around it for it alone. */
function isOurs(element: Element): boolean {
  for (let at: Element = element; ;) {
    if (readElement(at)) return true
    const kids = at.children.filter((kid) =>
      isElement(kid) ? kid.name !== 'script' : kid.type === 'text' && kid.data.trim(),
    )
    if (kids.length !== 1 || !isElement(kids[0]!)) return false
    at = kids[0]
  }
}

/** What stands in a line. */
const inline = new Set('a span b i em strong small label button input select textarea time svg code'.split(' '))

const isText = (parent: Element, kids: readonly Element[]) =>
  kids.some((kid) => flow.has(kid.name) || inline.has(kid.name)) ||
  parent.children.some((child) => child.type === 'text' && child.data.trim().length > 30)

/** Each begins under where the one before it ends, give or take what overlaps for looks. */
function areStacked(measured: MeasuredPage, kids: readonly Element[]): boolean {
  const boxes = kids.map((kid) => boxAt(measured, 'desktop', kid)!).sort((a, b) => a.y - b.y)
  return boxes.every((box, i) => i === 0 || box.y >= boxes[i - 1]!.y + boxes[i - 1]!.height * 0.6)
}

/** A room as a site has it: on all of its pages that were measured, or on some. */
export interface SharedRoom extends Room {
  /** Positions of the pages it is on; null where it is on most. */
  on: number[] | null
}

/** The rooms of a site from those of its pages: what most have is everywhere, what few have is theirs. */
export function sharedRooms(pages: readonly (readonly Room[])[]): SharedRoom[] {
  const groups: { room: Room; on: number[] }[] = []
  pages.forEach((rooms, at) => {
    for (const room of rooms) {
      const same = groups.find(({ room: one, on }) => isSame(one, room) && !on.includes(at))
      if (same) same.on.push(at)
      else groups.push({ room, on: [at] })
    }
  })
  const rooms = groups.map(({ room, on }): SharedRoom => {
    const isEverywhere = on.length * 2 > pages.length || pages.length === 1
    return { ...room, on: isEverywhere ? null : on }
  })
  const everywhere = rooms.filter(({ on }) => on === null)
  // One page that has a shared room in another width has it all the same.
  const own = rooms.filter(
    ({ on, region, name }) => on && !everywhere.some((room) => room.region === region && room.name === name),
  )
  return [...everywhere, ...own]
}

const isSame = (one: Room, other: Room) =>
  one.region === other.region &&
  one.name === other.name &&
  isSameWidth(one.widths.desktop ?? 0, other.widths.desktop ?? 0)
