import { parseHtml, textWithin } from '../../html'
import { absolute } from '../links'
import { fold } from '../sanitise'
import type { SourceCandidate } from '../source-kind'
import { withoutTrailingLetter } from '../../text'

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

/** Beyond these a page names nothing that anyone would choose from. */
const MOST = { links: 5000, title: 300, declared: 100, linked: 20 }

/** The feeds a page declares (`link rel=alternate`) and links to, in document order, each once. */
export function discoverFeeds(html: string, base: string): SourceCandidate[] {
  const $ = parseHtml(html)
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
      title: (attribs.title ?? '').slice(0, MOST.title).trim(),
      how: 'declared' as const,
    }))
  const linked = $('a[href]')
    .toArray()
    .slice(0, MOST.links)
    .map((a) => ({ href: a.attribs.href ?? '', title: fold(textWithin(a, MOST.title)) }))
    .filter(
      ({ href, title }) =>
        /(^|[\W_])(rss|atom|feeds?|syndication)([\W_]|$)/i.test(`${href.slice(0, 2000)} ${title}`) &&
        !/^mailto:/i.test(href),
    )
    .map(({ href, title }) => ({ url: absolute(href, within), title, how: 'linked' as const }))
  return once([...declared.slice(0, MOST.declared), ...linked.slice(0, MOST.linked)])
}

/** Addresses worth trying when a page says nothing: beside the page itself, then at the site's root. */
export function usualFeedAddresses(pageUrl: string): SourceCandidate[] {
  const page = new URL(pageUrl)
  const own = withoutTrailingLetter(page.pathname, '/')
  const beside = own && !/\.\w+$/.test(own) ? [`${own}/feed`, `${own}/rss.xml`] : []
  return once(
    [...beside, ...usualPaths].map((path) => ({ url: new URL(path, page).href, title: '', how: 'usual' as const })),
  )
}

function once(candidates: { url: string | null; title: string; how: SourceCandidate['how'] }[]): SourceCandidate[] {
  const seen = new Set<string>()
  return candidates.filter((c): c is SourceCandidate => c.url !== null && !seen.has(c.url) && !!seen.add(c.url))
}
