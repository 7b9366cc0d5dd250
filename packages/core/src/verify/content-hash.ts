import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { isElement, walk, type Page } from './page'
import { upTo } from '../text'

/** Letters that are hashed together. */
const PIECE = 16_384

/** What changes at every load without anyone having edited the page. */
export const volatile = new Set(['script', 'style', 'noscript', 'template', 'meta', 'link', 'input', 'time'])

/**
 * A hash of what a page says, as fingerprints were before they told how pages differ: its elements, words, links and pictures. Left out is what differs from load to load:
 * scripts, styles, hidden fields, comments, nonces, query strings. Two fetches of an unchanged page give the same.
 */
export function contentHash(page: Page): string {
  const hash = sha256.create()
  let [between, waiting] = ['', '']
  const add = (part: string) => {
    waiting += between + part
    between = '\u0001'
    if (waiting.length > PIECE) take()
  }
  const take = () => {
    hash.update(utf8ToBytes(waiting))
    waiting = ''
  }
  walk(
    page,
    true,
    (element) => (volatile.has(element.name) ? null : true),
    (node) => {
      if (node.type === 'text') {
        const words = node.data.replace(/\s+/g, ' ').trim()
        if (words) add(words)
      } else if (isElement(node) && !volatile.has(node.name)) {
        add(`<${node.name}>`)
        const address = node.attribs.href ?? node.attribs.src
        if (address) add(upTo(address, '?#'))
      }
    },
  )
  take()
  return bytesToHex(hash.digest()).slice(0, 32)
}
