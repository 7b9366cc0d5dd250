import { isSolved, SENT, SOONEST_MS } from '@pebblestrand/core/forms'
import type { HeldFor } from '@pebblestrand/contract'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import type { Config } from '../platform/config'
import { isSigned, sign } from './secrets'

// Nobody solves a puzzle. What looks like a robot is held back and can be let through; what comes too fast has to work for it.

/** Seconds that a challenge can be answered in. */
const VALID = 300
/** Bits of a challenge: about a tenth of a second of work, and twice as much for each more. */
const BITS = { least: 15, most: 20 }

export interface Limits {
  /** Of one address at one form: more are held back. */
  address: { points: number; duration: number }
  /** Of one form: more, and it is under attack. */
  form: { points: number; duration: number }
}
export const limitsFor = ({ formAttack }: Pick<Config, 'formAttack'>): Limits => ({
  address: { points: 5, duration: 600 },
  form: { points: formAttack, duration: 60 },
})

export type Judged = { let: true } | { held: HeldFor } | { challenge: string; bits: number }

interface Sent {
  publicId: string
  ip: string
  key: string
  system: Readonly<Record<string, string>>
  /** Whether a script sent it, which can work for it. */
  byScript: boolean
}

/** What is let through, held back, or has to work first. */
export class Robots {
  private readonly addresses: RateLimiterMemory
  private readonly forms: RateLimiterMemory

  constructor(
    private readonly secret: string,
    limits: Limits,
  ) {
    this.addresses = new RateLimiterMemory(limits.address)
    this.forms = new RateLimiterMemory(limits.form)
  }

  async judge({ publicId, ip, key, system, byScript }: Sent, now = Date.now()): Promise<Judged> {
    if (system[SENT.trap]) return { held: 'trap' }
    const took = Number(system[SENT.took] || NaN) // without a script nobody says
    if (took < SOONEST_MS) return { held: 'fast' }
    const overBy = await over(this.forms, publicId)
    if (overBy > 0 && !this.hasWorked(system[SENT.proof] ?? '', publicId, key, now)) {
      if (!byScript) return { held: 'attack' }
      return this.challengeFor(publicId, key, overBy, now)
    }
    return (await over(this.addresses, `${publicId} ${ip}`)) > 0 ? { held: 'often' } : { let: true }
  }

  private challengeFor(publicId: string, key: string, overBy: number, now: number) {
    const bits = Math.min(BITS.most, BITS.least + Math.floor(Math.log2(1 + overBy / 10)))
    const until = Math.floor(now / 1000) + VALID
    return { challenge: `${until}-${bits}-${sign(this.secret, 'challenge', publicId, key, until, bits)}`, bits }
  }

  /** The challenge is ours, of this submission, not over, and was solved. */
  private hasWorked(proof: string, publicId: string, key: string, now: number): boolean {
    const [, challenge = '', until = '', bits = '', signature = '', nonce = ''] =
      /^((\d{1,12})-(\d{1,2})-([\w-]{20,60}))\.(\d{1,12})$/.exec(proof) ?? []
    return (
      Number(until) * 1000 >= now &&
      isSigned(this.secret, signature, 'challenge', publicId, key, Number(until), Number(bits)) &&
      isSolved(challenge, nonce, Number(bits))
    )
  }
}

/** Counts one more; by how many it is over the limit, 0 within it. */
const over = async (limiter: RateLimiterMemory, key: string): Promise<number> => {
  try {
    await limiter.consume(key)
    return 0
  } catch (result) {
    return Math.max(1, (result as { consumedPoints: number }).consumedPoints - limiter.points)
  }
}
