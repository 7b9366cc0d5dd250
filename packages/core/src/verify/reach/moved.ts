import type { Look } from '../look'
import { elementsNamed, type Page } from '../page'
import { isSamePage } from './same-page'
import { upTo } from '../../text'

/** Seconds after which a page that leads on by itself is still one that nobody reads. */
const AT_ONCE = 5

/** Where the page really is, when that is not where it was asked for: a redirect, followed or not, or one the page itself makes. */
export function movedTo(look: Look, page: Page | null): string | null {
  const next = (look.status >= 300 && look.status < 400 && look.headers.location) || (page && refreshOf(page))
  const target = next ? absolute(next, look.finalUrl) : look.finalUrl
  return target && !isSamePage(look.url, target) ? target : null
}

function absolute(address: string, base: string): string | null {
  try {
    return new URL(address, base).href
  } catch {
    return null
  }
}

/** What stands between two quotation marks; what ends at one where nothing begins it. */
const unquoted = (text: string) => upTo(text.replace(/^["']/, ''), `"'`).trim()

/** `<meta http-equiv="refresh" content="0; url=…">` (HTML standard, section 4.2.5.3). */
function refreshOf(page: Page): string | null {
  for (const { attribs } of elementsNamed(page, 'meta')) {
    if (attribs['http-equiv']?.toLowerCase() !== 'refresh') continue
    const [, seconds, rest] = /^\s*(\d+)(?:\.\d*)?\s*[;,]([^]*)$/.exec(attribs.content?.slice(0, 2000) ?? '') ?? []
    const address =
      rest &&
      unquoted(
        rest
          .trim()
          .replace(/^url\s*=/i, '')
          .trim(),
      )
    if (address && Number(seconds) <= AT_ONCE) return address
  }
  return null
}
