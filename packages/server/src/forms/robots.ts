import { isSolved, SENT, SOONEST_MS } from '@pebblestrand/core/forms'
import type { HeldFor } from '@pebblestrand/contract'
import type { Sequelize } from 'sequelize'
import type { Config } from '../platform/config'
import { countTogether } from '../platform/limits/count-together'
import { neighboursOf, subscriberOf } from '../platform/limits/network'
import { counterKey, isSigned, sign } from '../platform/keyed-hash'

// Nobody solves a puzzle. What looks like a robot is held back and can be let through; what comes too fast has to work for it.

/** Seconds that a challenge can be answered in. */
const VALID = 300
/** Bits of a challenge: about a tenth of a second of work, and twice as much for each more. */
const BITS = { least: 15, most: 20 }

export interface Limits {
  /** Submissions of one household or office to one form (platform/limits/network.ts): more are held back. */
  subscriber: { points: number; seconds: number }
  /** The same of the network around it. */
  neighbours: { points: number; seconds: number }
  /** Submissions to one form: more, and it is under attack. */
  form: { points: number; seconds: number }
  /** Replies that one household or office may ask for, of all forms together, and the network around it. */
  replies: { subscriber: number; neighbours: number; seconds: number }
  /** Held back of one form: more are not kept. */
  held: { points: number; seconds: number }
}
export const limitsFor = ({ formAttack }: Pick<Config, 'formAttack'>): Limits => ({
  subscriber: { points: 5, seconds: 600 },
  neighbours: { points: 40, seconds: 600 },
  form: { points: formAttack, seconds: 60 },
  replies: { subscriber: 5, neighbours: 40, seconds: 3600 },
  held: { points: 200, seconds: 86_400 },
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
  constructor(
    private readonly db: Sequelize,
    /** What challenges are signed with, and what networks are hashed with where they are counted: none is stored in clear. */
    private readonly keys: { signing: string; hashing: string },
    private readonly limits: Limits,
  ) {}

  async judge({ publicId, ip, key, system, byScript }: Sent, now = Date.now()): Promise<Judged> {
    if (system[SENT.trap]) return { held: 'trap' }
    const took = Number(system[SENT.took] || NaN) // without a script nobody says
    if (took < SOONEST_MS) return { held: 'fast' }
    const { form, subscriber, neighbours } = this.limits
    const [ofForm, ofSubscriber, ofNeighbours] = [
      { key: `form ${publicId}`, ...form },
      { key: this.keyOf('form', publicId, subscriberOf(ip)), ...subscriber },
      { key: this.keyOf('form', publicId, neighboursOf(ip)), ...neighbours },
    ]
    const over = await countTogether(this.db, [ofForm, ofSubscriber, ofNeighbours], { now })
    const overBy = over.get(ofForm.key)!
    if (overBy > 0 && !this.hasWorked(system[SENT.proof] ?? '', publicId, key, now)) {
      if (!byScript) return { held: 'attack' }
      return this.challengeFor(publicId, key, overBy, now)
    }
    return over.get(ofSubscriber.key)! > 0 || over.get(ofNeighbours.key)! > 0 ? { held: 'often' } : { let: true }
  }

  private keyOf = (what: string, ...about: string[]) => counterKey(this.keys.hashing, what, ...about)

  /** Whether somebody there may ask for one more reply. */
  async mayHaveReply(ip: string, now = Date.now()): Promise<boolean> {
    const { subscriber, neighbours, seconds } = this.limits.replies
    const over = await countTogether(
      this.db,
      [
        { key: this.keyOf('replies-from', subscriberOf(ip)), points: subscriber, seconds },
        { key: this.keyOf('replies-from', neighboursOf(ip)), points: neighbours, seconds },
      ],
      { now },
    )
    return [...over.values()].every((by) => by === 0)
  }

  /** Whether one more that was held back is kept: a robot that never ends would fill the database. */
  async hasRoom(publicId: string, now = Date.now()): Promise<boolean> {
    const key = heldKey(publicId)
    return (await countTogether(this.db, [{ key, ...this.limits.held }], { now })).get(key) === 0
  }

  private challengeFor(publicId: string, key: string, overBy: number, now: number) {
    const bits = Math.min(BITS.most, BITS.least + Math.floor(Math.log2(1 + overBy / 10)))
    const until = Math.floor(now / 1000) + VALID
    return { challenge: `${until}-${bits}-${sign(this.keys.signing, 'challenge', publicId, key, until, bits)}`, bits }
  }

  /** The challenge is ours, of this submission, not over, and was solved. */
  private hasWorked(proof: string, publicId: string, key: string, now: number): boolean {
    const [, challenge = '', until = '', bits = '', signature = '', nonce = ''] =
      /^((\d{1,12})-(\d{1,2})-([\w-]{20,60}))\.(\d{1,12})$/.exec(proof) ?? []
    return (
      Number(until) * 1000 >= now &&
      isSigned(this.keys.signing, signature, 'challenge', publicId, key, Number(until), Number(bits)) &&
      isSolved(challenge, nonce, Number(bits))
    )
  }
}

/** By which those are counted that were held back of a form. */
export const heldKey = (publicId: string) => `held ${publicId}`
