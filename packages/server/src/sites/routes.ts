import { routes } from '@pebblestrand/contract'
import type { SiteLook } from '@pebblestrand/core/look'
import { col, fn, QueryTypes, where, type Sequelize, type Transaction } from 'sequelize'
import { record } from '../activity/record'
import { recomputeFor } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { literally } from '../platform/database/like'
import { AppError } from '../platform/errors'
import { paged } from '../platform/http/paging'
import type { Serve } from '../platform/http/serve'
import { platformNames, requirePlatform } from '../profiles/profile-of'
import { keepSiteList } from '../artefacts/site-list'
import { describeSite } from './describe-site'
import { addPages, keepRooms, tieReading, type KeptRoom } from './keep-read'
import { Client, Page, Placement, Site } from './models'
import { allPlaces, listSites } from './queries'
import { requireReachable } from './reachable'
import { requireSelector } from './selector'
import { usualPlacements } from './usual-placements'

const assumed: KeptRoom[] = usualPlacements.map((room) => ({ ...room, known: 'assumed' }))

export function siteRoutes(serve: Serve, context: Context): void {
  const { db, config } = context

  serve(routes.sites.list, async ({ query }) => {
    const { rows: shown, ...page } = await paged(query, (window) =>
      db.query<{ total: number; platform: string }>(listSites(query.order), {
        replacements: { q: literally(query.q), ...window },
        type: QueryTypes.SELECT,
      }),
    )
    const nameOf = await platformNames()
    return {
      rows: shown.map((row) => ({ ...row, platform: nameOf(row.platform) })) as never,
      ...page,
    }
  })

  serve(routes.sites.add, async ({ body: { client, readingId, pages, rooms, ...wanted }, userId }) => {
    requireReachable(config, wanted.origin, 'origin')
    await requirePlatform(wanted.platform, null)
    const site = await db.transaction(async (transaction) => {
      const clientId = await clientByName(db, client, transaction)
      const made = await Site.create({ ...wanted, clientId, keeperId: userId }, { transaction })
      await addPages(made.id, pages?.length ? pages : [{ title: 'Home', path: '/' }], transaction)
      await keepRooms(context, made.id, rooms ?? assumed, transaction)
      if (readingId) await tieReading(readingId, made.id, transaction)
      await record('site-added', { userId, siteId: made.id }, transaction)
      return made
    })
    return { id: site.id }
  })

  serve(routes.sites.read, ({ params }) => describeSite(db, params.id))

  serve(routes.sites.change, async ({ params, body: { look, credited, ...change } }) => {
    const site = await found(Site.findByPk(params.id))
    if (change.origin) requireReachable(config, change.origin, 'origin')
    if (change.platform) await requirePlatform(change.platform, site.id)
    const { timeZone, language } = site
    await db.transaction(async (transaction) => {
      await site.update({ ...change, ...(look === undefined ? {} : noted(site, look)) }, { transaction })
      const isSeen = look !== undefined || site.timeZone !== timeZone || site.language !== language
      if (isSeen) await recomputeFor(context, 'site', site.id, transaction)
      if (credited !== undefined) await creditClient(context, site.clientId, credited, transaction)
    })
    return describeSite(db, site.id)
  })

  serve(routes.sites.take, async ({ params, body: { readingId, pages, rooms, ...facts }, userId }) => {
    const site = await found(Site.findByPk(params.id))
    if (facts.platform) await requirePlatform(facts.platform, site.id)
    await db.transaction(async (transaction) => {
      const { language } = site
      await site.update(facts, { transaction })
      if (site.language !== language) await recomputeFor(context, 'site', site.id, transaction)
      await addPages(site.id, pages, transaction)
      await keepRooms(context, site.id, rooms, transaction)
      await tieReading(readingId, site.id, transaction)
      await record('site-read', { userId, siteId: site.id }, transaction)
    })
    return describeSite(db, site.id)
  })

  serve(routes.sites.addPage, async ({ params, body: wanted, userId }) => {
    const site = await found(Site.findByPk(params.id))
    if (wanted.previewUrl) requireReachable(config, wanted.previewUrl, 'previewUrl')
    const page = await db.transaction(async (transaction) => {
      const position = await Page.count({ where: { siteId: site.id }, transaction })
      const made = await Page.create({ ...wanted, siteId: site.id, position }, { transaction })
      await record('page-added', { userId, siteId: site.id, data: { path: made.path } }, transaction)
      return made
    })
    return { id: page.id }
  })

  serve(routes.sites.changePage, async ({ params, body: change, userId }) => {
    const page = await found(Page.findByPk(params.id))
    if (change.previewUrl) requireReachable(config, change.previewUrl, 'previewUrl')
    const before = page.path
    await db.transaction(async (transaction) => {
      await page.update(change, { transaction })
      if (page.path !== before) await keepSiteList(context, page.siteId, transaction)
      if (page.path !== before)
        await record('page-moved', { userId, siteId: page.siteId, data: { before, path: page.path } }, transaction)
    })
    return describeSite(db, page.siteId)
  })

  serve(routes.sites.addPlacement, async ({ params, body: wanted }) => {
    const site = await found(Site.findByPk(params.id))
    requireSelector(wanted.selector)
    if (wanted.pageId && !(await Page.count({ where: { id: wanted.pageId, siteId: site.id } })))
      throw new AppError('not-found')
    const position = await Placement.count({ where: { siteId: site.id } })
    const placement = await Placement.create({ ...wanted, siteId: site.id, position })
    return { id: placement.id }
  })

  serve(routes.sites.changePlacement, async ({ params, body: change }) => {
    const placement = await found(Placement.findByPk(params.id))
    requireSelector(change.selector)
    const { width: before, selector } = placement
    // Whoever writes a width knows it, unless a browser saw just that; one that stays is known as it was.
    const known = change.width === placement.widthSeen ? ('read' as const) : ('noted' as const)
    const noted = change.width === undefined || change.width === before ? {} : { known, widthSeen: null }
    await db.transaction(async (transaction) => {
      await placement.update({ ...change, ...noted }, { transaction })
      if (placement.selector !== selector) await keepSiteList(context, placement.siteId, transaction)
      if (placement.width !== before) await recomputeFor(context, 'placement', placement.id, transaction)
    })
    return describeSite(db, placement.siteId)
  })

  serve(routes.sites.places, async ({ query }) => {
    const q = literally(query.q).split(/\s+/).join('%')
    return paged(query, (window) =>
      db.query<{ total: number }>(allPlaces, {
        replacements: { q, id: query.id ?? null, ...window },
        type: QueryTypes.SELECT,
      }),
    ) as never
  })
}

/** Font files that were found before stay with the look. */
const noted = (site: Site, look: Omit<SiteLook, 'fontFaces'> | null) => ({
  look: look && { ...look, fontFaces: site.look?.fontFaces ?? [] },
  lookedAt: look && new Date(),
})

/** The agency's line below whatever is installed for a client, on all of its sites. */
async function creditClient(
  context: Context,
  clientId: string,
  credited: boolean,
  transaction: Transaction,
): Promise<void> {
  const [changed] = await Client.update({ credited }, { where: { id: clientId, credited: !credited }, transaction })
  if (changed) await recomputeFor(context, 'client', clientId, transaction)
}

async function clientByName(db: Sequelize, name: string, transaction: Transaction): Promise<string> {
  // Several sites of one new client may come at once: one makes it, the others find it.
  await db.query('INSERT INTO clients (name) VALUES (:name) ON CONFLICT (lower(name)) DO NOTHING', {
    replacements: { name },
    transaction,
  })
  const there = await Client.findOne({ where: where(fn('lower', col('name')), name.toLowerCase()), transaction })
  return there!.id
}

async function found<T>(promise: Promise<T | null>): Promise<T> {
  const row = await promise
  if (!row) throw new AppError('not-found')
  return row
}
