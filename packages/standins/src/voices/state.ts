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

interface Grant {
  account: string
  /** Epoch ms. */
  until: number
}

/** What the review service remembers beside what it was born with. */
export interface VoicesState {
  added: Record<string, KeptReview[]>
  edited: Record<string, Partial<KeptReview>>
  deleted: string[]
  /** Nothing answers. */
  outage: boolean
  /** So many requests of one caller in so many seconds. */
  quota: { requests: number; seconds: number }
  /** By code, by access token, by refresh token. */
  codes: Record<string, Grant & { challenge: string; redirect: string }>
  access: Record<string, Grant>
  refresh: Record<string, Grant>
}

export const freshVoices = (): VoicesState => ({
  added: {},
  edited: {},
  deleted: [],
  outage: false,
  quota: { requests: 200, seconds: 10 },
  codes: {},
  access: {},
  refresh: {},
})
