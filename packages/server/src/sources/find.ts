import { setTimeout as sleep } from 'node:timers/promises'
import { usualFeedAddresses, type FeedCandidate, type Item } from '@pebblestrand/core/items'
import { inOrder } from '@pebblestrand/core/sieve'
import { AppError } from '../platform/errors'
import type { Context } from '../platform/context'
import { refusalOf } from '../platform/outbound/refusal'
import { TooTangled } from '../platform/threads/threads'
import { readFeed, type FeedReading } from './read-feed'

export interface FoundFeed {
  url: string
  title: string
  format: string
  count: number
  how: 'given' | FeedCandidate['how']
  newest: Pick<Item, 'title' | 'publishedAt' | 'link'>[]
}

export interface Tried {
  url: string
  outcome: string
}

const PREVIEW = 4
const MOST_CANDIDATES = 12
/** A person waits: what has not answered by then is said so. */
const PATIENCE_MS = 15_000
const LATE: FeedReading = {
  kind: 'problem',
  problem: { code: 'late', message: 'no answer in time', remedy: 'Paste its address by itself.' },
}

/** From whatever address a person has to the feeds behind it, each with its newest items, and what was tried; `tell` hears of each try. */
export async function findFeeds(
  context: Context,
  given: string,
  tell: (tried: Tried) => void = () => {},
): Promise<{ found: FoundFeed[]; tried: Tried[] }> {
  const address = completed(given)
  const refusal = refusalOf(address, { localhostNames: context.config.demo })
  if (refusal)
    throw new AppError('address-refused', { message: refusal, issues: [{ field: 'address', message: refusal }] })
  const reading = await readFeed(context, address)
  if (reading.kind === 'feed')
    return { found: [describe(reading.url, reading.feed, 'given')], tried: [{ url: address, outcome: 'a feed' }] }
  if (reading.kind === 'problem') {
    throw new AppError('fetch-failed', {
      message: reading.problem.message,
      remedy: reading.problem.remedy,
      issues: [{ field: 'address', message: reading.problem.message }],
    })
  }
  if (reading.kind !== 'page') throw new AppError('fetch-failed')
  const named = await feedsNamedIn(context, reading.html, reading.url)
  const page = { url: address, outcome: pageNaming(named.length) }
  tell(page)
  const tries = await tryAll(context, named.length ? named : usualFeedAddresses(reading.url), tell)
  const tried = [page, ...tries.map((one) => one.tried)]
  const found = tries.flatMap((one) => one.found ?? [])
  if (!found.length)
    throw new AppError('no-feeds', {
      data: { tried },
      issues: [{ field: 'address', message: 'no feed was found there' }],
    })
  return { found, tried }
}

/** A page too tangled to be read names none. */
const feedsNamedIn = ({ threads }: Context, html: string, base: string) =>
  threads.run('discover', { html, base }).catch((error: unknown) => {
    if (error instanceof TooTangled) return []
    throw error
  })

const pageNaming = (feeds: number) =>
  feeds ? `a web page that names ${feeds === 1 ? 'a feed' : `${feeds} feeds`}` : 'a web page that names no feed'

/** All at once; each is told of as it answers. */
async function tryAll(context: Context, candidates: FeedCandidate[], tell: (tried: Tried) => void) {
  const timeUp = sleep(PATIENCE_MS, LATE, { ref: false })
  return Promise.all(
    candidates.slice(0, MOST_CANDIDATES).map(async ({ url, how }) => {
      const reading = await Promise.race([readFeed(context, url), timeUp])
      const tried = { url, outcome: outcomeOf(reading) }
      tell(tried)
      return { tried, found: reading.kind === 'feed' ? describe(reading.url, reading.feed, how) : null }
    }),
  )
}

function outcomeOf(reading: FeedReading): string {
  if (reading.kind === 'feed') return 'a feed'
  return reading.kind === 'problem' ? reading.problem.message : 'a web page, not a feed'
}

/** People paste addresses without a scheme; a site that has only one of the two leads on. */
const completed = (given: string) =>
  /^[a-z][a-z0-9+.-]*:/i.test(given) && !/^[\w.-]+:\d+(\/|$)/.test(given) ? given : `http://${given}`

function describe(
  url: string,
  feed: { title: string; format: string; items: Item[] },
  how: FoundFeed['how'],
): FoundFeed {
  return {
    url,
    title: feed.title || new URL(url).host,
    format: feed.format,
    count: feed.items.length,
    how,
    newest: inOrder(feed.items, 'newest')
      .slice(0, PREVIEW)
      .map(({ title, publishedAt, link }) => ({ title, publishedAt, link })),
  }
}
