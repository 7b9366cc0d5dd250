import { dateFormat } from '../words/formats'

const DAY_MS = 86_400_000

/** A day of the calendar as ms of UTC; null where it is none (ISO 8601: `2026-02-30` is none). */
export function dayMs(day: string): number | null {
  if (!/^\d{4}-\d\d-\d\d$/.test(day)) return null
  const ms = Date.parse(`${day}T00:00:00Z`)
  return Number.isNaN(ms) || new Date(ms).toISOString().slice(0, 10) !== day ? null : ms
}

/** So many days after a day. */
export const daysAfter = (day: string, days: number): string =>
  new Date(dayMs(day)! + days * DAY_MS).toISOString().slice(0, 10)

/** 1 for Monday to 7 for Sunday (ISO 8601). */
export const weekday = (day: string): number => new Date(dayMs(day)!).getUTCDay() || 7

/** The day it is in a zone (IANA), as `2026-11-27`. The Swedish way of writing dates is ISO 8601's. */
export const dayIn = (timeZone: string, now: Date): string =>
  dateFormat('sv-SE', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(now)

/** Minutes since midnight of `08:30`. */
export const minutesOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3))
