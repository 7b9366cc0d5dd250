import { Piscina } from 'piscina'
import { assets } from '../assets'
import { Turns } from '../turns'
import type * as tasks from './tasks'

type Tasks = typeof tasks
export type TaskName = Exclude<keyof Tasks, 'ready'>

/** The document could not be read to its end in time, or in the room a thread has. */
export class TooTangled extends Error {}

/** Most documents are read in a few milliseconds; what takes longer goes to a line of its own, so that the others do not wait for it. */
const LIMITS = { quickMs: 1000, ms: 10_000, megabytes: 512 }
const THREADS = { quick: 2, patient: 1 }

/**
 * Reads documents from outside in threads of their own. A document can be written so that reading it takes hours, or all
 * memory; then the thread is ended, and only it. The time of a task begins when it begins, not while it waits for its turn
 * or for its thread to come up.
 */
export class Threads {
  private readonly quick: Lane
  private readonly patient: Lane

  constructor(private readonly limits = LIMITS) {
    this.quick = new Lane(THREADS.quick, limits.quickMs, limits.megabytes)
    this.patient = new Lane(THREADS.patient, limits.ms, limits.megabytes)
  }

  /**
   * Throws TooTangled where the limits do not suffice, or the document is nested deeper than can be read.
   * @param share whose work it is, a host for instance: each has one thread at a time at most, and they take turns
   */
  async run<N extends TaskName>(name: N, input: Input<N>, share = 'ours'): Promise<Output<N>> {
    try {
      return await this.quick.run(name, input, share)
    } catch (error) {
      if (!(error instanceof OutOfTime)) throw tangledOr(error)
    }
    try {
      return await this.patient.run(name, input, share)
    } catch (error) {
      if (error instanceof OutOfTime)
        throw new TooTangled(`It could not be read within ${this.limits.ms / 1000} seconds.`)
      throw tangledOr(error)
    }
  }

  async close(): Promise<void> {
    await Promise.all([this.quick.close(), this.patient.close()])
  }
}

type Input<N extends TaskName> = Parameters<Tasks[N]>[0]
type Output<N extends TaskName> = ReturnType<Tasks[N]>

class OutOfTime extends Error {}

/** Some threads with one limit of time. */
class Lane {
  private readonly turns: Turns
  private readonly pool: Piscina

  constructor(
    threads: number,
    private readonly ms: number,
    megabytes: number,
  ) {
    this.turns = new Turns({ each: 1, all: threads })
    this.pool = new Piscina({
      filename: assets.tasks,
      minThreads: 0,
      maxThreads: threads,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: megabytes },
    })
  }

  run<N extends TaskName>(name: N, input: Input<N>, share: string): Promise<Output<N>> {
    return this.turns.during(share, async () => {
      await this.pool.run(undefined, { name: 'ready' })
      const signal = AbortSignal.timeout(this.ms)
      try {
        return (await this.pool.run(input, { name, signal })) as Output<N>
      } catch (error) {
        throw signal.aborted ? new OutOfTime() : error
      }
    })
  }

  close = () => this.pool.destroy()
}

/** A stack that overflows and a heap that is full are the document's doing; anything else is ours. */
function tangledOr(error: unknown): unknown {
  const { name, code } = error as { name?: string; code?: string }
  return name === 'RangeError' || code === 'ERR_WORKER_OUT_OF_MEMORY' ? new TooTangled('It is nested too deep.') : error
}
