import { numberFormat } from '../../words'
import { countsOf, visitsFrom } from './periods'
import { periodsOf, type VisitCounterSettings } from './settings'

/** One number with its name, as it is written in the settings' language. */
export interface Count {
  name: string
  value: number
  said: string
}

/** Every number that is shown, in its order. */
export function shownCounts(settings: VisitCounterSettings, visits: unknown): Count[] {
  const counts = countsOf(visitsFrom(visits), settings.locale, settings.start)
  const written = numberFormat(settings.locale)
  return periodsOf(settings).map((id) => ({
    name: settings.names[id],
    value: counts[id],
    said: written.format(counts[id]),
  }))
}
