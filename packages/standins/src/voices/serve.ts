import type { FastifyReply, FastifyRequest } from 'fastify'
import { escape } from '../html'
import { places, type Place, type Voice } from './places'

export const voicesHost = 'harbour-voices'

interface Round {
  origin: string
  /** When day nought was, for the dates. */
  start: Date
}

/** A site where people say what they think of places: each place has a page, marked up for others to read. */
export function serveVoices(request: FastifyRequest, reply: FastifyReply, round: Round): FastifyReply {
  const path = new URL(request.url, round.origin).pathname.replace(/\/+$/, '') || '/'
  reply.header('content-type', 'text/html; charset=utf-8')
  if (path === '/') return reply.send(listing())
  const place = places.find(({ id }) => path === `/places/${id}`)
  if (!place) return reply.code(404).send(shell('Not here', '<h1>Not here</h1><p>No such place.</p>'))
  return reply.header('cache-control', 'public, max-age=300').send(placePage(place, round))
}

const shell = (title: string, body: string, head = '') =>
  `<!DOCTYPE html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escape(title)} · Harbour Voices</title>
${head}<style>body{font:16px/1.55 "Liberation Sans",Arial,sans-serif;max-width:720px;margin:0 auto;padding:24px 20px 60px;color:#222}article{border-top:1px solid #ccc;padding:12px 0}b{color:#8a4a00}blockquote{margin:8px 0 0 18px;color:#555}</style></head>
<body><header><strong>Harbour Voices</strong> <nav><a href="/">All places</a></nav></header><main>${body}</main></body></html>`

const listing = () =>
  shell(
    'Places',
    `<h1>Places of the Skerrow Isles</h1><ul>${places
      .map(
        ({ id, name, category, stated }) =>
          `<li><a href="/places/${id}">${escape(name)}</a>, ${escape(category.toLowerCase())}${stated.count ? `, ${stated.mean} from ${stated.count}` : ''}</li>`,
      )
      .join('')}</ul>`,
  )

const dayOf = ({ start }: Round, daysAgo: number) => new Date(start.getTime() - daysAgo * 86_400_000).toISOString()

function placePage(place: Place, round: Round): string {
  const { name, category, address, stated, voices } = place
  const data = `<script type="application/ld+json">${JSON.stringify(marked(place, round)).replace(/</g, '\\u003c')}</script>\n`
  const said = voices.map(
    ({ author, stars, daysAgo, text, reply, language }) =>
      `<article${language ? ` lang="${language}"` : ''}><b>${'★'.repeat(stars)}</b> ${escape(author)}, ${dayOf(round, daysAgo).slice(0, 10)}<p>${escape(text)}</p>${reply ? `<blockquote>${escape(reply)}</blockquote>` : ''}</article>`,
  )
  return shell(
    name,
    `<h1>${escape(name)}</h1><p>${escape(category)}, ${escape(address)}</p><p>${stated.count ? `${stated.mean} of 5 from ${stated.count}` : 'Nobody has said anything yet.'}</p>${said.join('')}`,
    data,
  )
}

/** In the vocabulary of schema.org. */
function marked({ id, name, address, stated, voices }: Place, round: Round): object {
  return {
    '@context': 'https://schema.org',
    '@type': 'LocalBusiness',
    '@id': `${round.origin}/places/${id}`,
    name,
    address,
    ...(stated.count
      ? { aggregateRating: { '@type': 'AggregateRating', ratingValue: stated.mean, reviewCount: stated.count } }
      : {}),
    review: voices.map((voice) => markedVoice(voice, `${round.origin}/places/${id}`, round)),
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
