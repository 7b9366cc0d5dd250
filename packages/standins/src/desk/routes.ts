import { randomBytes, timingSafeEqual } from 'node:crypto'
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify'
import { z } from 'zod'
import { regionNames, type Site } from '../sites/site'
import type { Content, Store } from '../state/store'
import { cachePage, editPage, listPage, signInPage } from './pages'
import { deskAccount, deskPaths } from './paths'
import { platformOf } from '../platforms/list'
import { keptBoxes } from '../sites/region-html'

/** A switch comes twice when it is on: what it is without, then that it is on. */
const Fields = z.record(
  z.string(),
  z.union([z.string(), z.array(z.string()).transform((all) => all.at(-1)!)]).pipe(z.string().max(100_000)),
)
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
      const { words } = platformOf(site)
      const said = done === 'save' ? words.saved : done === 'publish' ? words.published : null
      return state ? html(reply, editPage(site, path, state, said)) : reply.code(404).send('no such page')
    }),
  )

  app.post(
    '/desk/page',
    atDesk(async (site, request, reply) => {
      const { path } = Where.parse(request.query)
      if (!store.page(site.host, path)) return reply.code(404).send('no such page')
      const { do: action, ...fields } = Fields.parse(request.body)
      store.save(site.host, path, await keptContent(site, contentOf(fields)))
      const { publishing } = platformOf(site)
      const isPublished = action === 'publish' || publishing === 'at once'
      if (isPublished && publishing === 'by site') store.publishSite(site.host)
      else if (isPublished) store.publish(site.host, path)
      return reply.redirect(`${deskPaths.page(path)}&done=${isPublished ? 'publish' : 'save'}`, 303)
    }),
  )

  app.post(
    deskPaths.settings,
    atDesk((site, request, reply) => {
      const known = Object.keys(platformOf(site).settings ?? {})
      const fields = Object.entries(Fields.parse(request.body)).filter(([name]) => known.includes(name))
      store.set(site.host, Object.fromEntries(fields))
      return reply.redirect(`${deskPaths.cache}?done=set`, 303)
    }),
  )

  app.get(
    deskPaths.cache,
    atDesk((site, request, reply) => {
      const { done } = request.query as { done?: string }
      const { words } = platformOf(site)
      const said = done === undefined ? null : done === 'set' ? words.saved : words.cacheDone
      return html(reply, cachePage(site, said, store.settings(site.host)))
    }),
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
    const known = ([...regionNames, 'head'] as const).find((r) => r === region)
    if (known && box) content[known] = { ...content[known], [box]: text.replace(/\r\n/g, '\n') }
  }
  return content
}

/** Each box keeps what it keeps of what was typed into it. */
async function keptContent(site: Site, content: Content): Promise<Content> {
  const kept: Content = {}
  for (const [region, boxes] of Object.entries(content)) kept[region as keyof Content] = await keptBoxes(site, boxes)
  return kept
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
