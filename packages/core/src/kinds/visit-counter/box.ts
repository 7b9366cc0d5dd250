import { lineCount, type FitSpec } from '../../layout'
import { lookGroup } from '../groups'
import type { Box, View } from '../kind'
import { periodsOf, type VisitCounterSettings } from './settings'

// The sizes that css.ts sets, px; e2e/fit.spec.ts holds the two together.
const SIZES = {
  heading: { of: 'heading', size: 17, line: 1.25 },
  text: { of: 'text', size: 15, line: 1.45 },
  below: 8,
} as const
export const sizesOf = (settings: VisitCounterSettings) => lookGroup.sizedAll(SIZES, settings)
const lineOf = (settings: VisitCounterSettings) => sizesOf(settings).text.size * sizesOf(settings).text.line
/** How much wider its letters are than usual. */
const widerBy = (settings: VisitCounterSettings) => sizesOf(settings).text.size / SIZES.text.size
/** Px of a row of the table beside its line. */
const ROW = 7
const DIGIT = { width: 22, height: 28, between: 8, name: 10 }
const NAME_LETTER = 7
/** A number of some thousands with the space before it. */
const NUMBER = 38
const PIECE_GAP = 20

/** Px: a name and a number beside one another. */
const LEAST = 150

const fit = (settings: VisitCounterSettings): FitSpec => ({
  columns: 1,
  gap: 0,
  padding: lookGroup.inset(settings),
  cellMin: settings.style === 'digits' ? Math.max(LEAST, settings.digits * DIGIT.width) : LEAST,
  relief: settings.style === 'digits' ? 'show fewer digits' : undefined,
})

/** Height of the numbers in so much width, px. */
const bodies: Record<VisitCounterSettings['style'], (settings: VisitCounterSettings, width: number) => number> = {
  line: (settings, width) => {
    let lines = 1
    let used = 0
    for (const id of periodsOf(settings)) {
      const piece = (settings.names[id].length * NAME_LETTER + NUMBER) * widerBy(settings)
      if (used > 0 && used + PIECE_GAP + piece > width) {
        lines += 1
        used = 0
      }
      used += (used > 0 ? PIECE_GAP : 0) + piece
    }
    return lines * lineOf(settings)
  },
  table: (settings) => periodsOf(settings).length * (lineOf(settings) + ROW),
  digits: (settings, width) => {
    const rows = periodsOf(settings).map((id) => {
      const beside =
        settings.names[id].length * NAME_LETTER * widerBy(settings) + DIGIT.name + settings.digits * DIGIT.width <=
        width
      return beside ? DIGIT.height : DIGIT.height + lineOf(settings) + 4
    })
    return rows.reduce((sum, row) => sum + row, 0) + DIGIT.between * Math.max(0, rows.length - 1)
  },
}

export const box: Box<VisitCounterSettings> = {
  one: 'a counter',
  fit,
  height({ settings }: View<VisitCounterSettings>, width: number): number {
    const { padding } = fit(settings)
    const { heading, below } = sizesOf(settings)
    const inner = width - 2 * padding
    const above = settings.title
      ? lineCount(settings.title.length, inner, heading.size) * heading.size * heading.line + below
      : 0
    return Math.ceil(above + bodies[settings.style](settings, inner) + 2 * padding)
  },
}
