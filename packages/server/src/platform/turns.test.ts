import { describe, expect, it } from 'vitest'
import { Turns } from './turns'

/** Work that ends when it is told to. */
function held(turns: Turns, log: string[]) {
  const ends = new Map<string, () => void>()
  const begin = (key: string, name: string, signal?: AbortSignal) =>
    turns.during(
      key,
      () => {
        log.push(name)
        return new Promise<void>((resolve) => ends.set(name, resolve))
      },
      signal,
    )
  const end = async (name: string) => {
    await new Promise((resolve) => setImmediate(resolve))
    ends.get(name)!()
    await new Promise((resolve) => setImmediate(resolve))
  }
  return { begin, end }
}

describe('turns', () => {
  it('are so many for a key, and others do not wait for it', async () => {
    const log: string[] = []
    const { begin, end } = held(new Turns({ each: 2 }), log)
    for (const name of ['a1', 'a2', 'a3', 'a4']) void begin('a', name)
    void begin('b', 'b1')
    await Promise.resolve()
    expect(log).toEqual(['a1', 'a2', 'b1'])
    await end('a2')
    expect(log.at(-1)).toBe('a3')
  })
  it('are taken by key after key where all together are limited', async () => {
    const log: string[] = []
    const { begin, end } = held(new Turns({ each: 2, all: 2 }), log)
    for (const name of ['a1', 'a2', 'a3', 'a4', 'a5']) void begin('a', name)
    for (const name of ['b1', 'c1']) void begin(name[0]!, name)
    for (const name of ['a1', 'a2', 'a3', 'b1']) await end(name)
    expect(log).toEqual(['a1', 'a2', 'a3', 'b1', 'c1', 'a4'])
  })
  it('are given up when nobody waits any more', async () => {
    const log: string[] = []
    const { begin, end } = held(new Turns({ each: 1 }), log)
    void begin('a', 'a1')
    const late = new AbortController()
    const waiting = begin('a', 'a2', late.signal)
    void begin('a', 'a3')
    late.abort(new Error('too late'))
    await expect(waiting).rejects.toThrow('too late')
    await end('a1')
    expect(log).toEqual(['a1', 'a3'])
    await expect(begin('b', 'b1', late.signal)).rejects.toThrow('too late')
  })
  it('let everyone through in the end, and never too many', async () => {
    const turns = new Turns({ each: 2, all: 3 })
    let [running, most] = [0, 0]
    const done = await Promise.all(
      Array.from({ length: 20 }, (_, n) =>
        turns.during(String(n % 3), async () => {
          most = Math.max(most, ++running)
          await new Promise((resolve) => setTimeout(resolve, 1))
          running--
          return n
        }),
      ),
    )
    expect(most).toBe(3)
    expect(done).toEqual(Array.from({ length: 20 }, (_, n) => n))
  })
  it('go on after work that fails', async () => {
    const turns = new Turns({ each: 1 })
    await expect(turns.during('a', () => Promise.reject(new Error('no')))).rejects.toThrow('no')
    expect(await turns.during('a', () => Promise.resolve(1))).toBe(1)
  })
})
