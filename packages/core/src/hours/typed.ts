import { minutesOf } from '../zoned-time/days'
import { closingOf } from './days'
import { MOST_SPANS, type DayHours, type Span } from './opening-hours'

/** Hours with or without minutes, divided by a colon, a point, an h or nothing; am and pm. */
const TIME = /^(\d{1,2})(?:[:.h]?([0-5]\d))? ?h?(am| am|pm| pm)?$/

function timeIn(text: string): string | null {
  const match = TIME.exec(text.replace(/\s+/g, ' '))
  if (!match) return null
  const [, hours, minutes = '00'] = match
  const half = match[3]?.trim()
  let hour = Number(hours)
  if (half && (hour < 1 || hour > 12)) return null
  if (half) hour = (hour % 12) + (half === 'pm' ? 12 : 0)
  if (hour > 24 || (hour === 24 && minutes !== '00')) return null
  return `${String(hour).padStart(2, '0')}:${minutes}`
}

/** Letters of one day. */
const MOST_LETTERS = 200

/** Why something that was typed is no hours, as the end of a sentence that begins with "It". */
export class HoursFault extends Error {}

/**
 * The openings of a day as a person types them: "9-12, 13:30 – 17", "9 am to 5 pm", "closed" or nothing.
 * @throws HoursFault
 */
export function readHours(typed: string): DayHours {
  const text = typed.trim().toLowerCase()
  if (!text || text === 'closed') return []
  if (text.length > MOST_LETTERS) throw new HoursFault(`must have ${MOST_LETTERS} letters or fewer`)
  const spans = text
    .split(/[,;/]| and /)
    .map((part) => part.trim())
    .filter(Boolean)
    .map(spanIn)
    .sort((a, b) => minutesOf(a.opens) - minutesOf(b.opens))
  if (spans.length > MOST_SPANS) throw new HoursFault(`must have ${MOST_SPANS} openings at most`)
  const late = spans.findIndex((span, at) => at > 0 && minutesOf(span.opens) < closingOf(spans[at - 1]!))
  if (late > 0)
    throw new HoursFault(`has ${writtenSpan(spans[late - 1]!)} and ${writtenSpan(spans[late]!)}, which overlap`)
  return spans
}

function spanIn(part: string): Span {
  const [from, to, ...more] = part.split(/[-–—]| to /).map((time) => time.trim())
  const opens = timeIn(from ?? '')
  const closes = timeIn(to ?? '')
  if (!opens || !closes || more.length || opens === '24:00')
    throw new HoursFault(`must be hours like 9-12, 13:30-17, or closed; “${part.slice(0, 40)}” is none`)
  if (opens === closes && opens !== '00:00') throw new HoursFault(`opens and closes at ${opens}`)
  return { opens, closes: opens === closes ? '24:00' : closes }
}

const writtenSpan = ({ opens, closes }: Span) => `${opens}–${closes}`

/** The openings of a day as they are typed. */
export const writtenHours = (spans: DayHours): string => spans.map(writtenSpan).join(', ')
