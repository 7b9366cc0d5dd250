import type { Look } from '../look'
import { elementsNamed, type Page } from '../page'
import { isSamePage } from './same-page'

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

/** `<meta http-equiv="refresh" content="0; url=…">` (HTML standard, section 4.2.5.3). */
function refreshOf(page: Page): string | null {
  for (const { attribs } of elementsNamed(page, 'meta')) {
    if (attribs['http-equiv']?.toLowerCase() !== 'refresh') continue
    const m = /^\s*(\d+)(?:\.\d*)?\s*[;,]\s*(?:url\s*=\s*)?["']?([^"']+)["']?\s*$/i.exec(
      attribs.content?.slice(0, 2000) ?? '',
    )
    if (m && Number(m[1]) <= AT_ONCE) return m[2]!.trim()
  }
  return null
}
