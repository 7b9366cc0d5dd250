import cookie from '@fastify/cookie'
import formbody from '@fastify/formbody'
import Fastify, { type FastifyInstance, type FastifyRequest } from 'fastify'
import { controlRoutes } from './desk/control'
import { deskRoutes } from './desk/routes'
import { newsHost, serveNews } from './news/serve'
import { serveTroubled, troubledHost } from './news/troubled'
import { filmsRoutes } from './films/routes'
import { framesRoutes } from './frames/routes'
import { guideHost, serveGuide } from './guide/serve'
import { mailboxHost, serveMailbox } from './mailbox/serve'
import { Mailbox } from './mailbox/server'
import { siteByHost } from './sites/list'
import { serveSite } from './sites/serve'
import type { Store } from './state/store'
import { voicesRoutes } from './voices/routes'

/** `gullhaven` of `gullhaven.localhost:4700`. */
const nameOf = (request: FastifyRequest) => request.hostname.replace(/:\d+$/, '').replace(/\.localhost$/, '')

/** Every stand-in behind one port, told apart by the host name asked for. */
export async function standinsApp(store: Store, mailbox = new Mailbox()): Promise<FastifyInstance> {
  const app = Fastify({ bodyLimit: 1_000_000 })
  await app.register(cookie)
  await app.register(formbody)
  const siteOf = (request: FastifyRequest) => siteByHost.get(nameOf(request))
  controlRoutes(app, store, siteOf)
  deskRoutes(app, store, siteOf)
  await voicesRoutes(app, store)
  await framesRoutes(app, store)
  await filmsRoutes(app, store)
  app.get('/*', (request, reply) => {
    const name = nameOf(request)
    const site = siteByHost.get(name)
    if (site) return serveSite(site, store, request, reply)
    if (name === newsHost)
      return serveNews(request, reply, { origin: `http://${request.host}`, start: store.startedAt })
    if (name === guideHost)
      return serveGuide(request, reply, { origin: `http://${request.host}`, start: store.startedAt })
    if (name === mailboxHost) return serveMailbox(mailbox, request, reply)
    if (name === troubledHost) return serveTroubled(request, reply)
    return reply.code(404).send(`No stand-in is called ${name}.`)
  })
  return app
}
