/** Spans of days that visits are counted over, in the order they are shown. */
export const periodIds = ['today', 'last7', 'week', 'month', 'year', 'total'] as const
export type PeriodId = (typeof periodIds)[number]

/** What the server counted for one install, by day in the site's time zone. */
export interface Visits {
  /** The day it is there, as 2026-11-25. */
  today: string
  /** Visits of the present and the last year, by day. */
  days: Record<string, number>
  /** All there ever were, the days above among them. */
  total: number
}

const DAY_MS = 86_400_000

/** Days of the calendar are counted in UTC here: the zone has been seen to already, and no day is lost to a clock change. */
const time = (day: string) => Date.parse(`${day}T00:00:00Z`)
const dayAt = (ms: number) => new Date(ms).toISOString().slice(0, 10)

/** First day of the week in a language's region, 1 for Monday to 7 for Sunday (CLDR, by way of Intl; ISO 8601 where it tells nothing). */
export function firstWeekday(locale: string): number {
  const known = new Intl.Locale(locale) as Intl.Locale & {
    getWeekInfo?(): { firstDay: number }
    weekInfo?: { firstDay: number }
  }
  return (known.getWeekInfo?.() ?? known.weekInfo)?.firstDay ?? 1
}

/** The first day of each span that has one. */
function beginnings(today: string, locale: string): Record<Exclude<PeriodId, 'total'>, string> {
  const weekday = new Date(time(today)).getUTCDay() || 7
  const sinceFirst = (weekday - firstWeekday(locale) + 7) % 7
  return {
    today,
    last7: dayAt(time(today) - 6 * DAY_MS),
    week: dayAt(time(today) - sinceFirst * DAY_MS),
    month: `${today.slice(0, 7)}-01`,
    year: `${today.slice(0, 4)}-01-01`,
  }
}

/**
 * Visits in each span, today's among them.
 * @param start visits counted elsewhere before, added to the total
 */
export function countsOf(visits: Visits, locale: string, start: number): Record<PeriodId, number> {
  const since = (day: string) =>
    Object.entries(visits.days).reduce((sum, [at, n]) => (at >= day && at <= visits.today ? sum + n : sum), 0)
  const from = beginnings(visits.today, locale)
  return {
    today: since(from.today),
    last7: since(from.last7),
    week: since(from.week),
    month: since(from.month),
    year: since(from.year),
    total: visits.total + start,
  }
}

/** What is known of an install, where it is what a counter can read; nothing counted otherwise. */
export function visitsFrom(fact: unknown): Visits {
  const { today, days, total } = (fact ?? {}) as Partial<Visits>
  return { today: today ?? '1970-01-01', days: days ?? {}, total: total ?? 0 }
}
