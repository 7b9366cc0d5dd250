import { closingOf, minutesOf, type DayHours, type OpeningHours, type Span, type SpecialDays } from '../../hours'
import { dayMs } from '../../zoned-time/days'
import { everyThing, first, isThing, textOf, typeName, type Thing, type Value } from './thing'

// schema.org OpeningHoursSpecification, and the older property `openingHours`, which is text.

const NAMES = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday']
const SHORT = ['mo', 'tu', 'we', 'th', 'fr', 'sa', 'su']
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7]
/** Specifications of one place that are read. */
const MOST = 200
const MOST_SPECIAL = 60

/** Openings on some weekdays; within some days only where `from` is said. */
interface Stated {
  weekdays: number[]
  span: Span | null
  from: string | null
  until: string
}

/** The hours of the first thing on a page that states any, and its name. */
export function hoursIn(things: readonly Thing[]): { name: string; hours: OpeningHours } | null {
  for (const thing of everyThing(things)) {
    const stated = statedBy(thing).slice(0, MOST)
    if (stated.length) return { name: textOf(thing, 'name'), hours: hoursFrom(stated) }
  }
  return null
}

function statedBy({ properties }: Thing): Stated[] {
  const specifications = [
    ...(properties.openingHoursSpecification ?? []),
    ...(properties.specialOpeningHoursSpecification ?? []),
  ]
  const read = specifications.filter(isThing).flatMap((one) => specified(one) ?? [])
  return read.length
    ? read
    : (properties.openingHours ?? []).flatMap((value) => inText(String(isThing(value) ? '' : value)))
}

function specified(specification: Thing): Stated | null {
  const named = specification.properties.dayOfWeek ?? []
  const weekdays = named.flatMap((value) => weekdayOfValue(value) ?? [])
  const [from, until] = [dayIn(textOf(specification, 'validFrom')), dayIn(textOf(specification, 'validThrough'))]
  // Public holidays are days of a calendar that the page does not state.
  if (named.length && !weekdays.length) return null
  if (!named.length && !from && !until) return null
  const [opens, closes] = [timeIn(first(specification, 'opens')), timeIn(first(specification, 'closes'))]
  const isOnlyOneSaid = (opens === null) !== (closes === null)
  if (isOnlyOneSaid) return null
  // A season without an end or a beginning is what holds now.
  const isWithin = from !== null && until !== null && until >= from
  return {
    weekdays: weekdays.length ? weekdays : EVERY_DAY,
    span: opens === null || closes === null ? null : spanOf(opens, closes),
    from: isWithin ? from : null,
    until: isWithin && until !== from ? until : '',
  }
}

function weekdayOfValue(value: Value): number | null {
  const name = typeName(isThing(value) ? textOf(value, '@id', 'url', 'name') : String(value))
    .toLowerCase()
    .trim()
  const at = Math.max(NAMES.indexOf(name), SHORT.indexOf(name))
  return at < 0 ? null : at + 1
}

const dayIn = (text: string): string | null => {
  const day = /^\d{4}-\d{2}-\d{2}/.exec(text)?.[0]
  return day && dayMs(day) !== null ? day : null
}

/** `09:00`, `09:00:00`, `T09:00`, `2026-01-01T09:00:00+01:00`: the time on the clocks of the place. */
function timeIn(value: Value | undefined): string | null {
  if (value === undefined || isThing(value)) return null
  const match = /(?:^|T)(\d{1,2}):(\d{2})/.exec(String(value).trim())
  const [hours, minutes] = [Number(match?.[1]), Number(match?.[2])]
  return match && minutes < 60 && (hours < 24 || (hours === 24 && minutes === 0))
    ? `${String(hours).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`
    : null
}

/** From midnight to midnight, as some write closed days, is none; a minute before midnight stands for midnight. */
function spanOf(opens: string, closes: string): Span | null {
  const end = closes === '23:59' ? '24:00' : closes
  if (opens === '24:00' || (opens === '00:00' && end === '00:00')) return null
  return { opens, closes: end }
}

/** "Mo-Fr 09:00-12:00,13:00-17:00", "Tu,Th 16:00-20:00", "Mo-Su": always open on these. */
function inText(text: string): Stated[] {
  const [days, ...times] = text.slice(0, 500).trim().split(/\s+/)
  const weekdays = (days ?? '').split(',').flatMap(daysFrom)
  if (!weekdays.length) return []
  const spans = times.length
    ? times
        .join('')
        .split(',')
        .flatMap((part) => {
          const [opens, closes] = part.split('-').map((time) => timeIn(time))
          return opens && closes ? [spanOf(opens, closes)] : []
        })
    : [{ opens: '00:00', closes: '24:00' }]
  return spans.map((span) => ({ weekdays, span, from: null, until: '' }))
}

/** "Mo", or "Fr-Mo", over the end of the week too. */
function daysFrom(text: string): number[] {
  const [from, to] = text.split('-').map((name) => SHORT.indexOf(name.toLowerCase().slice(0, 2)) + 1)
  if (!from || to === 0) return []
  return Array.from({ length: (((to ?? from) - from + 7) % 7) + 1 }, (_, on) => ((from - 1 + on) % 7) + 1)
}

function hoursFrom(stated: readonly Stated[]): OpeningHours {
  const week = EVERY_DAY.map((weekday) =>
    inOrder(stated.filter(({ from, weekdays }) => from === null && weekdays.includes(weekday)).map(({ span }) => span)),
  )
  const ranges = new Map<string, Stated[]>()
  for (const one of stated.filter(({ from }) => from !== null)) {
    const key = `${one.from} ${one.until} ${one.weekdays.join()}`
    ranges.set(key, [...(ranges.get(key) ?? []), one])
  }
  const special = [...ranges.values()].map((same): SpecialDays => {
    const { from, until, weekdays } = same[0]!
    return {
      from: from!,
      until,
      name: '',
      spans: inOrder(same.map(({ span }) => span)),
      ...(weekdays.length < 7 && until ? { weekdays } : {}),
    }
  })
  return { week, special: special.sort((a, b) => a.from.localeCompare(b.from)).slice(0, MOST_SPECIAL) }
}

/** In order; of two that overlap the first. */
function inOrder(spans: readonly (Span | null)[]): DayHours {
  const sorted = spans.flatMap((span) => span ?? []).sort((a, b) => minutesOf(a.opens) - minutesOf(b.opens))
  return sorted
    .filter((span, at) => !sorted.slice(0, at).some((before) => minutesOf(span.opens) < closingOf(before)))
    .slice(0, 4)
}
