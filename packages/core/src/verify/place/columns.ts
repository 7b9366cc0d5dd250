import type { Element } from 'domhandler'
import type { Page } from '../page'
import { declared, type Declared } from './declared'

/** Px that a page's columns share, where nothing says how many. */
const USUAL_WIDTH = 1140

/** One child of an element, and where it lies among the others. */
export interface Column {
  element: Element
  /** Of the row's width, 0 to 1; null where nothing tells. */
  share: number | null
  /** Rows it takes, from 0; children of one row lie side by side. */
  row: number
}

const fractions: Record<string, number> = {
  full: 1,
  half: 1 / 2,
  'one-half': 1 / 2,
  'one-third': 1 / 3,
  'two-thirds': 2 / 3,
  'one-quarter': 1 / 4,
  'one-fourth': 1 / 4,
  'three-quarters': 3 / 4,
  'three-fourths': 3 / 4,
  'one-fifth': 1 / 5,
  'two-fifths': 2 / 5,
  'three-fifths': 3 / 5,
  'four-fifths': 4 / 5,
}
const counts: Record<string, number> = Object.fromEntries(
  'one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen'
    .split(' ')
    .map((word, i) => [word, i + 1]),
)

/** Of the widths a page takes, the widest screen's counts: `md:` and `-lg-` come after those for narrower ones. */
const SCREENS = [
  'xs',
  's',
  'sm',
  'small',
  'm',
  'md',
  'medium',
  'tablet',
  'l',
  'lg',
  'large',
  'desktop',
  'xl',
  'xlarge',
  'xxl',
  '2xl',
]

/** A share that a class of a grid of twelve, of sixteen or of fractions names; null where it names none. */
export function shareNamed(name: string): { share: number; screen: number } | null {
  const [, prefix = '', core = ''] = /^(?:([a-z0-9]+)[:@])?(.+)$/i.exec(name.toLowerCase()) ?? []
  const screenOf = (word: string) => Math.max(0, SCREENS.indexOf(word))
  const given = (share: number, screen = prefix) =>
    share > 0 && share <= 1 ? { share, screen: screenOf(screen) } : null
  let m: RegExpExecArray | null
  if ((m = /^(?:.*-)?(?:w|width|basis|size|is|u|unit)-(?:[a-z]+-)?(\d{1,2})[/-](\d{1,2})$/.exec(core)))
    return given(Number(m[1]) / Number(m[2]))
  if ((m = /^(?:col|column|cell|grid)-(?:(xs|sm|md|lg|xl|xxl|s|m|l)-)?(\d{1,2})$/.exec(core)))
    return given(Number(m[2]) / 12, m[1] ?? prefix)
  if ((m = /^(?:col-)?span-?_?(\d{1,2})$/.exec(core))) return given(Number(m[1]) / 12)
  if ((m = /^(small|medium|large|xlarge|s|m|l|xl)-?(\d{1,2})$/.exec(core))) return given(Number(m[2]) / 12, m[1])
  if (
    (m = /^(?:w|width)-(\d{2,3})(?:p|pc|percent)?$/.exec(core)) &&
    ['25', '33', '50', '66', '75', '100'].includes(m[1]!)
  )
    return given(Number(m[1]) / 100)
  const word = core.replace(/^(?:is|col|column|width|w|grid)-/, '')
  return fractions[word] ? given(fractions[word]) : null
}

/** Px that a utility class names as a width: `w-64` counts in quarters of 16 px, `w-[300px]` says it. */
function pixelsNamed(name: string): number | null {
  const core = name.replace(/^.*:/, '')
  const arbitrary = /^(?:w|basis|max-w)-\[(\d+(?:\.\d+)?)(px|rem)\]$/.exec(core)
  if (arbitrary) return Number(arbitrary[1]) * (arbitrary[2] === 'rem' ? 16 : 1)
  const scale = /^(?:w|basis)-(\d{2,3})$/.exec(core)
  return scale && Number(scale[1]) >= 40 && Number(scale[1]) <= 96 ? Number(scale[1]) * 4 : null
}

/** A share from a CSS length or percentage. */
function shareWritten(text: string | undefined, of = USUAL_WIDTH): number | null {
  const m = /^(\d+(?:\.\d+)?|\.\d+)(%|px|rem|em)?$/.exec(text?.trim() ?? '')
  if (!m) return null
  const amount = Number(m[1])
  const share = m[2] === '%' ? amount / 100 : (amount * (m[2] === 'rem' || m[2] === 'em' ? 16 : 1)) / of
  return share > 0 ? Math.min(1, share) : null
}

