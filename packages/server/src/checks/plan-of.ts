import { profiles } from '@pebblestrand/core/snippet'
import { Plan } from '@pebblestrand/core/verify'
import { QueryTypes } from 'sequelize'
import type { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Page, Placement, Site } from '../sites/models'
import { addressOf } from '../installs/describe'

/** Names of the site's other living installs; `here`: planned for the same placement, on this page or on a pattern of pages. */
const othersOnSite = `
SELECT i.public_id AS install, w.name, (i.placement_id = :placementId) AS here
FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id
WHERE p.site_id = :siteId AND i.id <> :installId AND i.status <> 'retired' LIMIT 2000`

/** What the register says of an install, as the verifier wants it. */
export async function planOf({ db, config }: Context, install: Install): Promise<{ plan: Plan; url: string }> {
  const [page, placement] = await Promise.all([
    Page.findByPk(install.pageId, { include: Site }),
    Placement.findByPk(install.placementId),
  ])
  const site = page!.Site!
  const url = addressOf({ origin: site.origin, path: page!.path })
  const others = await db.query(othersOnSite, {
    replacements: { placementId: placement!.id, siteId: site.id, installId: install.id },
    type: QueryTypes.SELECT,
  })
  const plan = Plan.parse({
    install: install.publicId,
    origin: config.origin,
    method: install.method,
    placement: { region: placement!.region, selector: placement!.selector, width: placement!.width },
    url,
    status: install.status,
    pastedAt: install.pastedAt?.toISOString() ?? null,
    baseline: install.confirmedAt ? null : install.baseline, // once it was there, an unchanged page says nothing about publishing
    others,
    retiring: install.retiring,
    words: profiles[site.platform]?.words ?? {},
  })
  return { plan, url }
}
