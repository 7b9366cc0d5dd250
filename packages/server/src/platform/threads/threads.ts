import { Piscina } from 'piscina'
import { assets } from '../assets'
import { Politeness } from '../outbound/politeness'
import type * as tasks from './tasks'

type Tasks = typeof tasks
export type TaskName = 'readFeed' | 'discover' | 'judge'

/** The document could not be read to its end in time, or in the room a thread has. */
export class TooTangled extends Error {}

const AT_ONCE = 2
const LIMITS = { ms: 10_000, megabytes: 512 }

/**
 * Reads documents from outside in threads of their own. A document can be written so that reading it takes hours, or all
 * memory; then the thread is ended, and only it. The time of a task begins when it begins, not while it waits for its turn
 * or for its thread to come up.
 */
export class Threads {
  private readonly turns = new Politeness(AT_ONCE)
  private readonly pool: Piscina

  constructor(private readonly limits = LIMITS) {
    this.pool = new Piscina({
      filename: assets.tasks,
      minThreads: 0,
      maxThreads: AT_ONCE,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: limits.megabytes },
    })
  }

  /** Throws TooTangled where the limits do not suffice. */
  async run<N extends TaskName>(name: N, input: Parameters<Tasks[N]>[0]): Promise<ReturnType<Tasks[N]>> {
    return this.turns.during('threads', async () => {
      await this.pool.run(undefined, { name: 'ready' })
      const signal = AbortSignal.timeout(this.limits.ms)
      try {
        return (await this.pool.run(input, { name, signal })) as ReturnType<Tasks[N]>
      } catch (error) {
        const outOfMemory = (error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY'
        if (signal.aborted || outOfMemory)
          throw new TooTangled(`It could not be read within ${this.limits.ms / 1000} seconds.`)
        throw error
      }
    })
  }

  async close(): Promise<void> {
    await this.pool.destroy()
  }
}
