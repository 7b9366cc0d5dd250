import { barredBy } from './audience'
import type { Audience, PresenceRules } from './rules'

const HOUR_MS = 3_600_000
/** Hours that are looked through for one at which it may appear. */
const MOST_HOURS = 24 * 60

const isOpen = (audience: Audience, timeZone: string, now: Date): boolean =>
  barredBy({
    // Only what hangs on the clock.
    audience: {
      ...audience,
      pages: [],
      notPages: [],
      languages: [],
      countries: [],
      visits: 'all',
      campaign: '',
      cameFrom: [],
      devices: ['desktop'],
    },
    visitor: { device: 'desktop', languages: [], country: null },
    visits: 1,
    arrival: { path: '/', query: '', fragment: '', referrer: '', timeZone },
    now,
  }) === null

/**
 * A moment at which something may appear, from now on or from its beginning: this one where it is one. Null where its time is over,
 * or none comes within two months.
 */
export function momentWithin({ audience }: PresenceRules, timeZone: string, now: Date): Date | null {
  const begins = audience.from && new Date(audience.from) > now ? new Date(audience.from) : now
  for (let hour = 0; hour < MOST_HOURS; hour++) {
    const at = new Date(begins.getTime() + hour * HOUR_MS)
    if (isOpen(audience, timeZone, at)) return at
  }
  return null
}

/** A moment at which its dates, days or hours keep it away; null where nothing of that kind does. */
export function momentOutside({ audience }: PresenceRules, timeZone: string, now: Date): Date | null {
  if (audience.until) return new Date(new Date(audience.until).getTime() + HOUR_MS)
  if (audience.from) return new Date(new Date(audience.from).getTime() - HOUR_MS)
  if (!audience.days.length && !audience.hours) return null
  for (let hour = 0; hour < 24 * 8; hour++) {
    const at = new Date(now.getTime() + hour * HOUR_MS)
    if (!isOpen(audience, timeZone, at)) return at
  }
  return null
}
