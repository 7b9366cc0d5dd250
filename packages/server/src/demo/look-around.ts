import { queueCheck } from '../checks/queue-check'
import type { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Site } from '../sites/models'
import { queueReading } from '../sites/reading/queue-reading'

/** What of the demo only a browser sees, asked for once this server answers the pages that are looked at. */
export async function lookAround(context: Context, told: readonly Install[]): Promise<void> {
  if (!context.browser || !told.length) return
  for (const install of told) await queueCheck(context, install, 'person', null)
  const site = await Site.findOne({ where: { name: 'Gullhaven Ferries' } })
  if (site) await queueReading(context, { address: site.origin, siteId: site.id, askedBy: site.keeperId })
}
