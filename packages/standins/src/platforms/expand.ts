import { parse, type DefaultTreeAdapterMap } from 'parse5'
import { reached } from '../loopback'

type Node = DefaultTreeAdapterMap['node']

const PATIENCE_MS = 3000

async function textOf(address: string): Promise<{ text: string; type: string } | null> {
  try {
    const answer = await fetch(reached(address), {
      signal: AbortSignal.timeout(PATIENCE_MS),
      headers: { accept: '*/*' },
    })
    return answer.ok ? { text: await answer.text(), type: answer.headers.get('content-type') ?? '' } : null
  } catch {
    return null // nobody there
  }
}

/** What stands behind an address, by discovery (oEmbed 1.0, section 4); null where nothing can be shown. */
export async function expand(address: string, maxWidth: number): Promise<string | null> {
  const page = await textOf(address)
  const endpoint = page && endpointIn(page.text)
  if (!endpoint) return null
  const url = new URL(endpoint, address)
  url.searchParams.set('maxwidth', String(maxWidth))
  const answer = await textOf(url.href)
  if (!answer) return null
  try {
    const { type, html } = JSON.parse(answer.text) as { type?: string; html?: string }
    return (type === 'rich' || type === 'video') && html ? html : null
  } catch {
    return null
  }
}

function endpointIn(html: string): string | null {
  const open: Node[] = [parse(html)]
  for (let node = open.pop(); node; node = open.pop()) {
    if ('attrs' in node && node.tagName === 'link') {
      const at = Object.fromEntries(node.attrs.map(({ name, value }) => [name, value]))
      if (at.rel === 'alternate' && at.type === 'application/json+oembed') return at.href ?? null
    }
    if ('childNodes' in node) open.push(...node.childNodes)
  }
  return null
}

/** What a connector puts in a shortcode's place; asked for again after so long, and what came last stays while nobody answers. */
const kept = new Map<string, { html: string; at: number }>()
const KEPT_MS = 5000

export async function fromConnector(origin: string, id: string): Promise<string> {
  const address = `${origin.replace(/\/+$/, '')}/c1/${encodeURIComponent(id)}`
  const known = kept.get(address)
  if (known && Date.now() - known.at < KEPT_MS) return known.html
  const answer = await textOf(address)
  if (!answer) return known?.html ?? ''
  kept.set(address, { html: answer.text, at: Date.now() })
  return answer.text
}

const SHORTCODE = /\[pebblestrand\s+([^\]]*)\]/g

/** Replaces shortcodes where a connector is set up; else they stay as they were typed. */
export async function withConnector(html: string, origin: string | undefined): Promise<string> {
  if (!origin) return html
  const found = [...html.matchAll(SHORTCODE)]
  const put = await Promise.all(
    found.map(([, words]) => {
      const id = /(?:^|\s)id=["'\u201c\u201d]?([A-Za-z0-9-]+)/.exec(words!)?.[1]
      return id ? fromConnector(origin, id) : ''
    }),
  )
  return html.replace(SHORTCODE, () => put.shift()!)
}
