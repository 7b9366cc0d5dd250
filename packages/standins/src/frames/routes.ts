import type { FastifyInstance, FastifyReply } from 'fastify'
import sharp from 'sharp'
import { z } from 'zod'
import { consentRoutes } from '../accounts/consent'
import { drawScene } from '../drawing/scenes'
import type { Store } from '../state/store'
import { apiRoutes, originOf } from './api'
import { listing, ownerPage, postPage, profilePage, shell, wallPage } from './pages'
import { Frames } from './service'

export const framesHost = 'isle-frames'

const html = (reply: FastifyReply) => reply.header('content-type', 'text/html; charset=utf-8')
const notHere = (reply: FastifyReply, status = 404) =>
  html(reply).code(status).send(shell('Not here', '<h1>Not here</h1><p>No such profile or post.</p>'))

const Owned = z.discriminatedUnion('what', [
  z.object({ what: z.literal('post'), caption: z.string().min(1).max(2200), scene: z.string().max(20) }),
  z.object({ what: z.literal('rename'), handle: z.string().regex(/^[a-z0-9._]{1,30}$/) }),
  z.object({ what: z.literal('close') }),
  z.object({ what: z.literal('delete'), post: z.string() }),
])
const DRAWN = /^([\w-]{1,80})-(\d{1,4})x(\d{1,4})\.jpg$/

/** A service where people share pictures: pages for people, an API, and a consent page. */
export async function framesRoutes(app: FastifyInstance, store: Store): Promise<void> {
  const frames = new Frames(store)
  await app.register(async (own) => {
    own.addHook('onRoute', (route) => {
      route.constraints = { ...route.constraints, host: new RegExp(`^${framesHost}\\.localhost(:\\d+)?$`) }
    })
    apiRoutes(own, frames)
    consentRoutes(own, frames.desk, shell, 'The posts of one account, those that only friends see too.')

    own.get('/', (_, reply) =>
      html(reply).send(
        listing(
          frames.all.filter((one) => !one.isClosed).map((profile) => ({ profile, handle: frames.handleOf(profile) })),
        ),
      ),
    )
    /** The profile of a handle, or where it has gone; null once that is answered. */
    const profileOf = (name: string, reply: FastifyReply, rest = '') => {
      const found = frames.lookUp(name)
      if (found.what === 'profile') return found.profile
      if (found.what === 'moved') void reply.redirect(`/@${found.to}${rest}`)
      else void notHere(reply, found.what === 'gone' ? 410 : 404)
      return null
    }
    own.get('/@:handle', (request, reply) => {
      const profile = profileOf((request.params as { handle: string }).handle, reply)
      if (!profile) return
      const posts = profile.isPrivate ? null : frames.posts(profile)
      return html(reply).send(profilePage(profile, frames.handleOf(profile), posts, originOf(request)))
    })
    own.get('/@:handle/named', ({ params }, reply) => {
      const profile = profileOf((params as { handle: string }).handle, reply, '/named')
      if (profile) return html(reply).send(wallPage(`Posts that name ${profile.name}`, frames.naming(profile)))
    })
    own.get('/tagged/:tag', ({ params }, reply) => {
      const tag = (params as { tag: string }).tag.toLowerCase()
      return html(reply).send(wallPage(`#${tag}`, frames.tagged(tag)))
    })
    own.get('/p/:id', ({ params }, reply) => {
      const { id } = params as { id: string }
      for (const profile of frames.all) {
        const post = frames.posts(profile).find((one) => one.id === id)
        if (post && !profile.isPrivate && !profile.isClosed)
          return html(reply).send(postPage(post, profile, frames.handleOf(profile)))
      }
      return notHere(reply)
    })
    own.get('/drawn/:name', async ({ params }, reply) => {
      const [, name, width, height] = DRAWN.exec((params as { name: string }).name) ?? []
      if (!name) return notHere(reply)
      return reply
        .header('cache-control', 'public, max-age=86400')
        .type('image/jpeg')
        .send(
          await sharp(Buffer.from(drawScene(name)))
            .resize(Number(width), Number(height))
            .jpeg({ quality: 82 })
            .toBuffer(),
        )
    })

    own.get('/own/:handle', ({ params }, reply) => {
      const profile = profileOf((params as { handle: string }).handle, reply)
      if (profile) return html(reply).send(ownerPage(profile, frames.handleOf(profile), frames.posts(profile)))
    })
    own.post('/own/:handle', ({ params, body }, reply) => {
      const profile = profileOf((params as { handle: string }).handle, reply)
      if (!profile) return
      const asked = Owned.parse(body)
      const seed = frames.state.added.length
      frames.change(({ added, deleted, handles, closed }) => {
        if (asked.what === 'post')
          added.push({
            id: `new${profile.handle.replace(/\W/g, '')}${seed}`,
            profile: profile.id,
            caption: asked.caption,
            at: new Date().toISOString(),
            pictures: [{ name: `${asked.scene}-new${seed}`, width: 1080, height: 1080, alt: 'Posted a moment ago' }],
            seconds: null,
            likes: 0,
            comments: 0,
          })
        else if (asked.what === 'delete') deleted.push(asked.post)
        else if (asked.what === 'close') closed.push(profile.id)
        else handles[profile.id] = [...(handles[profile.id] ?? []), asked.handle]
      })
      return reply.redirect(`/own/${asked.what === 'rename' ? asked.handle : frames.handleOf(profile)}`, 303)
    })
  })
}
