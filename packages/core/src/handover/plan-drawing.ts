import { escapeAttribute, escapeText } from '../markup'
import type { Region } from '../platforms'

/** A placement of a page, as wide as it is. */
export interface DrawnPlacement {
  region: Region
  /** Px. */
  width: number
  name: string
  /** Where what the sheet is about goes. */
  isChosen: boolean
}

/** Of the drawing, in its own units. */
const WIDTH = 320
const ROW = { header: 34, main: 44, sidebar: 44, footer: 34 } satisfies Record<Region, number>
const GAP = 8

interface Box extends DrawnPlacement {
  x: number
  y: number
  w: number
  h: number
}

/** Placements of one region, one under another, as wide as they are to the page's widest. */
function column(placements: readonly DrawnPlacement[], x: number, y: number, room: number, scale: number): Box[] {
  return placements.map((one, i) => {
    const h = ROW[one.region]
    return { ...one, x, y: y + i * (h + GAP), w: Math.max(24, Math.min(room, one.width * scale)), h }
  })
}

const below = (boxes: readonly Box[], y: number) => boxes.reduce((end, box) => Math.max(end, box.y + box.h + GAP), y)

/**
 * Where on a page something goes: its placements as boxes, to scale by width, with one marked. SVG.
 * @param label read out in its place
 */
export function planDrawing(placements: readonly DrawnPlacement[], label: string): string {
  const of = (region: Region) => placements.filter((one) => one.region === region)
  const widest = (region: Region) => Math.max(0, ...of(region).map(({ width }) => width))
  const inner = WIDTH - 2 * GAP
  const across = Math.max(widest('header'), widest('footer'), widest('main') + widest('sidebar'), 1)
  const scale = (inner - GAP) / across
  const head = column(of('header'), GAP, GAP * 2.5, inner, scale)
  const top = below(head, GAP * 2.5)
  const main = column(of('main'), GAP, top, inner, scale)
  const beside = widest('main') ? Math.min(inner * 0.75, widest('main') * scale) + GAP : 0
  const side = column(of('sidebar'), GAP + beside, top, inner - beside, scale)
  const middle = Math.max(below(main, top), below(side, top))
  const foot = column(of('footer'), GAP, middle, inner, scale)
  const boxes = [...head, ...main, ...side, ...foot]
  const height = below(boxes, middle) + GAP
  const drawn = boxes.map(
    ({ x, y, w, h, isChosen, name }) =>
      `<rect x="${round(x)}" y="${round(y)}" width="${round(w)}" height="${h}" fill="${isChosen ? '#17665a' : 'none'}" stroke="${isChosen ? '#17665a' : '#51606a'}"${isChosen ? '' : ' stroke-dasharray="3 3"'}/>` +
      `<text x="${round(x + 6)}" y="${round(y + h / 2 + 4)}" font-size="11" fill="${isChosen ? '#fffdf8' : '#51606a'}">${escapeText(shortened(name, w))}</text>`,
  )
  return `<svg viewBox="0 0 ${WIDTH} ${round(height)}" width="${WIDTH}" height="${round(height)}" role="img" aria-label="${escapeAttribute(label)}" font-family="inherit"><rect x=".5" y=".5" width="${WIDTH - 1}" height="${round(height - 1)}" fill="#fffdf8" stroke="#d3cbb9"/><path d="M${GAP} ${GAP * 1.25}h${inner}" stroke="#d3cbb9" stroke-width="3"/>${drawn.join('')}</svg>`
}

const round = (value: number) => Math.round(value * 10) / 10

/** Units that a letter takes, about. */
const LETTER = 6

function shortened(name: string, width: number): string {
  const most = Math.floor((width - 10) / LETTER)
  return name.length <= most ? name : most < 4 ? '' : `${name.slice(0, most - 1)}…`
}
