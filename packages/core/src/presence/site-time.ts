/** A moment as clocks show it somewhere. */
export interface LocalTime {
  /** 1 for Monday to 7 for Sunday (ISO 8601). */
  weekday: number
  /** Since midnight. */
  minutes: number
}

const formats = new Map<string, Intl.DateTimeFormat>()
const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

/** @param timeZone IANA */
export function localTime(moment: Date, timeZone: string): LocalTime {
  let format = formats.get(timeZone)
  if (!format) {
    format = new Intl.DateTimeFormat('en-GB', {
      timeZone,
      weekday: 'short',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    })
    formats.set(timeZone, format)
  }
  const parts = Object.fromEntries(format.formatToParts(moment).map(({ type, value }) => [type, value]))
  return {
    weekday: weekdays.indexOf(parts.weekday!) + 1,
    minutes: Number(parts.hour) * 60 + Number(parts.minute),
  }
}

/** Minutes since midnight of `08:30`. */
export const minutesOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3))

/**
 * Whether clocks show a time within some hours, on days that count. Hours that end before they begin go past midnight, and belong to
 * the day on which they began.
 */
export function isWithin(
  { weekday, minutes }: LocalTime,
  days: readonly number[],
  hours: { from: string; until: string } | null,
): boolean {
  const counts = (day: number) => !days.length || days.includes(day)
  if (!hours) return counts(weekday)
  const [from, until] = [minutesOf(hours.from), minutesOf(hours.until)]
  if (from < until) return counts(weekday) && minutes >= from && minutes < until
  const before = weekday === 1 ? 7 : weekday - 1
  return (counts(weekday) && minutes >= from) || (counts(before) && minutes < until)
}
