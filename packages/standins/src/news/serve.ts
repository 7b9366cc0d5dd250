import type { FastifyReply, FastifyRequest } from 'fastify'
import { escape } from '../html'
import { photograph } from '../voices/pictures'
import { articles, type Article } from './articles'
import {
  atom,
  dateOf,
  etagOf,
  json,
  linkOf,
  rss,
  sectionNames,
  sectionTitle,
  type Edition,
  type Section,
} from './feeds'

export const newsHost = 'skerrow-post'

const formats = {
  xml: { type: 'application/rss+xml; charset=utf-8', write: rss },
  atom: { type: 'application/atom+xml; charset=utf-8', write: atom },
  json: { type: 'application/feed+json; charset=utf-8', write: json },
}
/** Each section's feed in one format, so that all three are met. */
const declared: Record<Section, keyof typeof formats> = { news: 'xml', harbour: 'atom', culture: 'json' }

export function serveNews(request: FastifyRequest, reply: FastifyReply, edition: Edition): FastifyReply {
  const path = new URL(request.url, edition.origin).pathname.replace(/\/+$/, '') || '/'
  const feed = /^\/feeds\/(news|harbour|culture)\.(xml|atom|json)$/.exec(path)
  if (feed) return sendFeed(request, reply, feed[1] as Section, feed[2] as keyof typeof formats, edition)
  const picture = /^\/pictures\/([\w-]+)\.jpg$/.exec(path)
  if (picture) {
    reply.header('content-type', 'image/jpeg').header('cache-control', 'public, max-age=86400')
    photograph(picture[1]!).then(
      (bytes) => reply.send(bytes),
      (problem: Error) => reply.send(problem),
    )
    return reply
  }
  const section = sectionNames.find((s) => path === `/${s}`)
  if (path === '/' || section) return send(reply, listing(section ?? null, edition))
  const article = articles.find((a) => path === `/${a.section}/${a.slug}` && !a.gone)
  return article
    ? send(reply, articlePage(article, edition))
    : send(reply.code(404), shell('Not here', null, '<p>No such page.</p>'))
}

function sendFeed(
  request: FastifyRequest,
  reply: FastifyReply,
  section: Section,
  format: keyof typeof formats,
  edition: Edition,
): FastifyReply {
  const own = articles.filter((a) => a.section === section)
  const { type, write } = formats[format]
  const body = write(section, own, edition)
  const etag = etagOf(body)
  reply
    .header('etag', etag)
    .header('last-modified', dateOf(own[0]!, edition).toUTCString())
    .header('cache-control', 'public, max-age=300')
  if (request.headers['if-none-match'] === etag) return reply.code(304).send()
  return reply.header('content-type', type).send(body)
}

const send = (reply: FastifyReply, html: string) => reply.header('content-type', 'text/html; charset=utf-8').send(html)

function shell(title: string, section: Section | null, body: string, head = ''): string {
  const links = (section ? [section] : sectionNames).map(
    (s) =>
      `<link rel="alternate" type="${formats[declared[s]].type.split(';')[0]}" title="${sectionTitle(s)}" href="/feeds/${s}.${declared[s]}">`,
  )
  return `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escape(title)} · Skerrow Post</title>
${links.join('\n')}${head}
<style>body{font:17px/1.6 Georgia,"Liberation Serif",serif;max-width:760px;margin:0 auto;padding:0 20px 60px;color:#1b1b1b}header{border-bottom:1px solid;margin-bottom:24px;padding:24px 0 10px}header b{font-size:34px}nav a{margin-right:16px}img{width:100%;height:auto}article{margin:0 0 28px}</style></head>
<body><header><b>The Skerrow Post</b><nav><a href="/">All</a>${sectionNames.map((s) => `<a href="/${s}">${s}</a>`).join('')}</nav></header><main>${body}</main></body></html>`
}

function listing(section: Section | null, edition: Edition): string {
  const shown = articles.filter((a) => !section || a.section === section).sort((a, b) => a.hoursAgo - b.hoursAgo)
  return shell(
    section ?? 'Front page',
    section,
    shown
      .map(
        (a) =>
          `<article><h2><a href="${linkOf(a, edition)}">${escape(a.title)}</a></h2><p>${escape(a.paragraphs[0]!)}</p></article>`,
      )
      .join(''),
  )
}

/** Marked up for being shared, as papers do it (Open Graph protocol). */
function articlePage(article: Article, edition: Edition): string {
  const picture = article.picture ? `<img src="/pictures/${article.slug}.jpg" alt="">` : ''
  const shared = {
    'og:type': 'article',
    'og:site_name': 'Skerrow Post',
    'og:title': article.title,
    'og:description': article.paragraphs[0] ?? '',
    'article:published_time': dateOf(article, edition).toISOString(),
    ...(article.picture ? { 'og:image': `${edition.origin}/pictures/${article.slug}.jpg` } : {}),
  }
  return shell(
    article.title,
    article.section,
    `<article><h1>${escape(article.title)}</h1><p><i>${escape(article.author)}, ${dateOf(article, edition).toUTCString()}</i></p>${picture}${article.paragraphs.map((p) => `<p>${escape(p)}</p>`).join('')}</article>`,
    Object.entries(shared)
      .map(([property, content]) => `\n<meta property="${property}" content="${escape(content)}">`)
      .join(''),
  )
}
