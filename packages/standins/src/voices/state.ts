import { noGrants, type Grants } from '../accounts/grants'
import type { Trouble } from '../accounts/limits'

/** A review as the service keeps it. Stars 0: words only. */
export interface KeptReview {
  id: string
  author: string
  stars: number
  text: string
  language: string
  /** ISO 8601. */
  createdAt: string
  changedAt: string
  /** Names of pictures. */
  pictures: string[]
  reply: { text: string; at: string } | null
}

/** What the review service remembers beside what it was born with. */
export interface VoicesState extends Grants, Trouble {
  added: Record<string, KeptReview[]>
  edited: Record<string, Partial<KeptReview>>
  deleted: string[]
}

export const freshVoices = (): VoicesState => ({
  added: {},
  edited: {},
  deleted: [],
  outage: false,
  quota: { requests: 200, seconds: 10 },
  ...noGrants(),
})
