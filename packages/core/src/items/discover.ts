import { load } from 'cheerio'
import { absolute } from './links'

export interface FeedCandidate {
  url: string
  title: string
  /** How it was found: `declared` by the page, `linked` from its text, or `usual` place to try. */
  how: 'declared' | 'linked' | 'usual'
}

/** Media types a feed is declared with. HTML standard, link type `alternate`, names RSS and Atom; JSON Feed 1.1 names its own and application/json. */
const feedTypes = /^(application\/(rss\+xml|atom\+xml|feed\+json|json|rdf\+xml|xml)|text\/xml)$/i

/** Places many sites keep a feed; common practice in the trade. */
const usualPaths = [
  '/feed',
  '/rss',
  '/rss.xml',
  '/atom.xml',
  '/feed.xml',
  '/feed.json',
  '/index.xml',
  '/blog/feed',
  '/news/feed',
]

/** The feeds a page declares (`link rel=alternate`) and links to, in document order, each once. */
export function discoverFeeds(html: string, base: string): FeedCandidate[] {
  const $ = load(html)
  const within = absolute($('base[href]').first().attr('href'), base) ?? base
  const declared = $('link[href]')
    .toArray()
    .filter(({ attribs }) => {
      const rel = (attribs.rel ?? '').toLowerCase().split(/\s+/)
      const type = (attribs.type ?? '').split(';')[0]!.trim()
      return (
        (rel.includes('alternate') && !rel.includes('stylesheet') && feedTypes.test(type)) ||
        (rel.includes('feed') && !rel.includes('alternate'))
      )
    })
    .map(({ attribs }) => ({
      url: absolute(attribs.href, within),
      title: attribs.title?.trim() ?? '',
      how: 'declared' as const,
    }))
  const linked = $('a[href]')
    .toArray()
    .filter(
      (a) =>
        /(^|[\W_])(rss|atom|feeds?|syndication)([\W_]|$)/i.test(`${a.attribs.href} ${$(a).text()}`) &&
        !/^mailto:/i.test(a.attribs.href ?? ''),
    )
    .map((a) => ({
      url: absolute(a.attribs.href, within),
      title: $(a).text().replace(/\s+/g, ' ').trim(),
      how: 'linked' as const,
    }))
  return once([...declared, ...linked.slice(0, 20)])
}

/** Addresses worth trying when a page says nothing: beside the page itself, then at the site's root. */
export function usualFeedAddresses(pageUrl: string): FeedCandidate[] {
  const page = new URL(pageUrl)
  const own = page.pathname.replace(/\/+$/, '')
  const beside = own && !/\.\w+$/.test(own) ? [`${own}/feed`, `${own}/rss.xml`] : []
  return once(
    [...beside, ...usualPaths].map((path) => ({ url: new URL(path, page).href, title: '', how: 'usual' as const })),
  )
}

function once(candidates: { url: string | null; title: string; how: FeedCandidate['how'] }[]): FeedCandidate[] {
  const seen = new Set<string>()
  return candidates.filter((c): c is FeedCandidate => c.url !== null && !seen.has(c.url) && !!seen.add(c.url))
}
