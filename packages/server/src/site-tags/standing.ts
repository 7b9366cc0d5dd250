import { SITE_TAG } from '@pebblestrand/contract'
import { QueryTypes, type Transaction } from 'sequelize'
import { Install } from '../installs/models'

/** What it is called, in the register and in its snippet. */
export const SITE_TAG_NAME = 'Site tag'

export interface SiteTag {
  id: string
  publicId: string
  status: Install['status']
}

const tagOfSite = `
SELECT i.id, i.public_id AS "publicId", i.status FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id
WHERE p.site_id = :siteId AND w.kind = '${SITE_TAG}' AND i.status <> 'retired' AND NOT i.retiring LIMIT 1`

/** The living install of a site's tag; null where none is planned. */
export async function tagOf(siteId: string, transaction?: Transaction): Promise<SiteTag | null> {
  const [tag] = await Install.sequelize!.query<SiteTag>(tagOfSite, {
    replacements: { siteId },
    type: QueryTypes.SELECT,
    transaction,
  })
  return tag ?? null
}

/** How far a site's tag has come, as advice wants it. */
export const standingOf = (tag: SiteTag | null): 'none' | 'planned' | 'confirmed' =>
  !tag ? 'none' : tag.status === 'confirmed' ? 'confirmed' : 'planned'
