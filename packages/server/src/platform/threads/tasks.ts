import {
  discoverFeeds,
  FeedError,
  parseFeed,
  type Feed,
  type FeedCandidate,
  type FeedErrorCode,
} from '@pebblestrand/core/items'
import { verify, type Evidence, type Plan, type Verdict } from '@pebblestrand/core/verify'

// What is done in a thread of its own: everything that reads a document somebody else wrote.

export type FeedOutcome = { feed: Feed } | { code: FeedErrorCode; detail: string }

/** A feed's document to items. Errors do not keep their class on the way between threads, so they go as data. */
export function readFeed({ text, base }: { text: string; base: string }): FeedOutcome {
  try {
    return { feed: parseFeed(text, base) }
  } catch (error) {
    if (error instanceof FeedError) return { code: error.code, detail: error.detail }
    throw error
  }
}

export const discover = ({ html, base }: { html: string; base: string }): FeedCandidate[] => discoverFeeds(html, base)

export const judge = ({ plan, evidence }: { plan: Plan; evidence: Evidence }): Verdict => verify(plan, evidence)

/** Answers when its thread is up. */
export const ready = () => true
