/** What a layout asks of the width it is given; all in CSS px. */
export interface FitSpec {
  columns: number
  gap: number
  /** On each side of the whole widget. */
  padding: number
  /** Narrowest a cell may get before its text or picture is too small. */
  cellMin: number
  /** What would let it be narrower, as a clause; left out where nothing would. */
  relief?: string
}

export interface Fit {
  /** `fits` as asked; `fewer` columns are shown; `too-narrow` even for one. */
  verdict: 'fits' | 'fewer' | 'too-narrow'
  /** Columns that are shown, and the width each cell gets, rounded to 0.01 px. */
  columns: number
  cell: number
  /** Width each cell would get with the columns asked for; can be negative. */
  askedCell: number
  /** Narrowest placement that takes the columns asked for, and one column. */
  wantsWidth: number
  oneColumnWants: number
}

const cellWidth = (width: number, columns: number, { gap, padding }: FitSpec) =>
  (width - 2 * padding - gap * (columns - 1)) / columns

const widthFor = (columns: number, { gap, padding, cellMin }: FitSpec) =>
  columns * cellMin + gap * (columns - 1) + 2 * padding

/** How many columns a width takes, and how wide each is: CSS grid with equal `minmax(0, 1fr)` tracks (CSS Grid Layout 1, section 12.7). */
export function fit(width: number, spec: FitSpec): Fit {
  let columns = spec.columns
  while (columns > 1 && width < widthFor(columns, spec)) columns--
  const verdict = width < widthFor(columns, spec) ? 'too-narrow' : columns < spec.columns ? 'fewer' : 'fits'
  return {
    verdict,
    columns,
    cell: round(cellWidth(width, columns, spec)),
    askedCell: round(cellWidth(width, spec.columns, spec)),
    wantsWidth: widthFor(spec.columns, spec),
    oneColumnWants: widthFor(1, spec),
  }
}

/** The widths from which two, three … columns are shown, for container queries that agree with `fit`. */
export function columnSteps(spec: FitSpec): { from: number; columns: number }[] {
  return Array.from({ length: spec.columns - 1 }, (_, i) => ({ from: widthFor(i + 2, spec), columns: i + 2 }))
}

const round = (px: number) => Math.round(px * 100) / 100
