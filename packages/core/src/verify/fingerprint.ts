import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js'
import type { AnyNode } from 'domhandler'
import { isElement, type Page } from './page'

/** What changes at every load without anyone having edited the page. */
const volatile = new Set(['script', 'style', 'noscript', 'template', 'meta', 'link', 'input', 'time'])

/**
 * A hash of what a page says: its elements, words, links and pictures. Left out is what differs from load to load:
 * scripts, styles, hidden fields, comments, nonces, query strings. Two fetches of an unchanged page give the same.
 */
export function fingerprint(page: Page): string {
  const parts: string[] = []
  collect(page.$.root()[0]!.children, parts)
  return bytesToHex(sha256(utf8ToBytes(parts.join('\u0001')))).slice(0, 32)
}

function collect(nodes: AnyNode[], parts: string[]): void {
  for (const node of nodes) {
    if (node.type === 'text') {
      const words = node.data.replace(/\s+/g, ' ').trim()
      if (words) parts.push(words)
    } else if (isElement(node) && !volatile.has(node.name)) {
      parts.push(`<${node.name}>`)
      const address = node.attribs.href ?? node.attribs.src
      if (address) parts.push(address.replace(/[?#].*$/, ''))
      collect(node.children, parts)
    }
  }
}
