import { parseHtml } from '../../html'
import { absolute } from '../links'
import { addressesIn, isLikeAddress } from '../pasted'
import type { Meant } from '../source-kind'

/** Hosts of the service's pages, whatever their port. */
const HOSTS = new Set(['isle-frames.localhost'])

/** What of the service is read: a profile's posts, those that name it, or those with a tag. */
export interface Stream {
  of: 'posts' | 'named' | 'tag'
  /** A handle, or a tag, without a sign before it. */
  name: string
}

/** Letters, digits, dots and underlines; no dot at either end, since a sentence puts one there. */
const HANDLE = /^[a-z0-9_](?:[a-z0-9._]{0,28}[a-z0-9_])?$/i
const TAG = /^[\p{L}\p{N}_]{1,60}$/u
const MOST_WORDS = 200

const isOwn = (address: string) => URL.canParse(address) && HOSTS.has(new URL(address).hostname)

const decoded = (part: string) => {
  try {
    return decodeURIComponent(part)
  } catch {
    return ''
  }
}

/** What an address of the service leads to: `/@handle`, `/@handle/named`, `/tagged/tag`; null for any other page. */
export function streamAt(address: string): Stream | null {
  if (!isOwn(address)) return null
  const [first = '', second = ''] = new URL(address).pathname.split('/').filter(Boolean).map(decoded)
  if (first === 'tagged') return TAG.test(second) ? { of: 'tag', name: second.toLowerCase() } : null
  const handle = first.startsWith('@') ? first.slice(1) : ''
  if (!HANDLE.test(handle)) return null
  return { of: second === 'named' ? 'named' : 'posts', name: handle.toLowerCase() }
}

/** A stream as one text, as pasted text may mean it. */
export const idOf = ({ of, name }: Stream): string => `${of}:${name}`

export function streamOf(id: string): Stream | null {
  const [of, ...name] = id.split(':')
  return of === 'posts' || of === 'named' || of === 'tag' ? { of, name: name.join(':') } : null
}

/** Where people see a stream. */
export const pageOf = (origin: string, { of, name }: Stream): string =>
  of === 'tag' ? `${origin}/tagged/${encodeURIComponent(name)}` : `${origin}/@${name}${of === 'named' ? '/named' : ''}`

/** A profile or a tag by its address, a handle with or without its sign, a tag by its sign; or words to search for. */
export function recognise(pasted: string): Meant | null {
  const text = pasted.trim()
  const own = addressesIn(text).filter(isOwn)
  const stream = own.map(streamAt).find((one) => one !== null)
  if (stream) return { what: 'id', id: idOf(stream) }
  if (own[0]) return { what: 'address', address: own[0] }
  const quoted = /\bdata-frames="([^"]+)"/.exec(text)?.[1]
  const bare = quoted ?? text
  if (/^#/.test(bare) && TAG.test(bare.slice(1)))
    return { what: 'id', id: idOf({ of: 'tag', name: bare.slice(1).toLowerCase() }) }
  const handle = bare.replace(/^@/, '')
  if (HANDLE.test(handle) && !/^\d+$/.test(handle))
    return { what: 'id', id: idOf({ of: 'posts', name: handle.toLowerCase() }) }
  if (!text || /[<>]/.test(text) || isLikeAddress(text) || /\bhttps?:\/\//i.test(text)) return null
  return { what: 'words', words: text.replace(/\s+/g, ' ').slice(0, MOST_WORDS) }
}

/** Profiles and tags that a web page leads to, a page of the service itself among them. */
export function streamsNamed(html: string, base: string): string[] {
  const $ = parseHtml(html)
  const addresses = $('a[href], blockquote[cite]')
    .toArray()
    .flatMap(({ attribs }) => absolute(attribs.href ?? attribs.cite, base) ?? [])
  return [...new Set([base, ...addresses].flatMap((one) => streamAt(one) ?? []).map(idOf))]
}
