import { listed } from '../words/listed'
import { byDays } from './by-days'
import type { Week } from './opening-hours'
import { writtenHours } from './typed'

export const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const

/** A week in English: "Monday to Friday 09:00–17:00 and Saturday 10:00–14:00"; days that are closed are not named, '' where all are. */
export function weekWords(week: Week): string {
  const named = byDays(week)
    .filter(({ spans }) => spans.length)
    .map(({ first, last, spans }) => {
      const days = first === last ? [first] : [first, last]
      return `${days.map((day) => WEEKDAYS[day - 1]).join(' to ')} ${writtenHours(spans)}`
    })
  return listed(named, 'and')
}
