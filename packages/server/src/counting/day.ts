const formats = new Map<string, Intl.DateTimeFormat>()

/** The calendar day it is in a zone, as 2026-11-25. The Swedish way of writing dates is ISO 8601's. */
export function dayIn(zone: string, now: Date): string {
  let format = formats.get(zone)
  if (!format) {
    format = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit' })
    formats.set(zone, format)
  }
  return format.format(now)
}
