import { escapeAttribute } from '../markup'
import { pathTo } from '../wire'
import { isPath, parsedAddress } from './address'
import type { SnippetRequest } from './method'

/** The script of ours as an element: the newest, or one version that the browser holds against its integrity value. */
export function scriptElement({ origin, pinned, nonce }: SnippetRequest, mark = ''): string {
  const own = nonce ? ` nonce="${escapeAttribute(nonce)}"` : ''
  if (!pinned) return `<script async src="${escapeAttribute(origin + pathTo('script'))}"${mark}${own}></script>`
  const src = origin + pathTo('scriptVersion', pinned.version)
  return `<script async src="${escapeAttribute(src)}" integrity="${escapeAttribute(pinned.integrity)}" crossorigin="anonymous"${mark}${own}></script>`
}

/** An address, where it is one of our script's; null where not. */
export function scriptAt(address: string | undefined): URL | null {
  const url = address?.includes('.js') ? parsedAddress(address) : null
  return isPath(url, 'script') || isPath(url, 'scriptVersion') ? url : null
}
