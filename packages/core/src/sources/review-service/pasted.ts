import { parseHtml } from '../../html'
import { absolute } from '../links'
import { addressesIn, isLikeAddress } from '../pasted'
import type { Meant } from '../source-kind'

/** Hosts of the service's pages, maps and shortened addresses, whatever their port. */
const HOSTS = new Set(['harbour-voices.localhost'])
/** An id of the service: "hv" and twelve letters or digits, at least two of them digits, as no word has. */
const ID = /(?<![0-9a-z])hv(?=(?:[a-z]*[0-9]){2})[0-9a-z]{12}(?![0-9a-z])/i
const MOST_WORDS = 200

const isOwn = (address: string) => URL.canParse(address) && HOSTS.has(new URL(address).hostname)

/** An id anywhere in an address: path, query or fragment, also of an address that stands within another. */
function idIn(address: string): string | null {
  let text = address
  for (let depth = 0; depth < 3; depth++) {
    const id = ID.exec(text)?.[0]
    if (id) return id.toLowerCase()
    const before = text
    try {
      text = decodeURIComponent(text.replaceAll('+', ' '))
    } catch {
      return null
    }
    if (text === before) return null
  }
  return null
}

/** A place by its id, from wherever it stands; a page of the service that may lead to one; or words to search for. */
export function recognise(pasted: string): Meant | null {
  const text = pasted.trim()
  const addresses = addressesIn(text)
  const own = addresses.filter((address) => isOwn(address) || addressWithin(address))
  const id = [...own, ...addresses].map(idIn).find((one) => one !== null) ?? (addresses.length ? null : idIn(text))
  if (id) return { what: 'id', id }
  const bare = ID.exec(text)?.[0]
  if (bare && !/[<>]/.test(text)) return { what: 'id', id: bare.toLowerCase() }
  if (own[0]) return { what: 'address', address: own[0] }
  if (!text || /[<>]/.test(text) || isLikeAddress(text) || /\bhttps?:\/\//i.test(text)) return null
  return { what: 'words', words: text.replace(/\s+/g, ' ').slice(0, MOST_WORDS) }
}

/** Whether an address leads on to the service: its own address stands in a query. */
const addressWithin = (address: string) =>
  URL.canParse(address) && [...new URL(address).searchParams.values()].some(isOwn)

/** Ids of the places that a web page names: in its map embeds, its links, and what it says of itself. */
export function placesNamed(html: string, base: string): string[] {
  const $ = parseHtml(html)
  const addresses = $('a[href], iframe[src], link[href], meta[content]')
    .toArray()
    .flatMap(({ attribs }) => [attribs.src, attribs.href].flatMap((one) => absolute(one, base) ?? []))
    .filter(isOwn)
  const said = isOwn(base) ? $('meta[name="place"]').attr('content') : undefined
  const ids = [said, ...addresses].flatMap((one) => (one ? (idIn(one) ?? []) : []))
  return [...new Set(ids)]
}

/** Where people look a place up: its page at the service, by id. */
export const pageOf = (origin: string, id: string) => `${origin}/map?place=${id}`
