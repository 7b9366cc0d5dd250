import type { SiteRead } from '@pebblestrand/contract'
import { Op } from 'sequelize'
import { BrowserAway } from '../../platform/browser/pool'
import type { Context } from '../../platform/context'
import { isDatabaseAway, onceBack } from '../../platform/database/away'
import { job } from '../../platform/queue'
import { Site } from '../models'
import { SiteReading } from './models'
import { NotReadable, readSite } from './read-site'

/** Read what a site says of itself; each host takes its turns. */
export const readSiteJob = job<{ readingId: string; share: string }>('read-site')

/** Days for which a reading that no site was made of is kept. */
const KEPT = 7

/** Somebody stopped it meanwhile. */
class Stopped extends Error {}

export async function carryOutReading(context: Context, readingId: string): Promise<void> {
  const [taken] = await SiteReading.update(
    { state: 'running', done: 0, total: 0 },
    { where: { id: readingId, state: ['queued', 'running'] } },
  )
  if (!taken) return
  const { address, siteId } = (await SiteReading.findByPk(readingId, { attributes: ['address', 'siteId'] }))!
  /** Written only while nobody stopped it. */
  const note = async (change: Partial<SiteReading>) => {
    const [still] = await onceBack(() => SiteReading.update(change, { where: { id: readingId, state: 'running' } }))
    if (!still) throw new Stopped()
  }
  try {
    const found = await readSite(context, address, (step, done, total) => note({ step, done, total }))
    await note({
      picture: found.picture,
      read: await withDoubles(found.read, siteId),
      state: 'done',
      finishedAt: new Date(),
    })
  } catch (error) {
    if (error instanceof Stopped) return
    // What is cut off by the end of its worker comes again with its job.
    if (isDatabaseAway(error) || (error instanceof BrowserAway && error.closing)) throw error
    if (!(error instanceof NotReadable)) context.log.error(error)
    const problem = error instanceof NotReadable ? error.message : 'Something went wrong here while it was read.'
    await note({ state: 'failed', problem, finishedAt: new Date() }).catch(() => {})
  }
}

/** Says where else the site is kept already. */
async function withDoubles(read: SiteRead, siteId: string | null): Promise<SiteRead> {
  const there = await Site.findAll({
    where: { origin: read.origin, ...(siteId ? { id: { [Op.ne]: siteId } } : {}) },
    attributes: ['name'],
    order: ['name'],
    limit: 3,
  })
  const notes = there.map(({ name }) => `${name} is kept at this address already.`)
  return { ...read, notes: [...read.notes, ...notes] }
}

/** Forgets readings that came to nothing, and of each site's all but the newest. */
export async function forgetReadings({ db }: Context): Promise<void> {
  await SiteReading.destroy({
    where: { siteId: null, askedAt: { [Op.lt]: new Date(Date.now() - KEPT * 86_400_000) } },
  })
  await db.query(
    `DELETE FROM site_readings r USING site_readings newer
WHERE r.site_id = newer.site_id AND newer.state = 'done' AND newer.asked_at > r.asked_at AND r.state NOT IN ('queued', 'running')`,
  )
}
