/** So many requests to one host at a time; the others wait their turn. */
export class Politeness {
  private readonly busy = new Map<string, number>()
  private readonly waiting = new Map<string, (() => void)[]>()

  constructor(private readonly atOnce: number) {}

  async during<T>(host: string, work: () => Promise<T>): Promise<T> {
    await this.turn(host)
    try {
      return await work()
    } finally {
      this.leave(host)
    }
  }

  private turn(host: string): Promise<void> {
    const now = this.busy.get(host) ?? 0
    if (now < this.atOnce) {
      this.busy.set(host, now + 1)
      return Promise.resolve()
    }
    return new Promise((resolve) => this.waiting.set(host, [...(this.waiting.get(host) ?? []), resolve]))
  }

  private leave(host: string): void {
    const [next, ...rest] = this.waiting.get(host) ?? []
    if (rest.length) this.waiting.set(host, rest)
    else this.waiting.delete(host)
    if (next) return next()
    const left = (this.busy.get(host) ?? 1) - 1
    if (left) this.busy.set(host, left)
    else this.busy.delete(host)
  }
}
