import type { Element } from 'domhandler'
import { ancestors, elementsNamed, type Page } from '../verify/page'
import { placeOf } from '../verify/region'

/** A page of a site, as it was found. */
export interface FoundPage {
  /** From the root, without query or fragment. */
  path: string
  title: string
  /** Where it was found, as a clause that follows "found in". */
  from: string
}

/** Endings of files that are no pages. */
const FILE =
  /\.(?:pdf|docx?|xlsx?|pptx?|odt|zip|gz|rar|7z|jpe?g|png|gif|webp|avif|svg|ico|mp[34]|m4a|ogg|wav|webm|mov|ics|vcf|xml|rss|atom|json|css|js|txt|csv|exe|dmg|apk)$/i

/** Paths behind which no widget is placed: what signs in, sells, or is a program's own. */
const NO_PAGE =
  /(?:^|\/)(?:login|logout|signin|sign-in|register|account|cart|basket|checkout|search|admin|feed|rss|api|cgi-bin)(?:[/.]|$)/i

/** What is no more than a title that was left out. */
const NO_TITLE = /^(?:read more|more|here|click here|learn more|continue reading|[»›>→…+]*)$/i

/** The path of an address that is a page of a site; null where it is none, or another site's. */
export function pagePath(href: string, base: string, origin: string): string | null {
  let url: URL
  try {
    url = new URL(href.trim(), base)
  } catch {
    return null
  }
  if (url.origin !== origin || FILE.test(url.pathname) || NO_PAGE.test(url.pathname)) return null
  return url.pathname.length <= 300 ? url.pathname : null
}

/**
 * The pages that a page leads to, those of its navigation first, in its order.
 * @param address of the page, for relative links
 */
export function linkedPages(page: Page, address: string, origin: string): FoundPage[] {
  const base = baseOf(page, address)
  const links = elementsNamed(page, 'a').flatMap((link) => {
    const path = link.attribs.href === undefined ? null : pagePath(link.attribs.href, base, origin)
    return path === null ? [] : [{ path, title: titleOf(page, link), from: whereOf(page, link) }]
  })
  const ranked = [...links].sort((a, b) => rank[a.from] - rank[b.from])
  const found = new Map<string, FoundPage>()
  for (const link of ranked) {
    const key = sameAs(link.path)
    const known = found.get(key)
    if (!known) found.set(key, link)
    else if (!known.title && link.title) known.title = link.title
  }
  return [...found.values()]
}

const rank = { 'its navigation': 0, 'its links': 1, 'the foot of its pages': 2 } as const

/** A base element's address goes for all links (HTML standard, section 4.2.3). */
function baseOf(page: Page, address: string): string {
  const [base] = elementsNamed(page, 'base')
  const href = base?.attribs.href
  return href && URL.canParse(href, address) ? new URL(href, address).href : address
}

function whereOf(page: Page, link: Element): keyof typeof rank {
  for (const { name, attribs } of ancestors(link))
    if (name === 'nav' || attribs.role?.toLowerCase() === 'navigation') return 'its navigation'
  const { region } = placeOf(page, link)
  return region === 'header' ? 'its navigation' : region === 'footer' ? 'the foot of its pages' : 'its links'
}

function titleOf(page: Page, link: Element): string {
  const text = (page.$(link).text() || link.attribs['aria-label'] || link.attribs.title || '')
    .replace(/\s+/g, ' ')
    .trim()
  return NO_TITLE.test(text) || text.length > 80 ? '' : text
}

/** One page at two paths: with and without its index file, with and without the slash at the end. */
export const sameAs = (path: string) => path.replace(/\/(?:index|default)\.\w{2,5}$/i, '/').replace(/(.)\/$/, '$1')

/** A title for a page that nothing names: "opening-hours" → "Opening hours". */
export function titleFromPath(path: string): string {
  const last = safely(sameAs(path).split('/').filter(Boolean).at(-1) ?? '')
    .replace(/\.\w{2,5}$/, '')
    .replace(/[-_+]+/g, ' ')
    .trim()
  return last ? last.charAt(0).toUpperCase() + last.slice(1, 80) : 'Home'
}

function safely(text: string): string {
  try {
    return decodeURIComponent(text)
  } catch {
    return text
  }
}

/**
 * All that is known of a site's pages as one list: its first page, what its navigation leads to, its site map, its other links.
 * @param most how many are listed
 */
export function pagesOf(
  linked: readonly FoundPage[],
  mapped: readonly string[],
  origin: string,
  most = 60,
): FoundPage[] {
  const all = new Map<string, FoundPage>([['/', { path: '/', title: 'Home', from: 'its address' }]])
  const add = (page: FoundPage) => {
    const key = sameAs(page.path)
    if (!all.has(key)) all.set(key, { ...page, title: page.title || titleFromPath(page.path) })
  }
  for (const page of linked) if (page.from === 'its navigation') add(page)
  for (const address of mapped) {
    const path = pagePath(address, origin, origin)
    const title = linked.find((one) => path !== null && sameAs(one.path) === sameAs(path))?.title ?? ''
    if (path !== null) add({ path, title, from: 'its site map' })
  }
  for (const page of linked) add(page)
  return [...all.values()].slice(0, most)
}
