import { SITE_TAG } from '@pebblestrand/contract'
import type { InstallStatus } from '@pebblestrand/core/verify/words'
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'

/** What it is called, in the register and in its snippet. */
export const SITE_TAG_NAME = 'Site tag'

export interface SiteTag {
  id: string
  publicId: string
  status: InstallStatus
}

const tagsOfSites = `
SELECT p.site_id AS "siteId", i.id, i.public_id AS "publicId", i.status
FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id
WHERE p.site_id IN (:siteIds) AND w.kind = '${SITE_TAG}' AND i.status <> 'retired' AND NOT i.retiring`

/** The living installs of sites' tags, by site; a site where none is planned has none. */
export async function tagsOf(
  db: Sequelize,
  siteIds: readonly string[],
  transaction?: Transaction,
): Promise<Map<string, SiteTag>> {
  if (!siteIds.length) return new Map()
  const rows = await db.query<SiteTag & { siteId: string }>(tagsOfSites, {
    replacements: { siteIds },
    type: QueryTypes.SELECT,
    transaction,
  })
  return new Map(rows.map(({ siteId, ...tag }) => [siteId, tag]))
}

/** The living install of a site's tag; null where none is planned. */
export const tagOf = async (db: Sequelize, siteId: string, transaction?: Transaction): Promise<SiteTag | null> =>
  (await tagsOf(db, [siteId], transaction)).get(siteId) ?? null

/** How far a site's tag has come, as advice wants it. */
export const standingOf = (tag: SiteTag | null): 'none' | 'planned' | 'confirmed' =>
  !tag ? 'none' : tag.status === 'confirmed' ? 'confirmed' : 'planned'