const classesOf = ({ attribs }: Element) => (attribs.class ?? '').slice(0, 2000).split(/\s+/).filter(Boolean)

/** How much of its row an element takes, by what is declared for it or what its classes name. */
export function shareOf(page: Page, element: Element): number | null {
  const own = declared(page, element)
  const basis = own['flex-basis'] ?? /(?:^|\s)([\d.]+(?:%|px|rem|em))$/.exec(own.flex ?? '')?.[1]
  const written =
    shareWritten(basis) ??
    shareWritten(own.width) ??
    (element.name === 'td' || element.name === 'th' ? shareWritten(element.attribs.width, 1000) : null)
  if (written !== null) return written
  let best: { share: number; screen: number } | null = null
  const classes = classesOf(element)
  for (const name of classes) {
    const named = shareNamed(name)
    if (named && (!best || named.screen >= best.screen)) best = named
  }
  if (best) return best.share
  // "eight columns": of twelve, or of sixteen where that many are counted.
  if (classes.some((name) => /^columns?$/i.test(name)))
    for (const name of classes)
      if (counts[name.toLowerCase()]) return counts[name.toLowerCase()]! / (counts[name.toLowerCase()]! > 12 ? 16 : 12)
  for (const name of classes) {
    const pixels = pixelsNamed(name)
    if (pixels) return Math.min(1, pixels / USUAL_WIDTH)
  }
  return null
}

const isRowClass = (name: string) =>
  /^(?:[a-z0-9]+:)?(?:row|rows?-?fluid|columns|cols|grid|flex|inline-flex|d-flex|d-grid|flex-row|two-columns?|layout-columns|table-row)$/i.test(
    name,
  ) || /^(?:[a-z0-9]+:)?(?:grid-cols-|columns-\d|cols-\d)/i.test(name)

/** Whether an element puts its children side by side on a wide screen; null where nothing tells. */
function putsSideBySide(page: Page, element: Element): boolean | null {
  if (element.name === 'tr') return true
  if (element.name === 'table' || element.name === 'tbody') return false
  const own = declared(page, element)
  if (/^(inline-)?flex/.test(own.display ?? ''))
    return !/column/.test(`${own['flex-direction'] ?? ''} ${own['flex-flow'] ?? ''}`)
  if (/^(inline-)?grid/.test(own.display ?? ''))
    return Boolean(own['grid-template-columns'] ?? own['grid-template-areas'])
  const classes = classesOf(element)
  const bare = classes.map((name) => name.replace(/^.*:/, ''))
  if (bare.includes('flex-col') || bare.includes('flex-column')) {
    // Down on a phone and across on a wide screen, or down everywhere.
    return classes.some((name) => /:flex-row$|-row$/.test(name)) ? true : false
  }
  return classes.some(isRowClass) ? true : null
}

/** Widths of the tracks of a grid, as shares; null for a track as wide as what stands in it. */
function tracksOf(text: string | undefined): (number | null)[] {
  const parts = (text ?? '')
    .replace(/repeat\((\d+),([^)]*)\)/g, (_, n: string, what: string) => `${what} `.repeat(Math.min(24, Number(n))))
    .match(/minmax\([^)]*\)|[^\s]+/g)
  if (!parts) return []
  const sizes = parts.slice(0, 48).map((part) => {
    const inner = /^minmax\([^,]*,([^)]*)\)$/.exec(part)?.[1]?.trim() ?? part
    return { part: inner, fr: /^(\d+(?:\.\d+)?|\.\d+)fr$/.exec(inner)?.[1], share: shareWritten(inner) }
  })
  const taken = sizes.reduce((sum, { share }) => sum + (share ?? 0), 0)
  const fractions = sizes.reduce((sum, { fr }) => sum + Number(fr ?? 0), 0)
  return sizes.map(({ fr, share }) => share ?? (fr ? (Math.max(0.05, 1 - taken) * Number(fr)) / fractions : null))
}

/** Rows and shares by the areas a grid names. */
function byAreas(own: Declared, page: Page, kids: readonly Element[]): Column[] | null {
  const rows = own['grid-template-areas']?.match(/"[^"]*"|'[^']*'/g)?.map((row) => row.slice(1, -1).trim().split(/\s+/))
  if (!rows) return null
  const tracks = tracksOf(own['grid-template-columns'])
  return kids.map((element) => {
    const area = declared(page, element)['grid-area']
    const row = rows.findIndex((names) => names.includes(area ?? ''))
    if (!area || row < 0) return { element, share: null, row: -1 }
    const cells = rows[row]!
    const share = cells.reduce((sum, name, i) => (name === area ? sum + (tracks[i] ?? 1 / cells.length) : sum), 0)
    return { element, share: Math.min(1, share), row }
  })
}

