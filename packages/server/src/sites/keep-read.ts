import type { PlacementKnown } from '@pebblestrand/contract'
import type { Region } from '@pebblestrand/core/platforms'
import type { Transaction } from 'sequelize'
import { recomputeFor } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { Page, Placement } from './models'
import { SiteReading } from './reading/models'

/** A room for widgets as it was read and corrected. */
export interface KeptRoom {
  placementId?: string | null
  name: string
  region: Region
  width: number
  widthTablet?: number | null
  widthPhone?: number | null
  known: PlacementKnown
  /** Paths of the pages it is on; null where most have it. */
  on?: string[] | null
}

/** Pages that a site has not yet, after those it has. */
export async function addPages(
  siteId: string,
  wanted: readonly { title: string; path: string }[],
  transaction: Transaction,
): Promise<void> {
  const there = await Page.findAll({ where: { siteId }, attributes: ['path'], transaction })
  const known = new Set(there.map(({ path }) => path))
  const fresh = wanted.filter(({ path }) => !known.has(path) && known.add(path))
  await Page.bulkCreate(
    fresh.map((page, at) => ({ ...page, siteId, position: there.length + at })),
    { transaction },
  )
}

/** Rooms as placements: those that correct one are written over it, the others are added, on each of their pages. */
export async function keepRooms(
  context: Context,
  siteId: string,
  rooms: readonly KeptRoom[],
  transaction: Transaction,
): Promise<void> {
  const pages = await Page.findAll({ where: { siteId }, attributes: ['id', 'path'], transaction })
  let position = await Placement.count({ where: { siteId }, transaction })
  for (const { placementId, on, region, name, ...widths } of rooms) {
    if (placementId) {
      const placement = await Placement.findOne({ where: { id: placementId, siteId }, transaction })
      if (!placement) throw new AppError('not-found')
      const before = placement.width
      await placement.update({ ...widths, widthSeen: null }, { transaction })
      if (placement.width !== before) await recomputeFor(context, 'placement', placement.id, transaction)
      continue
    }
    const where = on ? pages.filter(({ path }) => on.includes(path)).map(({ id }) => id) : [null]
    for (const pageId of where)
      await Placement.create({ ...widths, name, region, siteId, pageId, position: position++ }, { transaction })
  }
}

/** The reading that was taken over stays with the site; that of another site stays where it is. */
export const tieReading = (readingId: string, siteId: string, transaction: Transaction) =>
  SiteReading.update({ siteId }, { where: { id: readingId, siteId: null }, transaction })
