import { createHash } from 'node:crypto'
import { escape } from '../html'
import type { Article } from './articles'

export interface Edition {
  origin: string
  /** When hour nought was, for the articles' dates. */
  start: Date
}

const sections = {
  news: 'Skerrow Post: News',
  harbour: 'Skerrow Post: Harbour',
  culture: 'Skerrow Post: Culture',
} as const
export type Section = keyof typeof sections
export const sectionNames = Object.keys(sections) as Section[]
export const sectionTitle = (section: Section) => sections[section]

export const dateOf = (article: Article, { start }: Edition) => new Date(start.getTime() - article.hoursAgo * 3_600_000)
export const linkOf = (article: Article, { origin }: Edition) => `${origin}/${article.section}/${article.slug}`
const html = (article: Article) => article.paragraphs.map((p) => `<p>${escape(p)}</p>`).join('')
const picturePath = (article: Article) => `/pictures/${article.slug}.jpg`

/** RSS 2.0 with Media RSS pictures and Dublin Core authors. */
export function rss(section: Section, articles: Article[], edition: Edition): string {
  const items = articles.map(
    (
      a,
    ) => `<item><title>${escape(a.title)}</title><link>${linkOf(a, edition)}</link><guid isPermaLink="false">post-${a.slug}</guid>
<pubDate>${dateOf(a, edition).toUTCString()}</pubDate><dc:creator>${escape(a.author)}</dc:creator>${a.labels.map((l) => `<category>${escape(l)}</category>`).join('')}
<description>${escape(html(a))}</description>${a.picture ? `<media:content url="${edition.origin}${picturePath(a)}" medium="image" width="640" height="360"><media:description>${escape(a.title)}</media:description></media:content>` : ''}</item>`,
  )
  return `<?xml version="1.0" encoding="UTF-8"?>
<rss version="2.0" xmlns:dc="http://purl.org/dc/elements/1.1/" xmlns:media="http://search.yahoo.com/mrss/"><channel>
<title>${sectionTitle(section)}</title><link>${edition.origin}/${section}</link><description>From the Skerrow Isles</description><language>en-GB</language>
${items.join('\n')}
</channel></rss>`
}

/** Atom, RFC 4287; addresses relative on purpose, as many feeds have them. */
export function atom(section: Section, articles: Article[], edition: Edition): string {
  const newest = articles[0] ? dateOf(articles[0], edition) : edition.start
  const entries = articles.map(
    (
      a,
    ) => `<entry><id>tag:skerrow-post.localhost,2026:${a.slug}</id><title type="text">${escape(a.title)}</title><link href="/${a.section}/${a.slug}"/>
<updated>${dateOf(a, edition).toISOString()}</updated><published>${dateOf(a, edition).toISOString()}</published><author><name>${escape(a.author)}</name></author>${a.labels.map((l) => `<category term="${escape(l)}"/>`).join('')}
<content type="html">${escape((a.picture ? `<img src="${picturePath(a)}" alt="${escape(a.title)}" width="640" height="360">` : '') + html(a))}</content></entry>`,
  )
  return `<?xml version="1.0" encoding="utf-8"?>
<feed xmlns="http://www.w3.org/2005/Atom" xml:base="${edition.origin}/"><title>${sectionTitle(section)}</title><id>${edition.origin}/feeds/${section}</id>
<link rel="self" href="${edition.origin}/feeds/${section}.atom"/><link href="${edition.origin}/${section}"/><updated>${newest.toISOString()}</updated>
${entries.join('\n')}
</feed>`
}

/** JSON Feed 1.1. */
export function json(section: Section, articles: Article[], edition: Edition): string {
  return JSON.stringify({
    version: 'https://jsonfeed.org/version/1.1',
    title: sectionTitle(section),
    home_page_url: `${edition.origin}/${section}`,
    feed_url: `${edition.origin}/feeds/${section}.json`,
    language: 'en-GB',
    items: articles.map((a) => ({
      id: `post-${a.slug}`,
      url: linkOf(a, edition),
      title: a.title,
      content_html: html(a),
      ...(a.picture ? { image: `${edition.origin}${picturePath(a)}` } : {}),
      date_published: dateOf(a, edition).toISOString(),
      authors: [{ name: a.author }],
      tags: a.labels,
    })),
  })
}

export const etagOf = (body: string) => `"${createHash('sha256').update(body).digest('base64url').slice(0, 16)}"`
