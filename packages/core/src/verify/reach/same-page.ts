import { upTo, withoutTrailingLetter } from '../../text'
const INDEX = /\/(?:index|default|home)\.(?:html?|php|aspx?|jsp)$/i

/**
 * Whether two addresses are one page to a visitor: scheme, `www.`, query, a slash or an index file at the end, session ids
 * in the path, letter case and the way letters are percent-encoded (RFC 3986, section 6.2.2) do not count.
 */
export function isSamePage(one: string, other: string): boolean {
  const [a, b] = [new URL(one), new URL(other)]
  return host(a) === host(b) && pathOf(a) === pathOf(b)
}

const host = (url: URL) => `${url.hostname.replace(/^www\./, '')}:${url.port}`

const pathOf = (url: URL) => withoutTrailingLetter(wholePathOf(url), '/').toLowerCase()

const wholePathOf = (url: URL) =>
  url.pathname
    .split('/')
    .map((segment) => upTo(decoded(segment), ';'))
    .join('/')
    .normalize('NFC')
    .replace(INDEX, '')

function decoded(segment: string): string {
  try {
    return decodeURIComponent(segment)
  } catch {
    return segment // a lone % is no escape
  }
}
