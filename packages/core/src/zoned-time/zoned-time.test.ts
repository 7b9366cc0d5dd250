import fc from 'fast-check'
import { DateTime } from 'luxon'
import { describe, expect, it } from 'vitest'
import { instantOf, wallClock } from '.'

// Reference: luxon, through changes of the clocks (IANA).
const zones = ['Atlantic/Faroe', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'Pacific/Apia', 'UTC']
const moments = fc.integer({ min: 1_400_000_000, max: 1_900_000_000 })

describe('clocks somewhere', () => {
  it('show what luxon says', () =>
    fc.assert(
      fc.property(moments, fc.constantFrom(...zones), (at, zone) => {
        const there = DateTime.fromSeconds(at, { zone })
        expect(wallClock(new Date(at * 1000), zone)).toEqual({
          day: there.toISODate(),
          weekday: there.weekday,
          minutes: there.hour * 60 + there.minute,
        })
      }),
    ))
  it('show a time at the moment that luxon says, but for a time that is shown twice or not at all', () =>
    fc.assert(
      fc.property(moments, fc.constantFrom(...zones), (at, zone) => {
        const local = DateTime.fromSeconds(at, { zone }).toFormat("yyyy-MM-dd'T'HH:mm")
        const ours = instantOf(local, zone)
        const possible = DateTime.fromISO(local, { zone })
          .getPossibleOffsets()
          .map((one) => one.toMillis())
        expect(ours.getTime()).toBe(Math.min(...possible))
      }),
      { numRuns: 500 },
    ))
  it.each([
    // Clocks went forward from 01:00 to 02:00 and back from 02:00 to 01:00 (IANA, Atlantic/Faroe 2026).
    ['2026-03-29T01:30', 'Atlantic/Faroe', '2026-03-29T01:30:00.000Z'],
    ['2026-10-25T01:30', 'Atlantic/Faroe', '2026-10-25T00:30:00.000Z'],
    ['2026-11-27T08:30', 'Atlantic/Faroe', '2026-11-27T08:30:00.000Z'],
    // Half an hour of daylight saving.
    ['2026-04-05T01:45', 'Australia/Lord_Howe', '2026-04-04T14:45:00.000Z'],
  ])('%s in %s is %s', (local, zone, moment) => expect(instantOf(local, zone).toISOString()).toBe(moment))
})
