import { addressesIn, pastedAddress } from '../pasted'
import type { Meant } from '../source-kind'

/** Hosts of the service's pages, whatever their port. */
const HOSTS = new Set(['moving-shore.localhost'])
/** Where it answers when only an id is pasted. */
const BY_ID = [
  [/^mc-[a-z0-9]{8}$/, 'channel'],
  [/^ml-[a-z0-9]{8}$/, 'list'],
] as const

/**
 * The feed of a channel, a user or a list of the service, by the address of its page; a film's page or player leads to its
 * channel's, which the page declares. Any other address may be a feed, or a page that declares one.
 */
export function recognise(pasted: string): Meant | null {
  const own = addressesIn(pasted).find((address) => URL.canParse(address) && HOSTS.has(new URL(address).hostname))
  if (own === undefined) return pastedAddress(pasted)
  return { what: 'address', address: feedOf(new URL(own)) }
}

function feedOf(url: URL): string {
  const [first = '', second = ''] = url.pathname.split('/').filter(Boolean)
  const named = { channel: 'channel', u: 'user', list: 'list' }[first]
  if (named && second) return `${url.origin}/feeds/${named}/${second}.xml`
  // An id may stand in the query: a list that a film is watched in.
  for (const value of url.searchParams.values())
    for (const [id, what] of BY_ID) if (id.test(value)) return `${url.origin}/feeds/${what}/${value}.xml`
  if (first === 'play' && second) return `${url.origin}/watch?film=${encodeURIComponent(second)}`
  return url.href
}
