/** What a layout asks of the width it is given; all in CSS px. */
export interface FitSpec {
  columns: number
  /** Columns asked for in narrower places; where none are given, as many as fit. */
  narrower?: Partial<Record<NarrowClass, number>>
  gap: number
  /** On each side of the whole widget. */
  padding: number
  /** Narrowest a cell may get before its text or picture is too small. */
  cellMin: number
  /** What would let it be narrower, as a clause; left out where nothing would. */
  relief?: string
}

export type NarrowClass = 'tablet' | 'phone'

/** Widths of a placement, px, below which it is like a phone's or a tablet's; the placement decides, not the window. */
export const NARROW: Record<NarrowClass, number> = { phone: 480, tablet: 800 }

export interface Fit {
  /** `fits` as asked; `fewer` columns are shown; `too-narrow` for those that are shown. */
  verdict: 'fits' | 'fewer' | 'too-narrow'
  /** Columns that are asked for in this width. */
  asked: number
  /** Columns that are shown, and the width each cell gets, rounded to 0.01 px. */
  columns: number
  cell: number
  /** Width each cell would get with the columns asked for; can be negative. */
  askedCell: number
  /** Narrowest placement that takes the columns asked for, and those that are shown. */
  wantsWidth: number
  shownWants: number
}

const cellWidth = (width: number, columns: number, { gap, padding }: FitSpec) =>
  (width - 2 * padding - gap * (columns - 1)) / columns

const widthFor = (columns: number, { gap, padding, cellMin }: FitSpec) =>
  columns * cellMin + gap * (columns - 1) + 2 * padding

/** Columns that somebody gave for places as narrow as this; those are shown whatever a cell then measures. */
function givenFor(width: number, { narrower }: FitSpec): number | undefined {
  if (width < NARROW.phone && narrower?.phone) return narrower.phone
  return width < NARROW.tablet ? narrower?.tablet : undefined
}

/** How many columns a width takes, and how wide each is: CSS grid with equal `minmax(0, 1fr)` tracks (CSS Grid Layout 1, section 12.7). */
export function fit(width: number, spec: FitSpec): Fit {
  const given = givenFor(width, spec)
  const asked = given ?? spec.columns
  let columns = asked
  if (given === undefined) while (columns > 1 && width < widthFor(columns, spec)) columns--
  const verdict = width < widthFor(columns, spec) ? 'too-narrow' : columns < asked ? 'fewer' : 'fits'
  return {
    verdict,
    asked,
    columns,
    cell: round(cellWidth(width, columns, spec)),
    askedCell: round(cellWidth(width, asked, spec)),
    wantsWidth: widthFor(asked, spec),
    shownWants: widthFor(columns, spec),
  }
}

/** From which width so many columns are shown, narrowest first, beginning at 0; for container queries that agree with `fit`. */
export function columnSteps(spec: FitSpec): { from: number; columns: number }[] {
  const turns = [
    0,
    ...Object.values(NARROW),
    ...Array.from({ length: spec.columns - 1 }, (_, i) => widthFor(i + 2, spec)),
  ]
  const steps = [...new Set(turns)].sort((a, b) => a - b).map((from) => ({ from, columns: fit(from, spec).columns }))
  return steps.filter(({ columns }, at) => columns !== steps[at - 1]?.columns)
}

const round = (px: number) => Math.round(px * 100) / 100
