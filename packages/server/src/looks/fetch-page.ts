import { randomBytes } from 'node:crypto'
import { decodeBytes } from '@pebblestrand/core/sources'
import type { Look } from '@pebblestrand/core/verify'
import type { PlainLookId } from '@pebblestrand/core/verify/words'
import { OutboundError, type Outbound } from '../platform/outbound/client'

const ACCEPT = { accept: 'text/html,application/xhtml+xml;q=0.9,*/*;q=0.5' }

/** How each look asks for a page. */
const asking: Record<PlainLookId, (url: string) => { url: string; headers: Record<string, string> }> = {
  /** As a signed-out visitor gets it. */
  served: (url) => ({ url, headers: ACCEPT }),
  /** Past caches: a query nobody asked for before, and the headers RFC 9111 section 5.2.1.4 gives for it. */
  fresh(url) {
    const marked = new URL(url)
    marked.searchParams.set('pebblestrand-check', randomBytes(6).toString('hex'))
    return { url: marked.href, headers: { ...ACCEPT, 'cache-control': 'no-cache', pragma: 'no-cache' } }
  },
}

/** One look at a page. Whatever goes wrong on the way is part of what was seen. */
export async function lookAt(outbound: Outbound, pageUrl: string, how: PlainLookId): Promise<Look> {
  const { url, headers } = asking[how](pageUrl)
  const at = new Date().toISOString()
  try {
    const answer = await outbound.get(url, headers)
    const html = decodeBytes(answer.body, answer.headers['content-type']).replaceAll('\0', '\uFFFD') // PostgreSQL text holds no NUL
    const { finalUrl, status, ms } = answer
    return { how, url, finalUrl, status, headers: answer.headers, html, at, ms, error: null }
  } catch (error) {
    if (!(error instanceof OutboundError)) throw error
    const { code, message } = error
    return { how, url, finalUrl: url, status: 0, headers: {}, html: '', at, ms: 0, error: { code, message } }
  }
}
