import type { FastifyReply, FastifyRequest } from 'fastify'
import { deskPaths } from '../desk/paths'
import type { Store } from '../state/store'
import { fontFiles } from './fonts'
import { pageHtml } from './page'
import { drawShore } from '../drawing/shore'
import { isPreview } from './preview'
import type { Site } from './site'
import { robots, siteMap } from './site-map'
import { styleSheet } from './style'
import { containerScript } from '../platforms/tag-manager'
import { platformOf } from '../platforms/list'
import { withoutLoading } from './without-loading'

/** Answers a visitor of a client site: files, trouble, the page cache, the page. */
export function serveSite(
  site: Site,
  store: Store,
  request: FastifyRequest,
  reply: FastifyReply,
): FastifyReply | Promise<FastifyReply> {
  const url = new URL(request.url, 'http://site.invalid')
  const path = url.pathname === '/' ? '/' : url.pathname.replace(/\/+$/, '')
  if (path === '/style.css' || path === platformOf(site).styleSheet)
    return file(reply, 'text/css; charset=utf-8', styleSheet(site))
  if (path === '/picture.svg') return file(reply, 'image/svg+xml', drawShore(site.host))
  if (path === '/robots.txt') return file(reply, 'text/plain; charset=utf-8', robots(site, request))
  if (path === '/sitemap.xml') return file(reply, 'application/xml; charset=utf-8', siteMap(site, request))
  if (path.startsWith('/fonts/')) return font(reply, path.slice('/fonts/'.length))
  if (path === '/site/without-loading.js') return file(reply, 'text/javascript; charset=utf-8', withoutLoading)
  if (path === '/container.js' && platformOf(site).boxes.tag) return container(site, store, request, reply)
  return servePage(site, store, request, reply, path, url.search)
}

function file(reply: FastifyReply, type: string, body: string | Buffer): FastifyReply {
  return reply
    .header('content-type', type)
    .header('access-control-allow-origin', '*')
    .header('cache-control', 'public, max-age=3600')
    .send(body)
}

function font(reply: FastifyReply, name: string): FastifyReply {
  const bytes = fontFiles.get(name)
  return bytes ? file(reply, 'font/woff2', bytes) : reply.code(404).send('no such font')
}

/** What the container brings: the version that was sent out, to its signed-in editors the one they work on. */
function container(site: Site, store: Store, request: FastifyRequest, reply: FastifyReply): FastifyReply {
  const { live, draft } = store.page(site.host, '*')!
  const tags = (store.knows(request.cookies.desk) ? draft : live).head?.tag ?? ''
  return reply
    .header('content-type', 'text/javascript; charset=utf-8')
    .header('cache-control', 'no-store')
    .send(containerScript(tags))
}

async function servePage(
  site: Site,
  store: Store,
  request: FastifyRequest,
  reply: FastifyReply,
  path: string,
  search: string,
): Promise<FastifyReply> {
  const page = site.pages.find((p) => p.path === path)
  const state = store.page(site.host, path)
  reply.header('content-type', 'text/html; charset=utf-8')
  if (!page || !state)
    return reply.code(404).send('<!DOCTYPE html><title>Not here</title><h1>This page is not here</h1>')
  if (state.trouble?.kind === 'moved') return reply.redirect(state.trouble.to, 301)
  if (state.trouble?.kind === 'error')
    return reply
      .code(state.trouble.status)
      .send('<!DOCTYPE html><title>Sorry</title><h1>Something is wrong at our end</h1>')
  const signedIn = store.knows(request.cookies.desk)
  if (state.trouble?.kind === 'wall' && !signedIn)
    return reply.redirect(`${deskPaths.signIn}?then=${encodeURIComponent(path)}`, 302)

  const settings = store.settings(site.host)
  for (const [name, value] of Object.entries(platformOf(site).headers?.(settings) ?? {})) reply.header(name, value)
  if (state.trouble?.kind === 'policy') reply.header('content-security-policy', state.trouble.policy)
  const shared = store.page(site.host, '*')!
  const lastModified = new Date(Math.max(Date.parse(state.publishedAt), Date.parse(shared.publishedAt))).toUTCString()
  const render = () =>
    pageHtml(
      site,
      page,
      { shared: shared.live, own: state.live },
      { deskPath: signedIn ? deskPaths.page(path) : null, isPreview: false, settings },
    )
  if (isPreview(site.host, path, new URLSearchParams(search).get('preview')))
    return reply
      .header('cache-control', 'private, no-store')
      .send(
        await pageHtml(
          site,
          page,
          { shared: shared.draft, own: state.draft },
          { deskPath: null, isPreview: true, settings },
        ),
      )
  if (signedIn) return reply.header('cache-control', 'private, no-store').send(await render())
  if (!site.cacheMinutes)
    return reply
      .header('cache-control', 'no-cache')
      .header('last-modified', lastModified)
      .send(await render())

  const key = `${site.host} ${path}${search}`
  const hit = store.cached(key, site.cacheMinutes)
  const stored = hit ?? { html: await render(), storedAt: Date.now(), lastModified }
  if (!hit) store.remember(key, stored)
  return reply
    .header('cache-control', `public, max-age=0, s-maxage=${site.cacheMinutes * 60}`)
    .header('age', String(Math.floor((Date.now() - stored.storedAt) / 1000)))
    .header('x-cache', hit ? 'hit' : 'miss')
    .header('last-modified', stored.lastModified)
    .send(stored.html)
}
