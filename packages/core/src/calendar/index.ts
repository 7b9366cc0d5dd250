/** Something that takes place, as calendars take it in. */
export interface CalendarDate {
  title: string
  start: Date
  /** Left out: an hour later. */
  end?: Date
  place?: string
  text?: string
  link?: string
}

const HOUR_MS = 3_600_000

/** RFC 5545, section 3.3.11: text. */
const escaped = (text: string) => text.replace(/[\\;,]/g, '\\$&').replace(/\r\n|\r|\n/g, '\\n')

/** Section 3.3.5, form 2: date and time in UTC. */
const moment = (date: Date) => `${date.toISOString().slice(0, 19).replace(/[-:]/g, '')}Z`

/** Octets of a line at most (section 3.1). */
const LINE = 75

/** A line in pieces of 75 octets at most, no character cut in two. */
function folded(line: string): string {
  const encoder = new TextEncoder()
  let [text, octets] = ['', 0]
  for (const character of line) {
    const size = encoder.encode(character).length
    if (octets + size > LINE) {
      text += '\r\n '
      octets = 1
    }
    text += character
    octets += size
  }
  return text
}

/** FNV-1a, 32 bits: the same date has the same name whenever it is written. */
function nameOf(text: string): string {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return (hash >>> 0).toString(36)
}

/** A date as a file that calendars open (iCalendar, RFC 5545). */
export function icsOf({ title, start, end, place, text, link }: CalendarDate): string {
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Pebblestrand//EN',
    'BEGIN:VEVENT',
    `UID:${nameOf(`${title} ${start.toISOString()} ${place ?? ''}`)}@pebblestrand`,
    `DTSTAMP:${moment(start)}`,
    `DTSTART:${moment(start)}`,
    `DTEND:${moment(end && end > start ? end : new Date(start.getTime() + HOUR_MS))}`,
    `SUMMARY:${escaped(title)}`,
    ...(place ? [`LOCATION:${escaped(place)}`] : []),
    ...(text ? [`DESCRIPTION:${escaped(text)}`] : []),
    ...(link ? [`URL:${link}`] : []),
    'END:VEVENT',
    'END:VCALENDAR',
  ]
  return lines.map((line) => `${folded(line)}\r\n`).join('')
}
