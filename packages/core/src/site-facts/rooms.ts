import type { Element } from 'domhandler'
import { isSameWidth } from '../layout'
import type { Region } from '../platforms'
import type { BrowserLookId } from '../verify/look-kinds'
import { isOurs } from '../verify/ours'
import { isElement, type Page } from '../verify/page'
import { markOf } from '../verify/place/mark'
import { skipped } from '../verify/place/element-names'
import { regionsOf } from '../verify/place/regions'
import { bandsOf, columnsBeside, contentOf, mostOfHeight, NARROWEST, type Bands, type Drawing } from './bands'

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

/** Of each region, the widest ones. */
const MOST: Record<Region, number> = { header: 1, main: 1, sidebar: 2, footer: 1 }

/** The rooms of a page, from its top to its foot. */
export function roomsOf(measured: MeasuredPage): Room[] {
  const { page } = measured
  const found: Room[] = []
  const add = (element: Element, region: Region): Bands<Element> | null => {
    const box = boxAt(measured, 'desktop', element)
    const wide = box && box.width >= NARROWEST ? roomIn(measured, element, region) : null
    if (!wide || wide.width < NARROWEST) return null
    const widthAt = (id: BrowserLookId) => commonWidth(measured, id, wide.bands)
    const holder = wide.bands.length === 1 ? wide.bands[0]! : element
    found.push({
      region,
      name: region,
      widths: { phone: widthAt('phone'), tablet: widthAt('tablet'), desktop: wide.width },
      box: around(wide.bands.map((band) => boxAt(measured, 'desktop', band)!)),
      mark: markOf(page, holder) ?? markOf(page, element),
    })
    return wide
  }
  const contents: Element[] = []
  for (const [element, { region }] of regionsOf(page).labels) {
    const wide = add(element, region)
    if (region === 'main' && wide) contents.push(...wide.bands)
  }
  // A column beside the content that nothing names is a sidebar all the same.
  if (!found.some(({ region }) => region === 'sidebar')) {
    const drawing = drawingOf(measured, () => false)
    for (const column of new Set(contents.flatMap((content) => columnsBeside(drawing, content)))) add(column, 'sidebar')
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

/**
 * What a widget in a region gets, by the region's bands. What begins another region is none of them, nor is a widget that
 * stands there already.
 */
function roomIn(measured: MeasuredPage, region: Element, own: Region): Bands<Element> | null {
  const { labels } = regionsOf(measured.page)
  const isOther = (element: Element) => {
    const label = labels.get(element)
    return label !== undefined && label.region !== own
  }
  return bandsOf(drawingOf(measured, isOther), region)
}

/** The page as it was measured in a wide window. */
const drawingOf = (measured: MeasuredPage, isOther: (element: Element) => boolean): Drawing<Element> => ({
  kids: ({ children }) =>
    children.filter((kid): kid is Element => isElement(kid) && !skipped.has(kid.name) && !isOther(kid) && !isOurs(kid)),
  parent: ({ parent }) => (parent && isElement(parent) ? parent : null),
  box: (element) => boxAt(measured, 'desktop', element),
  name: ({ name }) => name,
  ownText: ({ children }) =>
    Math.max(0, ...children.map((child) => (child.type === 'text' ? child.data.trim().length : 0))),
})

/** Px in an element at a width, and in what it stands in where that has less. 0 where it is not drawn. */
const contentAt = (measured: MeasuredPage, id: BrowserLookId, element: Element): number =>
  contentOf(
    {
      parent: ({ parent }) => (parent && isElement(parent) ? parent : null),
      box: (one: Element) => boxAt(measured, id, one),
    },
    element,
  )

/** The width that most of some bands have, by height; null where none is drawn. */
const commonWidth = (measured: MeasuredPage, id: BrowserLookId, bands: readonly Element[]): number | null =>
  mostOfHeight(
    bands.map((band) => ({
      width: contentAt(measured, id, band),
      height: boxAt(measured, id, band)?.height ?? 0,
    })),
  )

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
