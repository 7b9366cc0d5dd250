import { DateTime } from 'luxon'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { nameBy, namingDates, namingWords } from './naming'

const pattern = '{client}: {kind}, {month}'

describe('the name a pattern gives', () => {
  it.each([
    [pattern, { client: 'Gullhaven', kind: 'Reviews', month: '2026-11' }, 'Gullhaven: Reviews, 2026-11'],
    [pattern, { kind: 'Reviews', month: '2026-11' }, 'Reviews, 2026-11'],
    [pattern, { client: 'Gullhaven', kind: 'Reviews' }, 'Gullhaven: Reviews'],
    [pattern, { client: 'Gullhaven', month: '2026-11' }, 'Gullhaven: 2026-11'],
    [pattern, {}, ''],
    ['{kind} ({page})', { kind: 'Badge', page: 'Home' }, 'Badge (Home)'],
    ['no braces', { kind: 'Badge' }, 'no braces'],
    ['', { kind: 'Badge' }, ''],
  ])('%s with %j is “%s”', (given, facts, wanted) => expect(nameBy(given, facts)).toBe(wanted))
  it('is never longer than a name may be, and has nothing loose at its ends', () =>
    fc.assert(
      fc.property(fc.string({ maxLength: 90 }), fc.string({ maxLength: 90 }), (client, kind) => {
        const name = nameBy(pattern, { client, kind })
        return name.length <= 80 && name === name.trim()
      }),
    ))
  it('every word is explained', () => {
    for (const words of Object.values(namingWords)) expect(words.length).toBeGreaterThan(3)
  })
})

// luxon as the reference for the month that it is somewhere.
it.each([
  ['2026-10-31T23:30:00Z', 'Europe/Berlin'],
  ['2026-10-31T23:30:00Z', 'Atlantic/Faroe'],
  ['2027-01-01T03:00:00Z', 'America/New_York'],
])('at %s in %s', (at, zone) => {
  const there = DateTime.fromISO(at, { zone })
  expect(namingDates(new Date(at), zone)).toEqual({ month: there.toFormat('yyyy-MM'), year: there.toFormat('yyyy') })
})
