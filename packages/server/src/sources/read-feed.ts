import { decodeBytes, FeedError, type Feed } from '@pebblestrand/core/items'
import type { Context } from '../platform/context'
import { OutboundError } from '../platform/outbound/client'
import { TooTangled } from '../platform/threads/threads'

export interface FeedProblem {
  code: string
  message: string
  remedy: string
}

export type FeedReading =
  | { kind: 'feed'; feed: Feed; url: string; etag: string | null; lastModified: string | null; bytes: Uint8Array }
  | { kind: 'unchanged' }
  | { kind: 'page'; html: string; url: string }
  | { kind: 'problem'; problem: FeedProblem }

const remedies: Record<string, string> = {
  refused: 'Give an address that anyone can reach.',
  timeout: 'The site may be slow just now: look again in a few minutes.',
  tangled: 'Ask whether the site has a plainer feed.',
  'too-large': 'Ask whether the site has a shorter feed.',
  'too-many-redirects': 'Open it in a browser and paste the address you end at.',
  'no-answer': 'Check the address for a slip; if it works in a browser, try again in a few minutes.',
}

/** Fetches an address that should be a feed. `page` where it is a web page, whose feeds can then be looked for. */
export async function readFeed(
  { outbound, threads }: Pick<Context, 'outbound' | 'threads'>,
  url: string,
  known: { etag?: string | null; lastModified?: string | null } = {},
): Promise<FeedReading> {
  try {
    const answer = await outbound.get(url, {
      accept:
        'application/rss+xml, application/atom+xml, application/feed+json, application/xml;q=0.9, text/html;q=0.8, */*;q=0.5',
      ...(known.etag ? { 'if-none-match': known.etag } : {}),
      ...(known.lastModified ? { 'if-modified-since': known.lastModified } : {}),
    })
    if (answer.status === 304) return { kind: 'unchanged' }
    if (answer.status >= 400)
      return problem(
        `status-${answer.status}`,
        `The address answers with error ${answer.status}.`,
        answer.status === 404 || answer.status === 410
          ? 'The feed may have moved: paste the address of the page it belongs to.'
          : 'Look again in a few minutes; if it stays, tell the site’s owner.',
      )
    const text = decodeBytes(answer.body, answer.headers['content-type'])
    const read = await threads.run('readFeed', { text, base: answer.finalUrl })
    if ('code' in read) {
      if (read.code === 'feed-is-html') return { kind: 'page', html: text, url: answer.finalUrl }
      throw new FeedError(read.code, read.detail)
    }
    return {
      kind: 'feed',
      feed: read.feed,
      url: answer.finalUrl,
      etag: answer.headers.etag ?? null,
      lastModified: answer.headers['last-modified'] ?? null,
      bytes: answer.body,
    }
  } catch (error) {
    if (error instanceof FeedError) return problem(error.code, error.message, error.remedy)
    if (error instanceof TooTangled)
      return problem('tangled', `The document is too tangled. ${error.message}`, remedies.tangled!)
    if (error instanceof OutboundError) return problem(error.code, error.message, remedies[error.code] ?? '')
    throw error
  }
}

const problem = (code: string, message: string, remedy: string): FeedReading => ({
  kind: 'problem',
  problem: { code, message, remedy },
})
