import { parseHtml } from '../html'
import { completed } from './completed'
import type { Meant } from './source-kind'

/** Attributes of embed codes and links that hold an address. */
const holding = ['src', 'href', 'data', 'cite', 'data-src', 'data-href']
const MOST = 40

/**
 * The addresses in what a person pasted: of an embed code those its elements hold, of words those that stand among them, else
 * the whole as one address, with a scheme where it has none.
 */
export function addressesIn(pasted: string): string[] {
  const text = pasted.trim().slice(0, 10_000)
  if (/<[a-z!]/i.test(text)) return ofMarkup(text)
  if (/\s/.test(text)) return text.match(/\bhttps?:\/\/[^\s<>"']+/gi)?.slice(0, MOST) ?? []
  return text ? [completed(text)] : []
}

function ofMarkup(text: string): string[] {
  const $ = parseHtml(text, { fragment: true })
  return $('*')
    .toArray()
    .flatMap((element) => ('attribs' in element ? [element.attribs] : []))
    .flatMap((attribs) => holding.flatMap((name) => attribs[name] ?? []))
    .map((address) => (address.startsWith('//') ? `https:${address}` : address))
    .filter((address) => /^https?:\/\//i.test(address))
    .slice(0, MOST)
}

/** The first address in what was pasted, for sorts that any address may be one of. */
export function pastedAddress(pasted: string): Meant | null {
  const [address] = addressesIn(pasted)
  return address === undefined ? null : { what: 'address', address }
}

/** "harbour-voices.localhost:4700/x", "https://…": has a scheme, a port or a dot in its first part, and no space. */
export const isLikeAddress = (text: string): boolean =>
  /^(?:[a-z][a-z0-9+.-]*:\/\/\S+|[^\s/?#]+\.[^\s/?#.]{2,}(?:[/?#]\S*)?|[\w.-]+:\d+(?:[/?#]\S*)?)$/i.test(text.trim())
