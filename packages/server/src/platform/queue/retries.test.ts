import { describe, expect, it } from 'vitest'
import { afterTry, doubling, isDueAgain, stepped } from './retries'

const now = new Date('2026-12-02T10:00:00Z')
const minutes = (n: number) => new Date(now.getTime() + n * 60_000)
const failed = { how: 'failed', problem: 'It was away.' } as const

describe('pauses', () => {
  it('go up step by step, and the last one stays', () =>
    expect([1, 2, 3, 4, 9].map(stepped(8, [1, 5, 15]).pause)).toEqual([1, 5, 15, 15, 15]))
  it('double up to the most, which is never shorter than the first', () => {
    expect([1, 2, 3, 40].map(doubling(60, 1440).pause)).toEqual([120, 240, 480, 1440])
    expect(doubling(2880, 1440).pause(3)).toBe(2880)
  })
})

describe('after a try', () => {
  const retries = stepped(3, [1, 5])
  it('that did it, nothing is left to say', () =>
    expect(afterTry(retries, { how: 'done' }, 2, now)).toEqual({
      state: 'done',
      tries: 3,
      problem: null,
      nextAt: null,
    }))
  it('that failed, the next one follows after its pause, or when the other side says', () => {
    expect(afterTry(retries, failed, 0, now)).toMatchObject({ state: 'waiting', tries: 1, nextAt: minutes(1) })
    expect(afterTry(retries, failed, 1, now)).toMatchObject({ state: 'waiting', tries: 2, nextAt: minutes(5) })
    const named = { ...failed, retryAt: minutes(42) }
    expect(afterTry(retries, named, 0, now)).toMatchObject({ state: 'waiting', nextAt: minutes(42) })
  })
  it('that was the last, it is given up with its reason', () =>
    expect(afterTry(retries, failed, 2, now)).toEqual({
      state: 'given-up',
      tries: 3,
      problem: 'It was away.',
      nextAt: null,
    }))
  it('that was refused, there is no other', () =>
    expect(afterTry(retries, { how: 'refused', problem: 'No such address.' }, 0, now)).toMatchObject({
      state: 'refused',
      tries: 1,
      nextAt: null,
    }))
  it('without end, it is never given up', () =>
    expect(afterTry(doubling(60, 1440), failed, 5000, now)).toMatchObject({ state: 'waiting', nextAt: minutes(1440) }))
})

it('what was tried is due again after its pause, not before', () => {
  const daily = stepped(Infinity, [1440])
  expect(isDueAgain(daily, minutes(-1439), 1, now)).toBe(false)
  expect(isDueAgain(daily, minutes(-1440), 1, now)).toBe(true)
})
