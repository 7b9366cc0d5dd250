import type { FastifyInstance, FastifyReply } from 'fastify'
import { z } from 'zod'
import { consentRoutes } from '../accounts/consent'
import type { Store } from '../state/store'
import { apiRoutes } from './api'
import { listing, mapEmbed, mapPage, ON_PAGE, ownerPage, placePage, results, sayForm, shell, shortOf } from './pages'
import { face, photograph } from './pictures'
import type { Place } from './places'
import { Voices } from './service'

export const voicesHost = 'harbour-voices'

const html = (reply: FastifyReply) => reply.header('content-type', 'text/html; charset=utf-8')
const notHere = (reply: FastifyReply) =>
  html(reply).code(404).send(shell('Not here', '<h1>Not here</h1><p>No such place.</p>'))

const Said = z.object({
  author: z.string().min(1).max(200),
  stars: z.coerce.number().int().min(0).max(5),
  text: z.string(),
})
const Owned = z.discriminatedUnion('what', [
  z.object({ what: z.literal('reply'), review: z.string(), reply: z.string() }),
  z.object({ what: z.literal('edit'), review: z.string(), text: z.string() }),
  z.object({ what: z.literal('delete'), review: z.string() }),
])

/** A service where people say what they think of places: pages for people, an API, and a consent page. */
export async function voicesRoutes(app: FastifyInstance, store: Store): Promise<void> {
  const voices = new Voices(store)
  const summed = (all: readonly Place[]) => all.map((place) => ({ place, summary: voices.summary(place) }))

  await app.register(async (own) => {
    own.addHook('onRoute', (route) => {
      route.constraints = { ...route.constraints, host: new RegExp(`^${voicesHost}\\.localhost(:\\d+)?$`) }
    })
    apiRoutes(own, voices)
    consentRoutes(own, voices.desk, shell, 'All that is said of the places of one account, and the owner’s answers.')

    own.get('/', (_, reply) => html(reply).send(listing(summed(voices.all))))
    own.get('/find', ({ query }, reply) => {
      const { q } = z.object({ q: z.string().max(200).default('') }).parse(query)
      return html(reply).send(results(q, summed(voices.find(q))))
    })
    own.get('/places/:slug', (request, reply) => {
      const place = voices.bySlug((request.params as { slug: string }).slug)
      if (!place) return notHere(reply)
      const newest = voices.reviews(place).slice(0, ON_PAGE)
      return html(reply)
        .header('cache-control', 'public, max-age=60')
        .send(placePage(place, voices.summary(place), newest, `${request.protocol}://${request.host}`))
    })
    own.get('/map', (request, reply) => {
      const place = voices.place(String((request.query as { place?: string }).place))
      return place ? html(reply).send(mapPage(place, `${request.protocol}://${request.host}`)) : notHere(reply)
    })
    own.get('/map/embed', ({ query }, reply) => {
      const place = voices.place(String((query as { place?: string }).place))
      return place ? html(reply).send(mapEmbed(place)) : notHere(reply)
    })
    own.get('/s/:short', ({ params }, reply) => {
      const place = voices.all.find((one) => shortOf(one) === (params as { short: string }).short)
      return place ? reply.redirect(`/map?zoom=15&place=${place.id}`) : notHere(reply)
    })
    own.get('/photographs/:name', async ({ params }, reply) =>
      reply
        .header('cache-control', 'public, max-age=86400')
        .type('image/jpeg')
        .send(await photograph((params as { name: string }).name)),
    )
    own.get('/faces/:name', async ({ params }, reply) =>
      reply.type('image/png').send(await face((params as { name: string }).name)),
    )

    own.get('/places/:slug/say', ({ params }, reply) => {
      const place = voices.bySlug((params as { slug: string }).slug)
      return place ? html(reply).send(sayForm(place)) : notHere(reply)
    })
    own.post('/places/:slug/say', ({ params, body }, reply) => {
      const place = voices.bySlug((params as { slug: string }).slug)
      if (!place) return notHere(reply)
      const said = Said.parse(body)
      const now = new Date().toISOString()
      voices.change(({ added }) => {
        const before = added[place.id] ?? []
        const id = `${place.slug}-new-${before.length}`
        added[place.id] = [
          { id, ...said, language: 'en', createdAt: now, changedAt: now, pictures: [], reply: null },
          ...before,
        ]
      })
      return reply.redirect(`/places/${place.slug}`, 303)
    })
    own.get('/own/:id', ({ params }, reply) => {
      const place = voices.place((params as { id: string }).id)
      return place ? html(reply).send(ownerPage(place, voices.reviews(place).slice(0, 30))) : notHere(reply)
    })
    own.post('/own/:id', ({ params, body }, reply) => {
      const asked = Owned.parse(body)
      const now = new Date().toISOString()
      voices.change(({ edited, deleted }) => {
        if (asked.what === 'delete') return void deleted.push(asked.review)
        const change = asked.what === 'reply' ? { reply: { text: asked.reply, at: now } } : { text: asked.text }
        edited[asked.review] = { ...edited[asked.review], ...change, changedAt: now }
      })
      return reply.redirect(`/own/${(params as { id: string }).id}`, 303)
    })
  })
}
