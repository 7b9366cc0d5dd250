import { storable } from '../items/storable'
import { dayMs, daysAfter, weekday } from '../zoned-time/days'
import type { FieldFault } from './faults'
import type { FieldKind, FieldOf } from './fields'

/** An answer as it is stored. */
export type Answer = string | number | boolean | string[]

/** What an answer is read as: itself, none, or what is wrong with it. */
export type Read = { answer: Answer } | { none: true } | { fault: FieldFault }

/** What reading may hang on. */
export interface Circumstances {
  /** The day it is at the site, as `2026-11-27`. */
  today: string
}

const fault = (code: FieldFault['code'], limit?: FieldFault['limit']): Read => ({
  fault: limit === undefined ? { code } : { code, limit },
})
const none: Read = { none: true }

/**
 * As the HTML standard reads the address of an `input type=email` (HTML, 4.10.5.1.5: "valid email address").
 */
const EMAIL =
  /^[a-zA-Z0-9.!#$%&'*+/=?^_`{|}~-]+@[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?(?:\.[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?)*$/
/** Octets of an address that mail takes (RFC 5321, 4.5.3.1.3: a path of 256 with its brackets). */
const EMAIL_MOST = 254
/** Digits of a number with its country's (ITU-T E.164), and of the shortest that people are reached by. */
const DIGITS = { least: 3, most: 15 }
/** A number as people write it, with what is dialled behind it. */
const TELEPHONE = /^\+?[\d\s().\-/\u00a0\u2010-\u2015]+$/
/** What is dialled behind it, from its mark on. */
const EXTENSION = /^(?:ext\.?|x|;ext=|#)\s*\d{1,7}$/i
/** Letters of a number with an extension, however it is written. */
const TELEPHONE_MOST = 60
/** A number as the HTML standard writes it (HTML, 2.3.4.3: "valid floating-point number"). */
const NUMBER_MOST = 40
const NUMBER = /^-?(?:\d+(?:\.\d+)?|\.\d+)(?:[eE][-+]?\d+)?$/

/** Typed text: ends of lines are one letter, and what no database keeps is left out. */
const typed = (raw: unknown): string | null =>
  typeof raw === 'string' ? storable(raw).replace(/\r\n?/g, '\n').trim() : typeof raw === 'number' ? String(raw) : null

const isEmpty = (raw: unknown): boolean =>
  raw === undefined || raw === null || raw === '' || raw === false || (Array.isArray(raw) && !raw.length)

type Readers = { [K in FieldKind]: (field: FieldOf<K>, raw: unknown, circumstances: Circumstances) => Read }

function readText({ least, most }: { least: number; most: number }, raw: unknown): Read {
  const text = typed(raw)
  if (text === null) return fault('not-offered')
  if (!text) return none
  if (text.length < least) return fault('too-short', least)
  return text.length > most ? fault('too-long', most) : { answer: text }
}

function isTelephone(text: string): boolean {
  if (text.length > TELEPHONE_MOST) return false
  const mark = text.search(/[ex;#]/i)
  const [number, extension] = mark < 0 ? [text, ''] : [text.slice(0, mark), text.slice(mark)]
  const digits = number.replace(/\D/g, '').length
  return (
    TELEPHONE.test(number) &&
    (!extension || EXTENSION.test(extension)) &&
    digits >= DIGITS.least &&
    digits <= DIGITS.most
  )
}

function readTick(raw: unknown): Read {
  if (raw === true || raw === 'on' || raw === 'yes') return { answer: true }
  return isEmpty(raw) ? none : fault('not-offered')
}

/** How the answer of each kind of field is read, from JSON as from a form that was sent without a script. */
const readers: Readers = {
  short: (field, raw) => {
    const read = readText(field, raw)
    return 'answer' in read ? { answer: String(read.answer).replaceAll('\n', ' ') } : read
  },
  long: readText,
  email: (_field, raw) => {
    const text = typed(raw)
    if (text === '') return none
    return text !== null && text.length <= EMAIL_MOST && EMAIL.test(text) ? { answer: text } : fault('no-email')
  },
  telephone: (_field, raw) => {
    const text = typed(raw)
    if (text === '') return none
    return text !== null && isTelephone(text) ? { answer: text } : fault('no-telephone')
  },
  number: ({ min, max, decimals }, raw) => {
    const text = typed(raw)
    if (text === '') return none
    const value = text !== null && text.length <= NUMBER_MOST && NUMBER.test(text) ? Number(text) : NaN
    if (!Number.isFinite(value)) return fault('no-number')
    if (Number(value.toFixed(decimals)) !== value) return fault('too-precise', decimals)
    if (min !== null && value < min) return fault('too-small', min)
    return max !== null && value > max ? fault('too-large', max) : { answer: value }
  },
  'one-of': ({ options }, raw) => {
    if (isEmpty(raw)) return none
    return options.some(({ value }) => value === raw) ? { answer: raw as string } : fault('not-offered')
  },
  'several-of': ({ options, least, most }, raw) => {
    if (isEmpty(raw)) return none
    const given: unknown[] = Array.isArray(raw) ? raw : [raw]
    if (given.length > options.length) return fault('not-offered')
    const chosen = options.map(({ value }) => value).filter((value) => given.includes(value))
    if (given.some((one) => !chosen.includes(one as string)) || new Set(given).size !== given.length)
      return fault('not-offered')
    if (chosen.length < least) return fault('too-few', least)
    return most > 0 && chosen.length > most ? fault('too-many', most) : { answer: chosen }
  },
  tick: (_field, raw) => readTick(raw),
  consent: (_field, raw) => readTick(raw),
  date: ({ fromDays, untilDays, notOn, not }, raw, { today }) => {
    const day = typed(raw)
    if (day === '') return none
    if (day === null || dayMs(day) === null) return fault('no-date')
    const from = fromDays === null ? null : daysAfter(today, fromDays)
    const until = untilDays === null ? null : daysAfter(today, untilDays)
    if (from !== null && day < from) return fault('too-early', from)
    if (until !== null && day > until) return fault('too-late', until)
    return notOn.includes(weekday(day)) || not.includes(day) ? fault('day-left-out') : { answer: day }
  },
  rating: ({ most }, raw) => {
    const text = typed(raw)
    if (text === '') return none
    const value = Number(text)
    return /^\d+$/.test(text ?? '') && value >= 1 && value <= most ? { answer: value } : fault('not-offered')
  },
  hidden: (_field, raw) => {
    const text = typed(raw)
    return text ? { answer: text.slice(0, 500) } : none
  },
}

/** One answer. @param raw as it came: a member of a JSON object, or of a form that was sent */
export const readAnswer = (
  field: { [K in FieldKind]: FieldOf<K> }[FieldKind],
  raw: unknown,
  circumstances: Circumstances,
): Read =>
  // What the author wrote is not the visitor's to change.
  field.is === 'hidden' && field.from === 'fixed'
    ? field.value
      ? { answer: field.value }
      : none
    : isEmpty(raw)
      ? none
      : (readers[field.is] as (f: typeof field, r: unknown, c: Circumstances) => Read)(field, raw, circumstances)
