import fc from 'fast-check'
import { DateTime } from 'luxon'
import { describe, expect, it } from 'vitest'
import { wallClock } from '../zoned-time'
import {
  byDays,
  closingOf,
  minutesOf,
  OpeningHours,
  openState,
  readHours,
  spansOn,
  stateWords,
  writtenHours,
  type DayHours,
  type SpecialDays,
  type StateWords,
} from '.'

const week = (text: string) => {
  const days = text.split('|').map((day) => readHours(day))
  return Array.from({ length: 7 }, (_, at) => days[at] ?? [])
}
const hours = (text: string, special: SpecialDays[] = []) => OpeningHours.parse({ week: week(text), special })
const closed = (from: string, until = '', name = ''): SpecialDays => ({ from, until, name, spans: [] })

const words: StateWords = {
  openUntil: 'Open until {time}',
  alwaysOpen: 'Always open',
  opensToday: 'Closed, opens at {time}',
  opensTomorrow: 'Closed, opens tomorrow at {time}',
  opensOn: 'Closed, opens {day} at {time}',
  closedTodayOpensOn: 'Closed today, opens {day} at {time}',
  closed: 'Closed',
}
const zone = 'Atlantic/Faroe'
const says = (of: OpeningHours, local: string) =>
  stateWords(openState(of, wallClock(DateTime.fromISO(local, { zone }).toJSDate(), zone)), words, 'en-GB')

describe('whether a place is open', () => {
  // 2 December 2026 is a Wednesday.
  const kiln = hours('closed|10-18|10-18|10-18|10-13, 14-20|10-16|closed', [closed('2026-12-24', '2026-12-27')])
  it.each([
    ['2026-12-02T09:59', 'Closed, opens at 10:00'],
    ['2026-12-02T10:00', 'Open until 18:00'],
    ['2026-12-02T17:59', 'Open until 18:00'],
    ['2026-12-02T18:00', 'Closed, opens tomorrow at 10:00'],
    ['2026-12-04T13:30', 'Closed, opens at 14:00'],
    ['2026-12-05T16:30', 'Closed, opens Tuesday at 10:00'],
    ['2026-12-06T12:00', 'Closed today, opens Tuesday at 10:00'],
    ['2026-12-24T12:00', 'Closed today, opens Tuesday at 10:00'],
  ])('at %s: %s', (local, said) => expect(says(kiln, local)).toBe(said))

  it('past midnight it is open until then, also on a day that is closed itself', () => {
    const pub = hours('closed|closed|closed|closed|18-2|18-2|closed')
    expect(says(pub, '2026-12-04T23:30')).toBe('Open until 02:00')
    expect(says(pub, '2026-12-06T01:30')).toBe('Open until 02:00')
    expect(says(pub, '2026-12-06T02:00')).toBe('Closed today, opens Friday at 18:00')
  })
  it('from midnight to midnight it is open on, and never closes where it is so every day', () => {
    expect(says(hours('0-24|0-24|0-24|0-24|0-24|0-12'), '2026-12-02T12:00')).toBe('Open until 12:00')
    expect(says(hours(Array(7).fill('0-24').join('|')), '2026-12-02T12:00')).toBe('Always open')
    expect(says(hours(''), '2026-12-02T12:00')).toBe('Closed')
  })
  it('a day that is far away is named by its date', () => {
    const season = hours(Array(7).fill('9-17').join('|'), [closed('2026-11-01', '2027-03-31', 'Winter')])
    expect(says(season, '2026-12-02T12:00')).toBe('Closed today, opens 1 April at 09:00')
  })
  it('special days go before the week, the last that covers a day before the others; some on a few weekdays only', () => {
    const ferry = hours(Array(7).fill('8-18').join('|'), [
      { from: '2026-12-01', until: '2026-12-31', name: '', spans: readHours('9-15'), weekdays: [6, 7] },
      { from: '2026-12-26', until: '', name: '', spans: readHours('12-13') },
    ])
    expect(['2026-12-04', '2026-12-05', '2026-12-26'].map((day) => writtenHours(spansOn(ferry, day)))).toEqual([
      '08:00–18:00',
      '09:00–15:00',
      '12:00–13:00',
    ])
  })
})

