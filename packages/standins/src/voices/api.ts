import { createHash, randomBytes } from 'node:crypto'
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import { z } from 'zod'
import type { Place } from './places'
import { accounts, type Voices } from './service'
import type { KeptReview } from './state'

/** Without an owner's leave, only so many of the newest are given. */
export const GIVEN_TO_ALL = 40
const MOST_A_PAGE = 100
const ACCESS_MS = 3_600_000
const REFRESH_MS = 30 * 86_400_000
const CODE_MS = 300_000

const Page = z.object({
  sort: z.enum(['newest', 'changed']).default('newest'),
  limit: z.coerce.number().int().min(1).max(MOST_A_PAGE).default(20),
  after: z.coerce.number().int().min(0).default(0),
})
const Token = z.discriminatedUnion('grant_type', [
  z.object({
    grant_type: z.literal('authorization_code'),
    code: z.string(),
    code_verifier: z.string(),
    redirect_uri: z.string(),
  }),
  z.object({ grant_type: z.literal('refresh_token'), refresh_token: z.string() }),
])

const problem = (reply: FastifyReply, status: number, error: string) => reply.code(status).send({ error })

/** The service's API: places, their reviews, and tokens for owners' accounts (RFC 6749 with RFC 7636). */
export function apiRoutes(app: FastifyInstance, voices: Voices): void {
  const asked = new Map<string, number[]>()

  /** Answers in their place where the caller asks too often, or nothing answers at all. */
  app.addHook('onRequest', async (request, reply) => {
    if (voices.state.outage) return problem(reply, 503, 'down')
    if (!request.url.startsWith('/api/')) return
    const { requests, seconds } = voices.state.quota
    const caller = request.headers.authorization ?? 'anyone'
    const now = Date.now()
    const recent = (asked.get(caller) ?? []).filter((at) => at > now - seconds * 1000)
    if (recent.length >= requests) {
      const wait = Math.max(1, Math.ceil((recent[0]! + seconds * 1000 - now) / 1000))
      return problem(reply.header('retry-after', String(wait)), 429, 'too-many')
    }
    asked.set(caller, [...recent, now])
  })

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

  app.post('/api/token', ({ body }, reply) => {
    const asked = Token.safeParse(body)
    if (!asked.success) return problem(reply, 400, 'invalid_request')
    const account =
      asked.data.grant_type === 'refresh_token'
        ? spent(voices, 'refresh', asked.data.refresh_token)
        : codeSpent(voices, asked.data)
    return account ? granted(voices, account) : problem(reply, 400, 'invalid_grant')
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
  const token = /^Bearer (.+)$/.exec(headers.authorization ?? '')?.[1]
  if (!token) return 'none'
  const grant = voices.state.access[token]
  if (!grant || grant.until < Date.now()) return 'expired'
  return accounts.find(({ id }) => id === grant.account)?.owns(place) ? 'owner' : 'not-its-owner'
}

/** A code or token counts once. */
function spent(voices: Voices, what: 'refresh' | 'codes', key: string): string | null {
  const grant = voices.state[what][key]
  if (!grant) return null
  voices.change((state) => delete state[what][key])
  return grant.until > Date.now() ? grant.account : null
}

/** RFC 7636, section 4.6: the verifier's hash is what was sent with the question. */
function codeSpent(
  voices: Voices,
  asked: { code: string; code_verifier: string; redirect_uri: string },
): string | null {
  const code = voices.state.codes[asked.code]
  const account = spent(voices, 'codes', asked.code)
  const challenge = createHash('sha256').update(asked.code_verifier).digest('base64url')
  return code && code.challenge === challenge && code.redirect === asked.redirect_uri ? account : null
}

function granted(voices: Voices, account: string) {
  const [access, refresh] = [randomBytes(24).toString('base64url'), randomBytes(24).toString('base64url')]
  voices.change((state) => {
    state.access[access] = { account, until: Date.now() + ACCESS_MS }
    state.refresh[refresh] = { account, until: Date.now() + REFRESH_MS }
  })
  const { id, name } = accounts.find((one) => one.id === account)!
  return {
    access_token: access,
    token_type: 'Bearer',
    expires_in: ACCESS_MS / 1000,
    refresh_token: refresh,
    account: { id, name },
  }
}

/** A code to be handed in for a token. */
export function codeFor(voices: Voices, account: string, challenge: string, redirect: string): string {
  const code = randomBytes(18).toString('base64url')
  voices.change((state) => {
    state.codes[code] = { account, until: Date.now() + CODE_MS, challenge, redirect }
  })
  return code
}
