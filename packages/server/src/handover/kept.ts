import type { KeptThing } from '@pebblestrand/core/handover'
import { dateFormat, spokenLanguage } from '@pebblestrand/core/words'
import { QueryTypes } from 'sequelize'
import { agencyName } from '../accounts/setup'
import { answersForClient } from '../forms/client-answers'
import type { Context } from '../platform/context'
import { addressOf } from '../sites/address'
import { Site } from '../sites/models'
import { Sheet } from '../sheets/models'

interface Row {
  widget: string
  page: string
  path: string
  region: KeptThing['region']
  since: Date | null
  seenAt: Date | null
}

/** What stands on a site for its visitors; nothing that is only planned, and no fault. */
const standing = `
SELECT w.name AS widget, p.title AS page, p.path, pl.region, coalesce(i.pasted_at, i.confirmed_at) AS "since",
  (SELECT max(c.finished_at) FROM checks c WHERE c.install_id = i.id AND c.status_after = 'confirmed') AS "seenAt"
FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id LEFT JOIN placements pl ON pl.id = i.placement_id
WHERE p.site_id = :siteId AND i.confirmed_at IS NOT NULL AND i.status IN ('confirmed', 'needs-a-hand') AND w.kind <> 'site-tag'
ORDER BY p.position, p.path, i.planned_at LIMIT 300`

/** What a client's own page shows. */
export async function readKept(context: Context, sheet: Sheet) {
  const site = (await Site.findByPk(sheet.siteId))!
  const language = spokenLanguage(sheet.language)
  const date = dateFormat(language.tag, { dateStyle: 'medium', timeZone: site.timeZone })
  const rows = await Sheet.sequelize!.query<Row>(standing, {
    replacements: { siteId: site.id },
    type: QueryTypes.SELECT,
  })
  const said = (at: Date | null) => (at ? date.format(at) : null)
  return {
    language,
    agency: await agencyName(),
    site: site.name,
    ends: said(sheet.endsAt)!,
    answers: await answersForClient(context, site, language.tag),
    things: rows.map(({ widget, page, path, region, since, seenAt }): KeptThing => ({
      widget,
      page,
      url: path.includes('*') ? null : addressOf({ origin: site.origin, path }),
      region,
      since: said(since),
      lastSeen: said(seenAt),
    })),
  }
}
