import type { DayHours, OpeningHours, Span } from './opening-hours'

// What a visitor's browser computes with: no schemas here.

/** Minutes since midnight. */
export const minutesOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3))

const DAY = 24 * 60

/** When it closes, in minutes since the midnight before it opens. */
export const closingOf = ({ opens, closes }: Span): number =>
  minutesOf(closes) > minutesOf(opens) ? minutesOf(closes) : minutesOf(closes) + DAY

const DAY_MS = 86_400_000

/** A day so many days later. */
export const daysAfter = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00Z`) + days * DAY_MS).toISOString().slice(0, 10)

/** 1 for Monday to 7 for Sunday (ISO 8601). */
export const weekdayOf = (day: string): number => new Date(`${day}T00:00Z`).getUTCDay() || 7

/** The openings that begin on a day. */
export function spansOn({ week, special }: OpeningHours, day: string): DayHours {
  const weekday = weekdayOf(day)
  const own = special.findLast(
    ({ from, until, weekdays }) => from <= day && day <= (until || from) && (!weekdays || weekdays.includes(weekday)),
  )
  return own ? own.spans : week[weekday - 1]!
}
