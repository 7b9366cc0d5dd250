import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import { z } from 'zod'
import { limitedRoutes } from '../accounts/limits'
import type { Profile } from './profiles'
import type { Frames } from './service'
import { namedIn, tagsIn, type KeptPost } from './state'

const Page = z.object({
  limit: z.coerce.number().int().min(1).max(50).default(20),
  /** The id of the last post that was given. */
  after: z.string().max(80).optional(),
})

const problem = (reply: FastifyReply, status: number, error: string, more: object = {}) =>
  reply.code(status).send({ error, ...more })
export const originOf = ({ protocol, host }: FastifyRequest) => `${protocol}://${host}`

/** The service's API: profiles, their posts, posts by tag, posts in which a profile is named. */
export function apiRoutes(app: FastifyInstance, frames: Frames): void {
  limitedRoutes(app, () => frames.state)

  app.get('/api/profiles', ({ query, protocol, host }) => {
    const { q } = z.object({ q: z.string().max(200) }).parse(query)
    return { profiles: frames.find(q).map((one) => described(frames, one, `${protocol}://${host}`)) }
  })

  app.get('/api/profiles/:name', (request, reply) => {
    const profile = known(frames, request, reply)
    return profile && described(frames, profile, originOf(request))
  })

  for (const [path, postsOf] of [
    ['posts', (profile: Profile) => frames.posts(profile)],
    ['named', (profile: Profile) => frames.naming(profile)],
  ] as const)
    app.get(`/api/profiles/:name/${path}`, (request, reply) => {
      const profile = known(frames, request, reply)
      if (!profile) return
      const account = frames.desk.accountOf(request.headers.authorization)
      if (account === 'expired') return problem(reply, 401, 'token-expired')
      if (!frames.letsIn(profile, account)) return problem(reply, 403, account === null ? 'private' : 'not-let-in')
      return paged(frames, postsOf(profile), request)
    })

  app.get('/api/tags/:tag/posts', (request) =>
    paged(frames, frames.tagged((request.params as { tag: string }).tag.toLowerCase()), request),
  )
}

/** The profile a request is about; where there is none, the answer is given. */
function known(frames: Frames, request: FastifyRequest, reply: FastifyReply): Profile | undefined {
  const found = frames.lookUp((request.params as { name: string }).name)
  switch (found.what) {
    case 'profile':
      return found.profile
    case 'moved':
      return void problem(reply, 404, 'renamed', { handle: found.to })
    case 'gone':
      return void problem(reply, 410, 'closed')
    case 'unknown':
      return void problem(reply, 404, 'no-such-profile')
  }
}

const described = (frames: Frames, profile: Profile, origin: string) => {
  const { id, name, bio, website, followers, following, isPrivate } = profile
  const handle = frames.handleOf(profile)
  return {
    id,
    handle,
    name,
    bio,
    website,
    private: Boolean(isPrivate),
    page: `/@${handle}`,
    picture: `${origin}/drawn/${profile.scenes[0]}-${profile.id}-self-320x320.jpg`,
    counts: { posts: frames.posts(profile).length, followers, following },
  }
}

function paged(frames: Frames, all: readonly KeptPost[], request: FastifyRequest) {
  const { limit, after } = Page.parse(request.query)
  const from = after === undefined ? 0 : all.findIndex(({ id }) => id === after) + 1
  const page = all.slice(from, from + limit)
  return {
    posts: page.map((post) => written(frames, post, originOf(request))),
    total: all.length,
    next: from + limit < all.length ? (page.at(-1)?.id ?? null) : null,
  }
}

function written(
  frames: Frames,
  { id, profile, caption, at, pictures, seconds, likes, comments }: KeptPost,
  origin: string,
) {
  const by = frames.all.find((one) => one.id === profile)!
  return {
    id,
    by: { id: by.id, handle: frames.handleOf(by), name: by.name },
    caption,
    tags: tagsIn(caption),
    named: namedIn(caption),
    created: at,
    kind: seconds === null ? (pictures.length > 1 ? 'pictures' : 'picture') : 'clip',
    pictures: pictures.map(({ name, width, height, alt }) => ({
      address: `${origin}/drawn/${name}-${width}x${height}.jpg`,
      width,
      height,
      alt,
    })),
    seconds,
    likes,
    comments,
    page: `/p/${id}`,
  }
}
