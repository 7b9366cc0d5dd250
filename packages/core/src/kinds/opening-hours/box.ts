import { textHeight } from '../../layout'
import { lookGroup } from '../groups'
import type { Box, View } from '../kind'
import { openNowData } from './open-now-data'
import type { OpeningHoursSettings } from './settings'
import { hoursOf, specialRows, weekInLine, weekRows, type Row, type SpecialRow } from './view'

/** Px and multiples that css.ts sets. */
const SIZES = {
  heading: { of: 'heading', size: 17, line: 1.25 },
  text: { of: 'text', size: 15, line: 1.45 },
  below: 8,
} as const
export const sizesOf = (settings: OpeningHoursSettings) => lookGroup.sizedAll(SIZES, settings)
/** Px above and below the words of a row, and the line that divides it from the one above. */
export const ROW = { padding: 4, edge: 1, bar: 3, beside: 9 } as const
/** Px around the words of a badge, its edge, and its mark with the space beside it. */
export const BADGE = { block: 6, side: 14, edge: 1, mark: 18 } as const
/** Share of the table that names take. */
export const NAMES = 0.44
/** Px: the narrowest place that takes a time of opening and closing in a line. */
const LEAST = { table: 220, line: 120, badge: 150 } as const
/** How many of their own size figures and the dash between them are wide. */
const FIGURE = 0.54

/** Lines that openings take, none of them broken within itself. */
function openingLines(hours: readonly string[], width: number, size: number): number {
  let lines = 1
  let used = 0
  for (const one of hours) {
    const wide = one.length * FIGURE * size
    if (used > 0 && used + size * 0.3 + wide > width) {
      lines++
      used = 0
    }
    used += (used > 0 ? size * 0.3 : 0) + wide
  }
  return lines
}

/** The longest of what may be said of now: room is kept for it. */
const longest = (view: View<OpeningHoursSettings>): string => {
  const { settings } = view
  const hours = hoursOf(view)!
  const said = Object.values(openNowData(view)!.words).map((words) =>
    words.replace('{time}', '00:00').replace('{day}', weekRows(hours, { ...settings, joined: false })[2]!.name),
  )
  const all = settings.style === 'table' ? said : [...said, weekInLine(hours, settings)]
  return all.reduce((a, b) => (b.length > a.length ? b : a))
}

function rowsHeight(rows: readonly (Row | SpecialRow)[], width: number, settings: OpeningHoursSettings): number {
  const { size, line } = sizesOf(settings).text
  const names = width * NAMES - ROW.bar - 2 * ROW.beside
  return rows.reduce(
    (sum, row) => {
      const called = 'called' in row && row.called ? ` ${row.called}` : ''
      const height = Math.max(
        textHeight((row.name + called).length, names, size, line),
        openingLines(row.hours, width * (1 - NAMES), size) * size * line,
      )
      return sum + height + 2 * ROW.padding
    },
    ROW.edge * Math.max(0, rows.length - 1),
  )
}

export const box: Box<OpeningHoursSettings> = {
  one: 'a week',
  fit: (settings) => ({
    columns: 1,
    gap: 0,
    padding: lookGroup.inset(settings),
    cellMin: LEAST[settings.style],
    relief: settings.style === 'table' ? 'show a line instead of the table' : undefined,
  }),
  height(view: View<OpeningHoursSettings>, width: number): number {
    const { settings } = view
    const hours = hoursOf(view)
    if (!hours) return 0
    const { heading, text, below } = sizesOf(settings)
    const padding = lookGroup.inset(settings)
    const inner = width - 2 * padding
    const lines = (words: string, wide: number) => textHeight(words.length, wide, text.size, text.line)
    const above = settings.title ? textHeight(settings.title.length, inner, heading.size, heading.line) + below : 0
    const bodies: Record<OpeningHoursSettings['style'], () => number> = {
      line: () => lines(longest(view), inner),
      badge: () =>
        lines(longest(view), inner - 2 * (BADGE.side + BADGE.edge) - BADGE.mark) + 2 * (BADGE.block + BADGE.edge),
      table: () =>
        (settings.state ? lines(longest(view), inner) + below : 0) +
        rowsHeight(
          [...weekRows(hours, settings), ...specialRows(hours, settings).slice(0, settings.ahead)],
          inner,
          settings,
        ) +
        (settings.ahead > 0 && hours.special.length ? ROW.edge : 0),
    }
    return Math.ceil(above + bodies[settings.style]() + 2 * padding)
  },
}
