import type { OpeningHours, StateWords } from '../../hours'
import type { View } from '../kind'
import { usualAround } from '../spoken'
import type { OpeningHoursSettings } from './settings'
import { hoursOf } from './view'

/** What a visitor's browser says from whether it is open now (packages/widget/src/behaviours/open-now.ts). */
export interface OpenNowData {
  hours: OpeningHours
  /** IANA. */
  timeZone: string
  locale: string
  words: StateWords
}

export function openNowData(view: View<OpeningHoursSettings>): OpenNowData | null {
  const hours = hoursOf(view)
  const { locale, labels } = view.settings
  const { unknown: _, ...words } = labels
  const { timeZone } = view.context.around ?? usualAround
  return hours && { hours, timeZone, locale, words }
}
