import { isDeepStrictEqual } from 'node:util'
import { lookChanges, lookFrom, type LookSamples } from '@pebblestrand/core/site-look'
import { record } from '../../activity/record'
import type { Context } from '../../platform/context'
import { Page, Site } from '../models'

/** A piece of a site's look that is not as it is noted; `kept`: somebody has seen that, and keeps what is noted. */
export interface NotedChange {
  piece: string
  before: string
  after: string
  kept?: boolean
}

/** After a browser's look at a page: notes what of the site's look is no longer as it is noted, and tells it once. */
export async function noteLookChanges(
  { db }: Pick<Context, 'db'>,
  pageId: string,
  samples: LookSamples,
): Promise<void> {
  const page = await Page.findByPk(pageId, { attributes: ['siteId'] })
  if (!page) return
  await db.transaction(async (transaction) => {
    const site = await Site.findByPk(page.siteId, { transaction, lock: transaction.LOCK.UPDATE })
    if (!site?.look) return
    const found = lookChanges(site.look, lookFrom(samples)).map((change): NotedChange => {
      const isKept = site.lookChanges.some(
        (one) => one.kept && one.piece === change.piece && one.after === change.after,
      )
      return isKept ? { ...change, kept: true } : change
    })
    if (isDeepStrictEqual(found, site.lookChanges)) return
    const isNews = found.some(
      ({ piece, after }) => !site.lookChanges.some((one) => one.piece === piece && one.after === after),
    )
    await site.update({ lookChanges: found }, { transaction })
    if (isNews)
      await record('look-changed', { siteId: site.id, data: { pieces: found.map(({ piece }) => piece) } }, transaction)
  })
}