/** Tracks that classes of a grid name: `grid-cols-12`, `grid-cols-[1fr_300px]`. */
function tracksNamed(element: Element): { count: number; tracks: (number | null)[] } | null {
  for (const name of classesOf(element).reverse()) {
    const core = name.replace(/^.*?:(?=grid-cols)/, '')
    const count = /^grid-cols-(\d{1,2})$/.exec(core)
    if (count) return { count: Number(count[1]), tracks: [] }
    const written = /^grid-cols-\[(.+)\]$/.exec(core)
    if (written) {
      const tracks = tracksOf(written[1]!.replace(/_/g, ' '))
      return { count: tracks.length, tracks }
    }
  }
  return null
}

/** Of the twelve, how many columns a class makes an element span. */
const spanNamed = (element: Element): number | null => {
  let found: number | null = null
  for (const name of classesOf(element)) {
    const m = /(?:^|:)col-span-(\d{1,2})$/.exec(name)
    if (m) found = Number(m[1])
  }
  return found
}

/** Where the children of an element lie: which share a row, and how much of it each takes. */
export function columnsOf(page: Page, parent: Element, kids: readonly Element[]): Column[] {
  const own = declared(page, parent)
  const areas = byAreas(own, page, kids)
  if (areas) return areas
  const across = putsSideBySide(page, parent)
  const grid = tracksNamed(parent)
  const tracks = grid?.tracks.length
    ? grid.tracks
    : tracksOf(/grid/.test(own.display ?? '') ? own['grid-template-columns'] : undefined)
  if (tracks.length > 1) return inTracks(page, kids, tracks)
  let [row, filled] = [0, 0]
  return kids.map((element) => {
    const span = grid ? spanNamed(element) : null
    const share = grid ? Math.min(1, (span ?? 1) / grid.count) : shareOf(page, element)
    const beside = across ?? (floats(page, element) || (share !== null && share < 0.95))
    const takes = beside ? (share ?? 0.01) : 1
    // A row is full when nothing more fits in it.
    if (filled > 0 && filled + takes > 1.06) [row, filled] = [row + 1, 0]
    filled += takes
    return { element, share, row }
  })
}

/** Children of a grid, each in the next cell it fits in, as wide as it says (CSS Grid Layout, section 8.5, sparse). */
function inTracks(page: Page, kids: readonly Element[], tracks: readonly (number | null)[]): Column[] {
  let [row, next] = [0, 0]
  return kids.map((element) => {
    const { start, span } = linesOf(declared(page, element)['grid-column'], tracks.length)
    if ((start ?? next) < next || (start ?? next) + span > tracks.length) [row, next] = [row + 1, 0]
    const from = start ?? next
    next = from + span
    const shares = tracks.slice(from, next)
    const known = shares.every((share) => share !== null)
    return {
      element,
      share: known
        ? Math.min(
            1,
            shares.reduce<number>((sum, share) => sum + share!, 0),
          )
        : null,
      row,
    }
  })
}

/** `grid-column`: from which track, counted from 0, and over how many. */
function linesOf(text: string | undefined, count: number): { start: number | null; span: number } {
  const [, from, to] = /^(span\s+\d+|-?\d+|auto)(?:\s*\/\s*(span\s+\d+|-?\d+|auto))?$/.exec(text?.trim() ?? '') ?? []
  const line = (word: string | undefined) => {
    const number = word && /^-?\d+$/.test(word) ? Number(word) : null
    return number === null ? null : number > 0 ? number - 1 : count + 1 + number
  }
  const over = Number(/span\s+(\d+)/.exec(`${from} ${to}`)?.[1] ?? 1)
  const [start, end] = [line(from), line(to)]
  const span = start !== null && end !== null ? Math.abs(end - start) : over
  return {
    start: start !== null && end !== null ? Math.min(start, end) : start,
    span: Math.max(1, Math.min(count, span)),
  }
}

const floats = (page: Page, element: Element) =>
  /^(left|right)$/.test(declared(page, element).float ?? '') ||
  classesOf(element).some((name) => /(^|:)(float|pull)-(left|right|start|end)$/.test(name))
