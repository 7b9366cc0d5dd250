import { wallClock } from '../zoned-time'

/** A day of a calendar, as `2026-11-27`. */
type Day = string

const utc = (day: Day) => new Date(`${day}T00:00:00Z`)
const DAY_MS = 86_400_000

/** Monday to Friday; holidays differ from place to place, and nobody says which. Common practice in the trade. */
export const isWorkingDay = (day: Day): boolean => ![0, 6].includes(utc(day).getUTCDay())

/** The working day that comes so many of them after a day. */
export function afterWorkingDays(day: Day, count: number): Day {
  let at = utc(day).getTime()
  for (let left = count; left > 0;) {
    at += DAY_MS
    if (isWorkingDay(new Date(at).toISOString().slice(0, 10))) left--
  }
  return new Date(at).toISOString().slice(0, 10)
}

/** Hours, in the zone of whoever gets it, between which a reminder is sent. */
const OFFICE = { from: 9, until: 17 }

/** Whether a reminder is due: so many working days after the last mail, on a working day, in office hours. */
export function isReminderDue(lastMail: Date, now: Date, timeZone: string, workingDays: number): boolean {
  const { day, minutes } = wallClock(now, timeZone)
  if (!isWorkingDay(day) || minutes < OFFICE.from * 60 || minutes >= OFFICE.until * 60) return false
  return day >= afterWorkingDays(wallClock(lastMail, timeZone).day, workingDays)
}
