import type { Context } from '../../platform/context'
import { readSiteJob } from './job'
import { SiteReading } from './models'

/** Asks for a site to be read; gives the reading's id. */
export function queueReading(
  { db, queue }: Context,
  wanted: { address: string; siteId: string | null; askedBy: string | null },
): Promise<string> {
  return db.transaction(async (transaction) => {
    const reading = await SiteReading.create(wanted, { transaction })
    const share = new URL(wanted.address).host
    await queue.sendMany(readSiteJob, [{ readingId: reading.id, share }], transaction)
    return reading.id
  })
}
