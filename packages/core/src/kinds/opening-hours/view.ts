import { byDays, closingOf, minutesOf, timeWords, type DayHours, type OpeningHours } from '../../hours'
import { dateFormat } from '../../words'
import type { View } from '../kind'
import type { OpeningHoursSettings } from './settings'

/** The hours that are shown; null where the page that should state them does not. Days that were typed go before the page's. */
export function hoursOf({ settings, context }: View<OpeningHoursSettings>): OpeningHours | null {
  const stated =
    settings.sources.length === 0
      ? { week: settings.week, special: [] }
      : (settings.sources.map((id) => context.sources[id]?.hours).find(Boolean) ?? null)
  const typed = settings.special.filter(({ from }) => from)
  return stated && { week: stated.week, special: [...stated.special, ...typed] }
}

export interface Row {
  name: string
  /** Each opening in words; "Closed" alone where there is none. */
  hours: string[]
}
export interface WeekRow extends Row {
  /** 1 for Monday to 7 for Sunday. */
  first: number
  last: number
}
export interface SpecialRow extends Row {
  from: string
  until: string
  /** What the days are called; '' for nothing. */
  called: string
}

type Words = Pick<OpeningHoursSettings, 'locale' | 'labels'>

const hoursWords = (spans: DayHours, { locale, labels }: Words): string[] =>
  spans.length
    ? spans.map((span) => `${timeWords(minutesOf(span.opens), locale)}–${timeWords(closingOf(span), locale)}`)
    : [labels.closed]

/** Monday, 1 January 2024. */
const A_MONDAY = Date.UTC(2024, 0, 1)
const DAY_MS = 86_400_000
const weekdayName = (weekday: number, locale: string) =>
  dateFormat(locale, { weekday: 'long', timeZone: 'UTC' }).format(A_MONDAY + (weekday - 1) * DAY_MS)

export function weekRows({ week }: OpeningHours, settings: OpeningHoursSettings): WeekRow[] {
  const ranges = settings.joined ? byDays(week) : week.map((spans, at) => ({ first: at + 1, last: at + 1, spans }))
  return ranges.map(({ first, last, spans }) => ({
    first,
    last,
    name: (first === last ? [first] : [first, last]).map((day) => weekdayName(day, settings.locale)).join(' – '),
    hours: hoursWords(spans, settings),
  }))
}

/** Special days in order; which of them are over is told where they are looked at. */
export function specialRows({ special }: OpeningHours, settings: OpeningHoursSettings): SpecialRow[] {
  const format = dateFormat(settings.locale, { day: 'numeric', month: 'long', timeZone: 'UTC' })
  const at = (day: string) => new Date(`${day}T00:00Z`)
  return [...special]
    .sort((a, b) => a.from.localeCompare(b.from))
    .map(({ from, until, name, spans }) => ({
      from,
      until: until || from,
      called: name,
      name: until && until !== from ? format.formatRange(at(from), at(until)) : format.format(at(from)),
      hours: hoursWords(spans, settings),
    }))
}

/** The week in one line, for where nothing can tell what time it is: "Monday – Friday 09:00–17:00, …". */
export const weekInLine = (hours: OpeningHours, settings: OpeningHoursSettings): string =>
  weekRows(hours, { ...settings, joined: true })
    .filter(({ first }) => hours.week[first - 1]!.length)
    .map(({ name, hours: openings }) => `${name} ${openings.join(', ')}`)
    .join('; ') || settings.labels.closed
