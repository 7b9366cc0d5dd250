import { row, type Pictured } from '../../pictured'
import type { View } from '../kind'
import { directionOf } from '../spoken'
import type { OpeningHoursSettings } from './settings'
import { hoursOf, weekRows } from './view'

/** The week, a row for each of its days or for some in a row. */
export function openingHoursPictured(view: View<OpeningHoursSettings>): Pictured | null {
  const hours = hoursOf(view)
  if (!hours) return null
  return {
    heading: view.settings.title,
    rows: weekRows(hours, view.settings).map(({ name, hours: openings }) =>
      row({ text: name, end: openings.join(', ') }),
    ),
    rightToLeft: directionOf(view.settings.locale) === 'rtl',
  }
}
