import { setTimeout as sleep } from 'node:timers/promises'
import type { FetchedJob } from './fetch-jobs'

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
  private looking: Promise<void> | null = null
  private again = false
  private stopping = false

  constructor(
    readonly name: string,
    private readonly how: How,
  ) {}

  /** Takes as many as there is room for. Asked while it does, it looks once more afterwards. Rejects when the queue does not answer. */
  look(): Promise<void> {
    this.again = true
    this.looking ??= this.fill().finally(() => (this.looking = null))
    return this.looking
  }

  private async fill(): Promise<void> {
    while (this.again && !this.stopping) {
      this.again = false
      const free = this.how.atOnce - this.running.size
      for (const job of free ? await this.how.fetch(free) : []) this.begin(job)
    }
  }

  private begin(job: FetchedJob): void {
    const done: Promise<void> = this.how
      .carryOut(job)
      .catch((error: unknown) => this.tell(error))
      .finally(() => {
        this.running.delete(done)
        this.look().catch((error: unknown) => this.tell(error)) // there is room for the next
      })
    this.running.add(done)
  }

  private tell(error: unknown): void {
    this.how.onError(error instanceof Error ? error : new Error(String(error)))
  }

  /** Takes no more, and waits a while for what is being done. */
  async stop(): Promise<void> {
    this.stopping = true
    await Promise.race([Promise.all(this.running), sleep(STOP_MS, undefined, { ref: false })])
  }
}
