import type { SiteLook } from '@pebblestrand/core/look'
import { profiles } from '@pebblestrand/core/snippet'
import type { FastifyInstance } from 'fastify'
import { col, fn, QueryTypes, where, type Transaction } from 'sequelize'
import { z } from 'zod'
import { userOf } from '../accounts/guard'
import { record } from '../activity/record'
import { recomputeForPlacement, recomputeForSite } from '../delivery/compute'
import type { Context } from '../platform/context'
import { literally } from '../platform/database/like'
import { AppError } from '../platform/errors'
import { IdParams, paged, Paging, windowOf } from '../platform/http/paging'
import { parse } from '../platform/http/parse'
import { refusalOf } from '../platform/outbound/refusal'
import { describeSite } from './describe-site'
import { Client, Page, Placement, Site } from './models'
import { listSites, siteOrders } from './queries'
import { NewPage, NewPlacement, NewSite, PageChange, PlacementChange, SiteChange } from './schemas'
import { requireSelector } from './selector'

const Listing = Paging.extend({
  q: z.string().trim().max(100).default(''),
  order: z.enum(Object.keys(siteOrders) as [keyof typeof siteOrders, ...(keyof typeof siteOrders)[]]).default('name'),
})

/** What most pages have; a new site begins with these, shared by all its pages. */
const usualPlacements = [
  { name: 'header', region: 'header', width: 1280 },
  { name: 'main', region: 'main', width: 720 },
  { name: 'sidebar', region: 'sidebar', width: 300 },
  { name: 'footer', region: 'footer', width: 1280 },
] as const

export function siteRoutes(app: FastifyInstance, context: Context): void {
  const { db, config } = context

  const requireReachable = (origin: string) => {
    const refusal = refusalOf(origin, { localhostNames: config.demo })
    if (refusal)
      throw new AppError('address-refused', { message: refusal, issues: [{ field: 'origin', message: refusal }] })
  }

  app.get('/api/platforms', () => ({
    rows: Object.values(profiles).map(({ id, name, words }) => ({ id, name, words })),
  }))

  app.get('/api/sites', async (request) => {
    const query = parse(Listing, request.query)
    const rows = await db.query<{ total: number; platform: string }>(listSites(query.order), {
      replacements: { q: literally(query.q), ...windowOf(query) },
      type: QueryTypes.SELECT,
    })
    const { rows: shown, ...page } = paged(rows, query)
    return { rows: shown.map((row) => ({ ...row, platform: profiles[row.platform]?.name ?? row.platform })), ...page }
  })

  app.post('/api/sites', async (request) => {
    const { client, ...wanted } = parse(NewSite, request.body)
    requireReachable(wanted.origin)
    const userId = userOf(request).id
    const site = await db.transaction(async (transaction) => {
      const clientId = await clientByName(client, transaction)
      const made = await Site.create({ ...wanted, clientId, keeperId: userId }, { transaction })
      await Page.create({ siteId: made.id, title: 'Home', path: '/' }, { transaction })
      await Placement.bulkCreate(
        usualPlacements.map((p, position) => ({ ...p, siteId: made.id, position })),
        { transaction },
      )
      await record('site-added', { userId, siteId: made.id }, transaction)
      return made
    })
    return { id: site.id }
  })

  app.get('/api/sites/:id', async (request) => describeSite(db, parse(IdParams, request.params).id))

  app.patch('/api/sites/:id', async (request) => {
    const site = await found(Site.findByPk(parse(IdParams, request.params).id))
    const { look, ...change } = parse(SiteChange, request.body)
    if (change.origin) requireReachable(change.origin)
    await site.update({ ...change, ...(look === undefined ? {} : noted(site, look)) })
    if (look !== undefined) await recomputeForSite(context, site.id)
    return describeSite(db, site.id)
  })

  app.post('/api/sites/:id/pages', async (request) => {
    const site = await found(Site.findByPk(parse(IdParams, request.params).id))
    const wanted = parse(NewPage, request.body)
    const page = await db.transaction(async (transaction) => {
      const position = await Page.count({ where: { siteId: site.id }, transaction })
      const made = await Page.create({ ...wanted, siteId: site.id, position }, { transaction })
      await record(
        'page-added',
        { userId: userOf(request).id, siteId: site.id, data: { path: made.path } },
        transaction,
      )
      return made
    })
    return { id: page.id }
  })

  app.patch('/api/pages/:id', async (request) => {
    const page = await found(Page.findByPk(parse(IdParams, request.params).id))
    const change = parse(PageChange, request.body)
    const before = page.path
    await db.transaction(async (transaction) => {
      await page.update(change, { transaction })
      if (page.path !== before)
        await record(
          'page-moved',
          { userId: userOf(request).id, siteId: page.siteId, data: { before, path: page.path } },
          transaction,
        )
    })
    return describeSite(db, page.siteId)
  })

  app.post('/api/sites/:id/placements', async (request) => {
    const site = await found(Site.findByPk(parse(IdParams, request.params).id))
    const wanted = parse(NewPlacement, request.body)
    requireSelector(wanted.selector)
    if (wanted.pageId && !(await Page.count({ where: { id: wanted.pageId, siteId: site.id } })))
      throw new AppError('not-found')
    const position = await Placement.count({ where: { siteId: site.id } })
    const placement = await Placement.create({ ...wanted, siteId: site.id, position })
    return { id: placement.id }
  })

  app.patch('/api/placements/:id', async (request) => {
    const placement = await found(Placement.findByPk(parse(IdParams, request.params).id))
    const change = parse(PlacementChange, request.body)
    requireSelector(change.selector)
    const before = placement.width
    await placement.update(change)
    if (placement.width !== before) await recomputeForPlacement(context, placement.id)
    return describeSite(db, placement.siteId)
  })
}

/** Font files that were found before stay with the look. */
const noted = (site: Site, look: Omit<SiteLook, 'fontFaces'> | null) => ({
  look: look && { ...look, fontFaces: site.look?.fontFaces ?? [] },
  lookedAt: look && new Date(),
})

async function clientByName(name: string, transaction: Transaction): Promise<string> {
  const there = await Client.findOne({ where: where(fn('lower', col('name')), name.toLowerCase()), transaction })
  return (there ?? (await Client.create({ name }, { transaction }))).id
}

async function found<T>(promise: Promise<T | null>): Promise<T> {
  const row = await promise
  if (!row) throw new AppError('not-found')
  return row
}
