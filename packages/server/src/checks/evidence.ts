import { randomBytes } from 'node:crypto'
import { decodeBytes } from '@pebblestrand/core/items'
import type { Fetched } from '@pebblestrand/core/verify'
import { OutboundError, type Outbound } from '../platform/outbound/client'

const ACCEPT = { accept: 'text/html,application/xhtml+xml;q=0.9,*/*;q=0.5' }

/** The page as a signed-out visitor gets it. */
export const fetchServed = (outbound: Outbound, url: string) => fetchPage(outbound, url, ACCEPT)

/** The page past caches: a query nobody asked for before, and the headers RFC 9111 section 5.2.1.4 gives for it. */
export async function fetchFresh(outbound: Outbound, url: string): Promise<Fetched> {
  const marked = new URL(url)
  marked.searchParams.set('pebblestrand-check', randomBytes(6).toString('hex'))
  return fetchPage(outbound, marked.href, { ...ACCEPT, 'cache-control': 'no-cache', pragma: 'no-cache' })
}

async function fetchPage(outbound: Outbound, url: string, headers: Record<string, string>): Promise<Fetched> {
  const at = new Date().toISOString()
  try {
    const answer = await outbound.get(url, headers)
    const html = decodeBytes(answer.body, answer.headers['content-type']).replaceAll('\0', '\uFFFD') // PostgreSQL text holds no NUL
    return {
      url,
      finalUrl: answer.finalUrl,
      status: answer.status,
      headers: answer.headers,
      html,
      at,
      ms: answer.ms,
      error: null,
    }
  } catch (error) {
    if (!(error instanceof OutboundError)) throw error
    return {
      url,
      finalUrl: url,
      status: 0,
      headers: {},
      html: '',
      at,
      ms: 0,
      error: { code: error.code, message: error.message },
    }
  }
}
