import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import { z } from 'zod'
import { limitedRoutes } from '../accounts/limits'
import type { Place } from './places'
import { accounts, type Voices } from './service'
import type { KeptReview } from './state'

/** Without an owner's leave, only so many of the newest are given. */
export const GIVEN_TO_ALL = 40
const MOST_A_PAGE = 100
const Page = z.object({
  sort: z.enum(['newest', 'changed']).default('newest'),
  limit: z.coerce.number().int().min(1).max(MOST_A_PAGE).default(20),
  after: z.coerce.number().int().min(0).default(0),
})

const problem = (reply: FastifyReply, status: number, error: string) => reply.code(status).send({ error })

/** The service's API: places and their reviews. */
export function apiRoutes(app: FastifyInstance, voices: Voices): void {
  limitedRoutes(app, () => voices.state)

  app.get('/api/places', (request) => {
    const { q } = z.object({ q: z.string().max(200) }).parse(request.query)
    return { places: voices.find(q).map((place) => described(voices, place, originOf(request))) }
  })

  app.get('/api/places/:id', (request, reply) => {
    const place = voices.place((request.params as { id: string }).id)
    return place ? described(voices, place, originOf(request)) : problem(reply, 404, 'no-such-place')
  })

  app.get('/api/places/:id/reviews', (request, reply) => {
    const place = voices.place((request.params as { id: string }).id)
    if (!place) return problem(reply, 404, 'no-such-place')
    const leave = leaveOf(voices, request, place)
    if (leave === 'expired') return problem(reply, 401, 'token-expired')
    if (leave === 'not-its-owner') return problem(reply, 403, 'not-its-owner')
    const { sort, limit, after } = Page.parse(request.query)
    const newest = voices.reviews(place)
    const given = leave === 'owner' ? newest : newest.slice(0, GIVEN_TO_ALL)
    if (sort === 'changed') given.sort((a, b) => (a.changedAt < b.changedAt ? 1 : a.changedAt > b.changedAt ? -1 : 0))
    const page = given.slice(after, after + limit)
    return {
      reviews: page.map((review) => written(review, originOf(request))),
      total: newest.length,
      given: given.length,
      next: after + limit < given.length ? after + limit : null,
    }
  })
}

const originOf = ({ protocol, host }: FastifyRequest) => `${protocol}://${host}`

const described = (voices: Voices, place: Place, origin: string) => {
  const { id, name, category, address, position, slug } = place
  const { mean, count } = voices.summary(place)
  return {
    id,
    name,
    category,
    address,
    position,
    page: `/places/${slug}`,
    rating: count ? mean : null,
    count,
    picture: `${origin}/photographs/${slug}.jpg`,
  }
}

const written = (
  { id, author, stars, text, language, createdAt, changedAt, pictures, reply }: KeptReview,
  origin: string,
) => ({
  id,
  author: { name: author, picture: `${origin}/faces/${encodeURIComponent(author)}.png` },
  stars: stars || null,
  text,
  language,
  created: createdAt,
  changed: changedAt,
  pictures: pictures.map((name) => ({ address: `${origin}/photographs/${name}.jpg`, width: 1600, height: 900 })),
  reply,
})

function leaveOf(
  voices: Voices,
  { headers }: FastifyRequest,
  place: Place,
): 'none' | 'owner' | 'expired' | 'not-its-owner' {
  const account = voices.desk.accountOf(headers.authorization)
  if (account === null) return 'none'
  if (account === 'expired') return 'expired'
  return accounts.find(({ id }) => id === account)?.owns(place) ? 'owner' : 'not-its-owner'
}
