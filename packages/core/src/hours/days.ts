import { minutesOf, weekday } from '../zoned-time/days'
import type { DayHours, OpeningHours, Span } from './opening-hours'

// What a visitor's browser computes with: no schemas here.

const DAY = 24 * 60

/** When it closes, in minutes since the midnight before it opens. */
export const closingOf = ({ opens, closes }: Span): number =>
  minutesOf(closes) > minutesOf(opens) ? minutesOf(closes) : minutesOf(closes) + DAY

/** The openings that begin on a day. */
export function spansOn({ week, special }: OpeningHours, day: string): DayHours {
  const on = weekday(day)
  const own = special.findLast(
    ({ from, until, weekdays }) => from <= day && day <= (until || from) && (!weekdays || weekdays.includes(on)),
  )
  return own ? own.spans : week[on - 1]!
}
