import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { FetchedJob } from './fetch-jobs'
import { Taking } from './taking'
import { Watch } from './watch'

/** A line of jobs, and a worker of it that ends each when it is told to. */
class Line {
  readonly jobs: FetchedJob[] = []
  readonly begun: string[] = []
  readonly ends = new Map<string, (problem?: Error) => void>()
  fetches = 0
  readonly errors: Error[] = []
  readonly taking: Taking

  constructor(
    readonly name: string,
    atOnce: number,
  ) {
    this.taking = new Taking(name, {
      atOnce,
      fetch: async (most) => {
        this.fetches++
        return this.jobs.splice(0, most)
      },
      carryOut: ({ id }) => {
        this.begun.push(id)
        return new Promise<void>((resolve, reject) =>
          this.ends.set(id, (problem) => (problem ? reject(problem) : resolve())),
        )
      },
      onError: (error) => this.errors.push(error),
    })
  }
  put(...ids: string[]): void {
    this.jobs.push(...ids.map((id) => ({ id, data: {} })))
  }
  async end(id: string, problem?: Error): Promise<void> {
    this.ends.get(id)!(problem)
    await vi.advanceTimersByTimeAsync(0)
  }
}

let slow: Line
let quick: Line
let errors: Error[]
let away: Error | null
let asked: number
let watch: Watch
beforeEach(() => {
  vi.useFakeTimers()
  ;[slow, quick, errors, away, asked] = [new Line('slow', 1), new Line('quick', 2), [], null, 0]
  watch = new Watch({
    waiting: async () => {
      asked++
      if (away) throw away
      return new Set([slow, quick].filter(({ jobs }) => jobs.length).map(({ name }) => name))
    },
    onError: (error) => errors.push(error),
  })
  watch.add(slow.taking)
  watch.add(quick.taking)
})
afterEach(async () => {
  for (const line of [slow, quick]) for (const id of line.begun) line.ends.get(id)!()
  await watch.stop()
  vi.useRealTimers()
})

describe('a queue that is watched', () => {
  it('is asked once for all sorts; those of which nothing waits are left alone', async () => {
    await vi.advanceTimersByTimeAsync(5000)
    expect([asked, slow.fetches, quick.fetches]).toEqual([11, 0, 0])
    quick.put('a')
    await vi.advanceTimersByTimeAsync(500)
    expect([quick.begun, slow.fetches]).toEqual([['a'], 0])
  })
  it('gives no more than there is room for, and the next as soon as there is', async () => {
    quick.put('a', 'b', 'c')
    slow.put('x')
    await vi.advanceTimersByTimeAsync(500)
    expect([quick.begun, slow.begun]).toEqual([['a', 'b'], ['x']])
    await quick.end('a')
    expect(quick.begun).toEqual(['a', 'b', 'c'])
  })
  it('goes on after a job that failed', async () => {
    slow.put('x', 'y')
    await vi.advanceTimersByTimeAsync(500)
    await slow.end('x', new Error('No'))
    expect([slow.begun, slow.errors.map(({ message }) => message)]).toEqual([['x', 'y'], ['No']])
  })
  it('is asked for the others while one sort is still being fetched', async () => {
    const stuck = new Taking('stuck', {
      atOnce: 1,
      fetch: () => new Promise(() => {}),
      carryOut: async () => {},
      onError: (error) => errors.push(error),
    })
    const beside = new Line('beside', 1)
    const both = new Watch({
      waiting: async () => new Set(['stuck', 'beside']),
      onError: (error) => errors.push(error),
    })
    both.add(stuck)
    both.add(beside.taking)
    await vi.advanceTimersByTimeAsync(500)
    beside.put('x')
    await vi.advanceTimersByTimeAsync(1000)
    expect(beside.begun).toEqual(['x'])
    await beside.end('x')
    await both.stop()
  })
  it('that does not answer is asked less and less often, and one error is told each time', async () => {
    away = new Error('The database is away')
    await vi.advanceTimersByTimeAsync(500)
    const before = asked
    await vi.advanceTimersByTimeAsync(20_000)
    expect(asked - before).toBeLessThan(8)
    expect(errors).toHaveLength(asked - 1)
    away = null
    slow.put('x')
    await vi.advanceTimersByTimeAsync(5000)
    expect(slow.begun).toEqual(['x'])
  })
  it('stopped, takes nothing more', async () => {
    slow.put('x')
    await vi.advanceTimersByTimeAsync(500)
    const stopped = watch.stop()
    slow.put('y')
    await slow.end('x')
    await stopped
    await vi.advanceTimersByTimeAsync(5000)
    expect(slow.begun).toEqual(['x'])
  })
})
