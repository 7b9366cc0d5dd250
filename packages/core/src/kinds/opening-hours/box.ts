import { textHeight } from '../../layout'
import { textWidth } from '../../pictured'
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
/** How much wider than a plain face a site's own may be. */
const WIDER = 1.04

/** Lines that short words take in a narrow column, broken between them, and within one that is longer than a line. */
function wrapped(text: string, width: number, size: number): number {
  let lines = 0
  let left = 0
  for (const word of text.split(/\s+/)) {
    const wide = textWidth(word, size) * WIDER
    const blank = textWidth(' ', size)
    if (lines > 0 && blank + wide <= left) {
      left -= blank + wide
      continue
    }
    const own = Math.max(1, Math.ceil(wide / Math.max(size, width)))
    lines += own
    left = own * width - wide
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
      const openings = row.hours.reduce((all, one) => all + wrapped(one, width * (1 - NAMES), size), 0)
      const lines = Math.max(wrapped(row.name + called, names, size), openings)
      return sum + lines * size * line + 2 * ROW.padding
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
    const lines = (words: string, wide: number) => wrapped(words, wide, text.size) * text.size * text.line
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
