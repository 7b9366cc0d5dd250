import type { WallClock } from '../zoned-time'
import { daysAfter, minutesOf } from '../zoned-time/days'
import { closingOf, spansOn } from './days'
import type { OpeningHours } from './opening-hours'

/** A time on a day, so many days from today. */
export interface TimeOnDay {
  days: number
  /** As `2026-12-24`. */
  day: string
  /** Since its midnight. */
  minutes: number
}

/** Whether a place is open, and when that changes next; null where it does not change for as far as is looked. */
export type OpenState =
  | { isOpen: true; until: TimeOnDay | null }
  /** `today`: whether it was or will be open today. */
  | { isOpen: false; opens: TimeOnDay | null; today: boolean }

const DAY = 24 * 60
/** Days that are looked ahead: longer than a place is closed for a season. */
const AHEAD = 200

interface Stretch {
  from: number
  to: number
}

/** What follows upon another without a gap is one with it, past midnight too. In minutes since today's midnight. */
function* stretches(hours: OpeningHours, today: string): Generator<Stretch> {
  let last: Stretch | null = null
  for (let days = -1; days <= AHEAD; days++)
    for (const span of spansOn(hours, daysAfter(today, days))) {
      const from = days * DAY + minutesOf(span.opens)
      const to = days * DAY + closingOf(span)
      if (last && from <= last.to) {
        last.to = Math.max(last.to, to)
        continue
      }
      if (last) yield last
      last = { from, to }
    }
  if (last) yield last
}

/**
 * Whether a place is open now.
 * @param now what its clocks show
 */
export function openState(hours: OpeningHours, now: WallClock): OpenState {
  const at = (minutes: number): TimeOnDay => {
    const days = Math.floor(minutes / DAY)
    return { days, day: daysAfter(now.day, days), minutes: minutes - days * DAY }
  }
  for (const { from, to } of stretches(hours, now.day)) {
    if (to <= now.minutes) continue
    // Open as far as is looked: it never closes.
    if (from <= now.minutes) return { isOpen: true, until: to > AHEAD * DAY ? null : at(to) }
    return { isOpen: false, opens: at(from), today: from < DAY || spansOn(hours, now.day).length > 0 }
  }
  return { isOpen: false, opens: null, today: spansOn(hours, now.day).length > 0 }
}
