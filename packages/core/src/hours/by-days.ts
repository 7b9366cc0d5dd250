import { writtenHours } from './typed'
import type { DayHours, Week } from './opening-hours'

/** Days in a row that have the same hours. */
export interface DayRange {
  /** 1 for Monday to 7 for Sunday. */
  first: number
  last: number
  spans: DayHours
}

/** A week, days in a row with the same hours taken together. */
export function byDays(week: Week): DayRange[] {
  const ranges: DayRange[] = []
  for (const [at, spans] of week.entries()) {
    const before = ranges.at(-1)
    if (before && writtenHours(before.spans) === writtenHours(spans)) before.last = at + 1
    else ranges.push({ first: at + 1, last: at + 1, spans })
  }
  return ranges
}
