import { setTimeout as sleep } from 'node:timers/promises'
import type { FetchedJob } from './fetch-jobs'

const POLL_MS = 500
/** When the queue does not answer, it is asked less and less often. */
const MOST_WAIT_MS = 5000
const STOP_MS = 5000

interface How {
  atOnce: number
  /** Takes so many at most out of the line. */
  fetch(most: number): Promise<FetchedJob[]>
  /** Does one and says so to the queue. */
  carryOut(job: FetchedJob): Promise<void>
  onError(error: Error): void
}

/** Does the jobs of one sort, so many at once, until it is stopped. A slow one holds up nobody; nothing in here rejects unheard. */
export class Taking {
  private readonly running = new Set<Promise<void>>()
  private stopping = false
  /** Ends the pause that is, or the next one. */
  private wake: () => void = () => {}
  private isAwake = false

  constructor(private readonly how: How) {
    void this.loop()
  }

  private async loop(): Promise<void> {
    let wait = POLL_MS
    while (!this.stopping) {
      try {
        const free = this.how.atOnce - this.running.size
        for (const job of free ? await this.how.fetch(free) : []) this.begin(job)
        wait = POLL_MS
      } catch (error) {
        this.tell(error)
        wait = Math.min(MOST_WAIT_MS, wait * 2)
      }
      await this.pause(wait)
    }
  }

  private begin(job: FetchedJob): void {
    const done: Promise<void> = this.how
      .carryOut(job)
      .catch((error: unknown) => this.tell(error))
      .finally(() => {
        this.running.delete(done)
        this.isAwake = true // there is room for the next
        this.wake()
      })
    this.running.add(done)
  }

  /** Until so much time has passed, or a job is done. */
  private async pause(ms: number): Promise<void> {
    if (!this.isAwake)
      await new Promise<void>((resolve) => {
        const timer = setTimeout(resolve, ms).unref()
        this.wake = () => {
          clearTimeout(timer)
          resolve()
        }
      })
    this.isAwake = false
  }

  private tell(error: unknown): void {
    this.how.onError(error instanceof Error ? error : new Error(String(error)))
  }

  /** Takes no more, and waits a while for what is being done. */
  async stop(): Promise<void> {
    this.stopping = true
    this.wake()
    await Promise.race([Promise.all(this.running), sleep(STOP_MS, undefined, { ref: false })])
  }
}
