import type { FastifyInstance, FastifyRequest } from 'fastify'
import { z } from 'zod'
import type { Grants } from '../accounts/grants'
import type { Trouble as Outages } from '../accounts/limits'
import { fontSources } from '../sites/fonts'
import { sites } from '../sites/list'
import { previewPath } from '../sites/preview'
import type { Site } from '../sites/site'
import type { Store } from '../state/store'

const Trouble = z.object({
  path: z.string(),
  trouble: z
    .discriminatedUnion('kind', [
      z.object({ kind: z.literal('moved'), to: z.string() }),
      z.object({ kind: z.literal('error'), status: z.number().int().min(400).max(599) }),
      z.object({ kind: z.literal('wall') }),
      z.object({ kind: z.literal('policy'), policy: z.string() }),
    ])
    .nullable(),
})

const ServiceTrouble = z.object({
  outage: z.boolean().optional(),
  tokens: z.enum(['expired', 'all gone']).optional(),
  quota: z.object({ requests: z.number().int().min(0), seconds: z.number().min(0.1) }).optional(),
})

/** What only demo data and tests need: bring a page into trouble, and put everything back. Answers on loopback only, as all stand-ins do. */
export function controlRoutes(
  app: FastifyInstance,
  store: Store,
  siteOf: (request: FastifyRequest) => Site | undefined,
): void {
  app.post('/standins/trouble', (request, reply) => {
    const site = siteOf(request)
    const { path, trouble } = Trouble.parse(request.body)
    if (!site || !store.page(site.host, path)) return reply.code(404).send({ error: 'no such page' })
    store.change(site.host, path, (page) => {
      page.trouble = trouble
    })
    return { done: true }
  })

  /** A service's trouble: an outage, tokens that have run out, how often it may be asked. */
  const services = {
    voices: (edit: (state: Grants & Outages) => void) => store.changeVoices(edit),
    frames: (edit: (state: Grants & Outages) => void) => store.changeFrames(edit),
  }
  app.post('/standins/films', (request) => {
    const { outage } = ServiceTrouble.parse(request.body)
    store.changeFilms((state) => void (state.outage = outage ?? state.outage))
    return { done: true }
  })

  for (const [name, change] of Object.entries(services))
    app.post(`/standins/${name}`, (request) => {
      const { outage, tokens, quota } = ServiceTrouble.parse(request.body)
      change((state) => {
        if (outage !== undefined) state.outage = outage
        if (quota) state.quota = quota
        if (tokens) state.access = {}
        if (tokens === 'all gone') state.refresh = {}
      })
      return { done: true }
    })

  app.post('/standins/reset', () => {
    store.reset()
    return { done: true }
  })

  /** What there is, as an agency that keeps these sites would know it. */
  app.get('/standins/sites', () => ({
    sites: sites.map(({ host, name, platform, cacheMinutes, pages, theme }) => ({
      host,
      name,
      platform,
      cacheMinutes,
      pages: pages.map(({ path, title }) => ({ path, title, preview: previewPath(host, path) })),
      theme,
      fonts: fontSources(theme),
    })),
  }))

  app.get('/standins/health', () => ({ status: 'ok' }))
}
