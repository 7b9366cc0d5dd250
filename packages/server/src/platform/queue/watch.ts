import type { Taking } from './taking'

const POLL_MS = 500
/** When the queue does not answer, it is asked less and less often. */
const MOST_WAIT_MS = 5000

interface How {
  /** Names of the sorts of which some could be taken now. */
  waiting(): Promise<ReadonlySet<string>>
  onError(error: Error): void
}

/** Asks the queue what waits, in one question for all sorts, and wakes those who do it: asking for each sort kept a third of a core busy. */
export class Watch {
  private readonly takings: Taking[] = []
  private stopping = false
  private wake: () => void = () => {}

  constructor(private readonly how: How) {
    void this.loop()
  }

  add(taking: Taking): void {
    this.takings.push(taking)
  }

  private async loop(): Promise<void> {
    let wait = POLL_MS
    while (!this.stopping) {
      try {
        const names = await this.how.waiting()
        // Not waited for: a sort of which something ends all the time goes on looking, and the others have their turn meanwhile.
        for (const taking of this.takings)
          if (names.has(taking.name)) taking.look().catch((error: unknown) => this.tell(error))
        wait = POLL_MS
      } catch (error) {
        this.tell(error)
        wait = Math.min(MOST_WAIT_MS, wait * 2)
      }
      await this.pause(wait)
    }
  }

  private tell(error: unknown): void {
    this.how.onError(error instanceof Error ? error : new Error(String(error)))
  }

  private async pause(ms: number): Promise<void> {
    if (this.stopping) return
    await new Promise<void>((resolve) => {
      const timer = setTimeout(resolve, ms).unref()
      this.wake = () => {
        clearTimeout(timer)
        resolve()
      }
    })
  }

  /** Nothing more is begun; what is being done is waited for a while. */
  async stop(): Promise<void> {
    this.stopping = true
    this.wake()
    await Promise.all(this.takings.map((taking) => taking.stop()))
  }
}
