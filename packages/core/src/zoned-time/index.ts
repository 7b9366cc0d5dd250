/** A moment as clocks and calendars show it somewhere. */
export interface WallClock {
  /** As `2026-11-27`. */
  day: string
  /** 1 for Monday to 7 for Sunday (ISO 8601). */
  weekday: number
  /** Since midnight. */
  minutes: number
}

const formats = new Map<string, Intl.DateTimeFormat>()
const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

/** The last that was asked for: many ask for the same moment, one after another. */
let last: { at: number; timeZone: string; shows: WallClock } | null = null

/** @param timeZone IANA */
export function wallClock(moment: Date, timeZone: string): WallClock {
  const at = moment.getTime()
  if (last?.at !== at || last.timeZone !== timeZone) last = { at, timeZone, shows: read(moment, timeZone) }
  return last.shows
}

function read(moment: Date, timeZone: string): WallClock {
  let format = formats.get(timeZone)
  if (!format) {
    format = new Intl.DateTimeFormat('en-GB', {
      timeZone,
      weekday: 'short',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
    formats.set(timeZone, format)
  }
  const parts = Object.fromEntries(format.formatToParts(moment).map(({ type, value }) => [type, value]))
  return {
    day: `${parts.year!.padStart(4, '0')}-${parts.month}-${parts.day}`,
    weekday: weekdays.indexOf(parts.weekday!) + 1,
    minutes: Number(parts.hour) * 60 + Number(parts.minute),
  }
}

const DAY_MS = 86_400_000

/** Milliseconds that clocks there are ahead of UTC at a moment, to the minute. */
function aheadOfUtc(moment: Date, timeZone: string): number {
  const { day, minutes } = wallClock(moment, timeZone)
  return Date.parse(`${day}T00:00Z`) + minutes * 60_000 - Math.floor(moment.getTime() / 60_000) * 60_000
}

/**
 * The moment at which clocks somewhere show a time. Where they show it twice, the first; where they leap over it, as much later as
 * they leap (as Temporal's `compatible` does, and RFC 5545, section 3.3.5).
 * @param local as `2026-11-27T08:30`
 * @param timeZone IANA
 */
export function instantOf(local: string, timeZone: string): Date {
  const asUtc = Date.parse(`${local}Z`)
  const offsets = [-DAY_MS, DAY_MS].map((away) => aheadOfUtc(new Date(asUtc + away), timeZone))
  const shown = offsets
    .map((offset) => asUtc - offset)
    .filter((at) => at + aheadOfUtc(new Date(at), timeZone) === asUtc)
  return new Date(shown.length ? Math.min(...shown) : asUtc - offsets[0]!)
}
