import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import { isElement, walk, type Page } from './page'

/** What changes at every load without anyone having edited the page. */
const volatile = new Set(['script', 'style', 'noscript', 'template', 'meta', 'link', 'input', 'time'])

/**
 * A hash of what a page says: its elements, words, links and pictures. Left out is what differs from load to load:
 * scripts, styles, hidden fields, comments, nonces, query strings. Two fetches of an unchanged page give the same.
 */
export function fingerprint(page: Page): string {
  const hash = sha256.create()
  let between = ''
  const add = (part: string) => {
    hash.update(utf8ToBytes(between + part))
    between = '\u0001'
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
        if (address) add(address.replace(/[?#].*$/, ''))
      }
    },
  )
  return bytesToHex(hash.digest()).slice(0, 32)
}
