import type { FastifyReply, FastifyRequest } from 'fastify'
import { escape } from '../html'
import { places, type Place, type Voice } from '../voices/places'

export const guideHost = 'skerrow-guide'

interface Round {
  origin: string
  /** When day nought was, for the dates. */
  start: Date
}

const DAY = 86_400_000
const listed = places.filter(({ voices }) => voices.length > 3 || voices.length === 0)

/** A guide to the isles that prints what guests wrote to it, and marks it up for others to read. It has no API. */
export function serveGuide(request: FastifyRequest, reply: FastifyReply, round: Round): FastifyReply {
  const path = new URL(request.url, round.origin).pathname.replace(/\/+$/, '') || '/'
  reply.header('content-type', 'text/html; charset=utf-8')
  if (path === '/') return reply.send(shell('All places', listing()))
  const place = listed.find(({ slug }) => path === `/places/${slug}`)
  if (!place) return reply.code(404).send(shell('Not here', '<h1>Not here</h1><p>No such place.</p>'))
  return reply.header('cache-control', 'public, max-age=300').send(placePage(place, round))
}

const shell = (title: string, body: string, head = '') =>
  `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escape(title)} · The Skerrow Guide</title>
${head}<style>body{font:17px/1.6 Georgia,"Liberation Serif",serif;max-width:680px;margin:0 auto;padding:24px 20px 60px;color:#232}article{border-top:1px solid #bbb;padding:12px 0}blockquote{margin:8px 0 0 18px;color:#555}</style></head>
<body><header><strong>The Skerrow Guide</strong> <nav><a href="/">All places</a></nav></header><main>${body}</main></body></html>`

const listing = () =>
  `<h1>Places of the Skerrow Isles</h1><ul>${listed.map(({ slug, name, category }) => `<li><a href="/places/${slug}">${escape(name)}</a>, ${escape(category.toLowerCase())}</li>`).join('')}</ul>`

const dayOf = ({ start }: Round, daysAgo: number) => new Date(start.getTime() - daysAgo * DAY).toISOString()

function placePage(place: Place, round: Round): string {
  const { name, category, address, stated, voices } = place
  const data = `<script type="application/ld+json">${JSON.stringify(marked(place, round)).replace(/</g, '\\u003c')}</script>\n`
  const said = voices.map(
    ({ author, stars, daysAgo, text, reply, language }) =>
      `<article${language ? ` lang="${language}"` : ''}><b>${'★'.repeat(stars)}</b> ${escape(author)}, ${dayOf(round, daysAgo).slice(0, 10)}<p>${escape(text)}</p>${reply ? `<blockquote>${escape(reply)}</blockquote>` : ''}</article>`,
  )
  return shell(
    name,
    `<h1>${escape(name)}</h1><p>${escape(category)}${address ? `, ${escape(address)}` : ''}</p><p>${stated.count ? `${stated.mean} of 5 from ${stated.count}` : 'Nobody has written yet.'}</p>${said.join('')}`,
    data,
  )
}

/** In the vocabulary of schema.org. */
function marked({ slug, name, address, stated, voices, openingHours }: Place, round: Round): object {
  return {
    '@context': 'https://schema.org',
    '@type': 'LocalBusiness',
    '@id': `${round.origin}/places/${slug}`,
    name,
    address,
    openingHours,
    ...(stated.count
      ? { aggregateRating: { '@type': 'AggregateRating', ratingValue: stated.mean, reviewCount: stated.count } }
      : {}),
    review: voices.map((voice) => markedVoice(voice, `${round.origin}/places/${slug}`, round)),
  }
}

function markedVoice({ author, stars, daysAgo, text, language, reply }: Voice, place: string, round: Round): object {
  return {
    '@type': 'Review',
    url: `${place}#said-${daysAgo}`,
    author: { '@type': 'Person', name: author },
    datePublished: dayOf(round, daysAgo),
    inLanguage: language ?? 'en',
    ...(text ? { reviewBody: text } : {}),
    ...(stars ? { reviewRating: { '@type': 'Rating', ratingValue: stars } } : {}),
    ...(reply ? { comment: { '@type': 'Comment', text: reply, datePublished: dayOf(round, daysAgo - 1) } } : {}),
  }
}