// Reference: luxon, minute by minute, through changes of the clocks (IANA). What the clocks show decides, as at the door.
describe('what luxon says', () => {
  const spans = fc
    .tuple(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: 1, max: 1800 }))
    .map(([from, long]) => readHours(`${clock(from)}-${clock((from + Math.min(long, 1439)) % 1440)}`))
  const clock = (minutes: number) =>
    `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
  const day = fc.option(spans, { nil: [] as DayHours })
  const zones = ['Atlantic/Faroe', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu']

  const isOpenAt = (of: OpeningHours, there: DateTime): boolean =>
    [0, -1].some((back) => {
      const date = there.plus({ days: back })
      return spansOn(of, date.toISODate()!).some((span) => {
        const minute = there.hour * 60 + there.minute - back * 24 * 60
        return minutesOf(span.opens) <= minute && minute < closingOf(span)
      })
    })

  it('is open at the same minutes, and changes when it says', () =>
    fc.assert(
      fc.property(
        fc.array(day, { minLength: 7, maxLength: 7 }),
        fc.constantFrom(...zones),
        fc.integer({ min: 29_700_000, max: 31_000_000 }),
        (days, timeZone, minute) => {
          const of = { week: days, special: [] }
          const there = DateTime.fromMillis(minute * 60_000, { zone: timeZone })
          const state = openState(of, wallClock(there.toJSDate(), timeZone))
          expect(state.isOpen).toBe(isOpenAt(of, there))
          const next = state.isOpen ? state.until : state.opens
          if (!next) return
          const local = DateTime.fromISO(next.day, { zone: timeZone }).set({
            hour: Math.floor(next.minutes / 60),
            minute: next.minutes % 60,
          })
          // A time that the clocks leap over is shown on none.
          if (local.hour * 60 + local.minute !== next.minutes) return
          expect(isOpenAt(of, local)).toBe(!state.isOpen)
        },
      ),
      { numRuns: 600 },
    ))
})

describe('hours that are typed', () => {
  it.each([
    ['9-17', '09:00–17:00'],
    ['9–12, 13:30 – 17', '09:00–12:00, 13:30–17:00'],
    ['13.30-17 and 9-12', '09:00–12:00, 13:30–17:00'],
    ['9 am to 5 pm', '09:00–17:00'],
    ['12am-12pm', '00:00–12:00'],
    ['18-2', '18:00–02:00'],
    ['0-24', '00:00–24:00'],
    ['0900-1730', '09:00–17:30'],
    ['closed', ''],
    ['', ''],
  ])('%s is %s', (typed, written) => {
    expect(writtenHours(readHours(typed))).toBe(written)
    expect(writtenHours(readHours(written))).toBe(written)
  })
  it.each([
    ['nine to five', 'must be hours like 9-12, 13:30-17, or closed; “nine to five” is none'],
    ['9', 'must be hours like 9-12, 13:30-17, or closed; “9” is none'],
    ['25-26', 'must be hours like 9-12, 13:30-17, or closed; “25-26” is none'],
    ['9-12, 11-17', 'has 09:00–12:00 and 11:00–17:00, which overlap'],
    ['1-2,3-4,5-6,7-8,9-10', 'must have 4 openings at most'],
  ])('%s is none', (typed, fault) => expect(() => readHours(typed)).toThrow(fault))
  it('nothing that is typed breaks it', () =>
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), (typed) => {
        try {
          OpeningHours.parse({ week: Array(7).fill(readHours(typed)), special: [] })
        } catch (error) {
          expect((error as Error).constructor.name).toBe('HoursFault')
        }
      }),
    ))
})

describe('a week', () => {
  it('takes days in a row with the same hours together', () =>
    expect(
      byDays(week('9-17|9-17|9-17|9-12|9-12|closed|closed')).map(({ first, last, spans }) => [
        first,
        last,
        writtenHours(spans),
      ]),
    ).toEqual([
      [1, 3, '09:00–17:00'],
      [4, 5, '09:00–12:00'],
      [6, 7, ''],
    ]))
  it('what overlaps, ends before it begins or is no time is refused, and says why', () => {
    const faults = (special: object) =>
      OpeningHours.safeParse({
        week: week(''),
        special: [{ name: '', spans: [], until: '', ...special }],
      }).error?.issues.map(({ message }) => message)
    expect(faults({ from: '2026-12-26', until: '2026-12-24' })).toEqual(['must not end before they begin'])
    expect(faults({ from: '24 December' })).toEqual(['must be a day like 2026-12-24'])
    expect(faults({ from: '2026-12-24', spans: [{ opens: '9', closes: '17:00' }] })).toEqual([
      'must open at a time like 09:00',
    ])
  })
})
