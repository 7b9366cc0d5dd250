import type { WallClock } from '../zoned-time'
import { minutesOf } from '../zoned-time/days'

/**
 * Whether clocks show a time within some hours, on days that count. Hours that end before they begin go past midnight, and belong to
 * the day on which they began.
 */
export function isWithin(
  { weekday, minutes }: Pick<WallClock, 'weekday' | 'minutes'>,
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
