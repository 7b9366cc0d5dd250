import { SENT, type FieldFault } from '@pebblestrand/core/forms/filling'
import { pathTo } from '@pebblestrand/core/wire'
import type { Keeping, Pending } from './keeping'
import { work } from './work'

/** What became of what was sent. */
export type Sent =
  | { how: 'arrived'; results: string }
  | { how: 'wrong'; faults: Record<string, FieldFault> }
  /** No connection, or nobody there at present: it is tried again. */
  | { how: 'later' }
  | { how: 'refused' }

interface Answer {
  results?: string
  faults?: Record<string, FieldFault>
  challenge?: string
  bits?: number
}

/** Seconds between two tries, the last for all that come after. */
const PAUSES = [3, 6, 15, 30, 60]

/** A key that nobody else has; not by `randomUUID`, which pages without encryption do not have. */
export const newKey = (): string =>
  [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, '0')).join('')

/** One try. A form is sent as forms are: no browser asks beforehand, and no cookie goes along. */
async function sendOnce(origin: string, id: string, release: string, body: string): Promise<Sent> {
  try {
    const address = `${origin}${pathTo('form', id)}?r=${encodeURIComponent(release)}`
    const answer = await fetch(address, {
      method: 'POST',
      headers: { accept: 'application/json' },
      body: new URLSearchParams(body),
      credentials: 'omit',
    })
    if (answer.status === 429 || answer.status >= 500) return { how: 'later' }
    const told = (await answer.json()) as Answer
    if (answer.ok) return { how: 'arrived', results: told.results ?? '' }
    if (answer.status === 428 && told.challenge) {
      const nonce = await work(origin, told.challenge, told.bits ?? 0)
      const again = new URLSearchParams(body)
      again.set(SENT.proof, `${told.challenge}.${nonce}`)
      return await sendOnce(origin, id, release, again.toString())
    }
    return told.faults ? { how: 'wrong', faults: told.faults } : { how: 'refused' }
  } catch {
    return { how: 'later' }
  }
}

/** Sends a form, and keeps at it until somebody has said what became of it. */
export class Sending {
  private timer: ReturnType<typeof setTimeout> | undefined
  private tries = 0
  private isBusy = false

  constructor(
    private readonly place: { origin: string; id: string; release: string },
    private readonly keeping: Keeping,
    private readonly tell: (sent: Sent) => void,
  ) {}

  /** The same again has the same key: it is answered once. */
  send(body: string): void {
    const before = this.keeping.pending
    this.keeping.pending = before?.body === body ? before : { key: newKey(), body }
    this.tries = 0
    void this.go()
  }

  /** What waits from before, at once. */
  resume(): boolean {
    if (this.keeping.pending) void this.go()
    return this.keeping.pending !== null
  }

  private async go(): Promise<void> {
    const { pending } = this.keeping
    if (!pending || this.isBusy) return
    clearTimeout(this.timer)
    this.isBusy = true
    const { origin, id, release } = this.place
    const sent = await sendOnce(origin, id, release, withKey(pending))
    this.isBusy = false
    if (sent.how === 'later') {
      const pause = PAUSES[Math.min(this.tries, PAUSES.length - 1)]!
      this.tries += 1
      this.timer = setTimeout(() => void this.go(), pause * 1000)
    } else this.keeping.pending = null
    this.tell(sent)
  }

  end(): void {
    clearTimeout(this.timer)
  }
}

const withKey = ({ key, body }: Pending): string => {
  const whole = new URLSearchParams(body)
  whole.set(SENT.key, key)
  return whole.toString()
}
