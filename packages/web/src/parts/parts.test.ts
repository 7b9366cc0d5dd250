import { describe, expect, it } from 'vitest'
import { plural, shortAddress } from './address'
import { fitOf } from './fit'
import { lie, pebbleShape, strandLine } from './pebble-shape'
import { ago, until } from './time'

describe('times', () => {
  const now = Date.parse('2026-11-24T12:00:00Z')
  it.each([
    ['2026-11-24T11:59:40Z', 'just now'],
    ['2026-11-24T11:48:00Z', '12 min ago'],
    ['2026-11-24T09:00:00Z', '3 h ago'],
    ['2026-11-22T12:00:00Z', '2 d ago'],
    ['2026-11-24T12:05:00Z', 'just now'], // a clock ahead of ours
  ])('%s is %s', (iso, words) => expect(ago(iso, now)).toBe(words))
  it.each([
    ['2026-11-24T12:00:20Z', 'in a moment'],
    ['2026-11-24T11:00:00Z', 'in a moment'],
    ['2026-11-24T12:09:00Z', 'in 9 min'],
    ['2026-11-24T15:00:00Z', 'in 3 h'],
    ['2026-11-26T12:00:00Z', 'in 2 d'],
  ])('%s is to come %s', (iso, words) => expect(until(iso, now)).toBe(words))
  it('says the date when it is long ago', () => expect(ago('2026-10-01T09:14:00Z', now)).toMatch(/1.*Oct|Oct.*1/))
})

describe('addresses and numbers', () => {
  it('cuts a long address in the middle and keeps both ends', () => {
    const short = shortAddress('https://ferries.example/a/very/long/path/that/goes/on/and/on/to/timetable', 40)
    expect(short).toHaveLength(40)
    expect(short).toMatch(/^ferries\.example.*….*timetable$/)
    expect(shortAddress('https://ferries.example/')).toBe('ferries.example')
  })
  it('counts', () =>
    expect([plural(1, 'site'), plural(2, 'site'), plural(0, 'child', 'children')]).toEqual([
      '1 site',
      '2 sites',
      '0 children',
    ]))
})

describe('pebbles', () => {
  it('keep their shape and place, and differ from one another', () => {
    expect(pebbleShape('a')).toBe(pebbleShape('a'))
    expect(pebbleShape('a')).not.toBe(pebbleShape('b'))
    expect(lie('a')).toEqual(lie('a'))
    expect(strandLine('x')).toMatch(/^M0 [\d.]+C/)
  })
  it('stay within their box', () => {
    for (let i = 0; i < 200; i++) {
      const numbers = pebbleShape(`p${i}`)
        .match(/-?\d+(\.\d+)?/g)!
        .map(Number)
      expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0)
      expect(Math.max(...numbers)).toBeLessThanOrEqual(20)
      const { x, y } = lie(`p${i}`)
      expect(Math.max(Math.abs(x), Math.abs(y))).toBeLessThanOrEqual(0.25)
    }
  })
})

describe('fit on the page plan', () => {
  it('knows a kind’s verdict, and none for what it cannot read', () => {
    expect(fitOf('headlines', { layout: 'grid', columns: 3, picture: 'none' }, 300)?.verdict).toBe('fewer')
    expect(fitOf('hologram', {}, 300)).toBeNull()
    expect(fitOf('headlines', null, 300)).toBeNull()
    expect(fitOf('headlines', { count: 'many' }, 300)).toBeNull()
  })
})
