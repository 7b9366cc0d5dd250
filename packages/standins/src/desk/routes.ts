import { randomBytes, timingSafeEqual } from 'node:crypto'
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import { z } from 'zod'
import { regionNames, type Site } from '../sites/site'
import type { Content, Store } from '../state/store'
import { cachePage, editPage, listPage, signInPage } from './pages'
import { deskAccount, deskPaths } from './paths'
import { wordsFor } from './words'

const Fields = z.record(z.string(), z.string().max(100_000))
const Where = z.object({ path: z.string().default('/'), done: z.string().optional() })

/** The editing desk of every client site. `siteOf` gives the site a request is for. */
export function deskRoutes(
  app: FastifyInstance,
  store: Store,
  siteOf: (request: FastifyRequest) => Site | undefined,
): void {
  const html = (reply: FastifyReply, body: string) =>
    reply.header('content-type', 'text/html; charset=utf-8').header('cache-control', 'no-store').send(body)

  /** Only for those signed in, and only on client sites. */
  const atDesk =
    (handler: (site: Site, request: FastifyRequest, reply: FastifyReply) => unknown) =>
    (request: FastifyRequest, reply: FastifyReply) => {
      const site = siteOf(request)
      if (!site) return reply.code(404).send('There is no desk here.')
      if (!store.knows(request.cookies.desk))
        return reply.redirect(`${deskPaths.signIn}?then=${encodeURIComponent(request.url)}`, 303)
      return handler(site, request, reply)
    }

  app.get(deskPaths.signIn, (request, reply) => {
    const site = siteOf(request)
    return site
      ? html(reply, signInPage(site, thenOf(request.query), false))
      : reply.code(404).send('There is no desk here.')
  })

  app.post(deskPaths.signIn, (request, reply) => {
    const site = siteOf(request)
    if (!site) return reply.code(404).send('There is no desk here.')
    const fields = Fields.parse(request.body)
    if (!same(fields.name, deskAccount.name) || !same(fields.password, deskAccount.password))
      return html(reply.code(401), signInPage(site, thenOf(fields), true))
    const token = randomBytes(18).toString('base64url')
    store.signIn(token)
    return reply.setCookie('desk', token, { path: '/', httpOnly: true, sameSite: 'lax' }).redirect(thenOf(fields), 303)
  })

  app.post(deskPaths.signOut, (request, reply) => {
    if (request.cookies.desk) store.signOut(request.cookies.desk)
    return reply.clearCookie('desk', { path: '/' }).redirect('/', 303)
  })

  app.get(
    deskPaths.home,
    atDesk((site, _request, reply) => html(reply, listPage(site))),
  )

  app.get(
    '/desk/page',
    atDesk((site, request, reply) => {
      const { path, done } = Where.parse(request.query)
      const state = store.page(site.host, path)
      const words = wordsFor(site)
      const said = done === 'save' ? words.saved : done === 'publish' ? words.published : null
      return state ? html(reply, editPage(site, path, state, said)) : reply.code(404).send('no such page')
    }),
  )

  app.post(
    '/desk/page',
    atDesk((site, request, reply) => {
      const { path } = Where.parse(request.query)
      if (!store.page(site.host, path)) return reply.code(404).send('no such page')
      const { do: action, ...fields } = Fields.parse(request.body)
      store.save(site.host, path, contentOf(fields))
      if (action === 'publish') store.publish(site.host, path)
      return reply.redirect(`${deskPaths.page(path)}&done=${action === 'publish' ? 'publish' : 'save'}`, 303)
    }),
  )

  app.get(
    deskPaths.cache,
    atDesk((site, request, reply) => html(reply, cachePage(site, 'done' in (request.query as object)))),
  )

  app.post(
    deskPaths.cache,
    atDesk((site, _request, reply) => {
      store.emptyCache(site.host)
      return reply.redirect(`${deskPaths.cache}?done`, 303)
    }),
  )
}

/** "sidebar.code" and its text, as content by region and box. Line ends as forms send them become plain ones. */
function contentOf(fields: Record<string, string>): Content {
  const content: Content = {}
  for (const [name, text] of Object.entries(fields)) {
    const [region, box] = name.split('.')
    const known = regionNames.find((r) => r === region)
    if (known && box) content[known] = { ...content[known], [box]: text.replace(/\r\n/g, '\n') }
  }
  return content
}

/** Where to go after signing in: a path on this very site, nothing else. */
function thenOf(query: unknown): string {
  const then = (query as { then?: unknown }).then
  return typeof then === 'string' && /^\/(?![/\\])/.test(then) ? then : deskPaths.home
}

function same(given: string | undefined, wanted: string): boolean {
  const [a, b] = [Buffer.from(given ?? ''), Buffer.from(wanted)]
  return a.length === b.length && timingSafeEqual(a, b)
}
