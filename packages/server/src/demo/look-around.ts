import { Check } from '../findings/models'
import { browserLookJob, looksAt } from '../findings/queue-check'
import type { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Site } from '../sites/models'
import { queueReading } from '../sites/reading/queue-reading'

/** What of the demo only a browser sees, asked for once this server answers the pages that are looked at. Nobody waits for it. */
export async function lookAround(context: Context, told: readonly Install[]): Promise<void> {
  const { browser, db, queue } = context
  if (!browser || !told.length) return
  await db.transaction(async (transaction) => {
    await Check.bulkCreate(
      told.map(({ id }) => ({ installId: id, cause: 'sight' as const })),
      { transaction },
    )
    const pages = await looksAt(
      told.map(({ pageId }) => pageId),
      transaction,
    )
    await queue.sendMany(browserLookJob, pages, transaction)
  })
  const site = await Site.findOne({ where: { name: 'Gullhaven Ferries' } })
  if (site) await queueReading(context, { address: site.origin, siteId: site.id, askedBy: null })
}
