import { describe, expect, it } from 'vitest'
import { parseDate } from './dates'

describe('dates in feeds', () => {
  it.each([
    // RFC 822 section 5, RFC 2822 section 4.3 (two-digit years, zone names), RFC 3339 section 5.8
    ['Sat, 07 Sep 2002 00:00:01 GMT', '2002-09-07T00:00:01.000Z'],
    ['07 Sep 02 09:42:31 +0200', '2002-09-07T07:42:31.000Z'],
    ['Fri, 21 Nov 97 09:55:06 -0600', '1997-11-21T15:55:06.000Z'],
    ['1985-04-12T23:20:50.52Z', '1985-04-12T23:20:50.000Z'],
    ['1996-12-19T16:39:57-08:00', '1996-12-20T00:39:57.000Z'],
    // as found in the wild
    ['Tue, 3 Nov 2026 9:05 EST', '2026-11-03T14:05:00.000Z'],
    ['Wednesday, 3 November 2026 10:00:00 CET', '2026-11-03T09:00:00.000Z'],
    ['Mon, 03 Nov 2026 10:00:00 +0000 (UTC)', '2026-11-03T10:00:00.000Z'],
    ['2026-11-03 10:00:00', '2026-11-03T10:00:00.000Z'],
    ['2026-11-03T10:00Z', '2026-11-03T10:00:00.000Z'],
    ['2026-11-03', '2026-11-03T00:00:00.000Z'],
    ['2026-11', '2026-11-01T00:00:00.000Z'],
  ])('%s', (raw, iso) => expect(parseDate(raw)).toBe(iso))

  it.each([
    '',
    'yesterday',
    '31 Feb 2026 10:00 GMT',
    '2026-02-30',
    'Tue, 3 Nov 2026 25:00:00 GMT',
    '3 Foo 2026',
    '2026-11-03T10:00:00 XYZ',
    undefined,
    null,
  ])('cannot read %s', (raw) => expect(parseDate(raw)).toBeNull())
})
