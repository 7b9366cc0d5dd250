import type { Context } from '../context'
import type { JobTime } from './job-time'

/** A sort of job: its name in the queue, and what it is given. A `share` in the data says whose turn it takes: a host's, for instance. */
export interface Job<Data extends object> {
  name: string
  /** Only here so that the type of the data is known. */
  readonly data?: Data
  /** Of those that wait with the same key, one is enough. Not for jobs queued in a transaction: the one that waits may begin before it is through. */
  oneWaiting?: boolean
}

export const job = <Data extends object>(name: string, more: { oneWaiting?: boolean } = {}): Job<Data> => ({
  name,
  ...more,
})

/** How a worker does one sort of job. */
export interface Work {
  job: Job<object>
  /** So many at once in one worker. */
  atOnce: number
  /** Of these, so many of one share, over all workers. */
  each: number
  /**
   * Seconds that it may take. After these the queue takes its worker for gone and has it done again: whatever may take longer goes in
   * pieces.
   */
  seconds: number
  /** Also begun by the clock, in cron's words. */
  cron?: string
  /** `more`: it stopped because its time was up, and goes on as a new job with the same data. */
  run(context: Context, data: never, time: JobTime): Promise<Ending>
}

export type Ending = void | 'more'

export const work = <Data extends object>(
  of: Job<Data>,
  how: { seconds: number; atOnce?: number; each?: number; cron?: string },
  run: (context: Context, data: Data, time: JobTime) => Promise<Ending>,
): Work => ({ job: of, atOnce: 1, each: Infinity, ...how, run: run as Work['run'] })
