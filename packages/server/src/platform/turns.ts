/** How much of something there is at once. */
interface Most {
  /** For one key. */
  each: number
  /** For all keys together; no limit where it is left out. */
  all?: number
}

interface Waiting {
  begin(): void
}

/**
 * A fair share for everyone: so many at once for a key, so many for all. Keys take turns, so that one with a long line holds
 * up nobody but itself; within a key, who came first goes first.
 */
export class Turns {
  private readonly busy = new Map<string, number>()
  /** Keys in the order in which they are next. */
  private readonly lines = new Map<string, Waiting[]>()
  private total = 0

  constructor(private readonly most: Most) {}

  /** Does the work when its turn has come. An abort while it waits takes it out of the line and throws the signal's reason. */
  async during<T>(key: string, work: () => Promise<T>, signal?: AbortSignal): Promise<T> {
    await this.turn(key, signal)
    try {
      return await work()
    } finally {
      this.leave(key)
    }
  }

  private turn(key: string, signal?: AbortSignal): Promise<void> {
    signal?.throwIfAborted()
    if (this.hasRoom(key)) {
      this.enter(key)
      return Promise.resolve()
    }
    return new Promise((resolve, reject) => {
      const abort = () => {
        this.drop(key, waiting)
        reject(signal!.reason as Error)
      }
      const waiting: Waiting = {
        begin: () => {
          signal?.removeEventListener('abort', abort)
          resolve()
        },
      }
      signal?.addEventListener('abort', abort, { once: true })
      this.lines.set(key, [...(this.lines.get(key) ?? []), waiting])
    })
  }

  private hasRoom = (key: string) =>
    this.total < (this.most.all ?? Infinity) && (this.busy.get(key) ?? 0) < this.most.each

  private enter(key: string): void {
    this.total++
    this.busy.set(key, (this.busy.get(key) ?? 0) + 1)
  }

  private leave(key: string): void {
    this.total--
    const left = this.busy.get(key)! - 1
    if (left) this.busy.set(key, left)
    else this.busy.delete(key)
    this.callNext()
  }

  private callNext(): void {
    for (const [key, [next, ...rest]] of this.lines) {
      if (!this.hasRoom(key)) continue
      this.lines.delete(key) // behind all others for the next time
      if (rest.length) this.lines.set(key, rest)
      this.enter(key)
      next!.begin()
      return
    }
  }

  private drop(key: string, waiting: Waiting): void {
    const rest = (this.lines.get(key) ?? []).filter((one) => one !== waiting)
    if (rest.length) this.lines.set(key, rest)
    else this.lines.delete(key)
  }
}
