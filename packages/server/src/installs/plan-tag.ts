import { SITE_TAG } from '@pebblestrand/contract'
import { Op, type Transaction } from 'sequelize'
import { record } from '../activity/record'
import { queueCheck } from '../findings/queue-check'
import { Install } from './models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { publicId } from '../platform/ids'
import { Site } from '../sites/models'
import { wholeSite } from '../sites/whole-site'
import { Widget } from '../widgets/models'
import { keepSiteList } from '../artefacts/site-list'
import { SITE_TAG_NAME, tagOf } from '../artefacts/site-tag'

/** Plans the tag of a site: an install of its own, on every page. */
export async function planTag(context: Context, siteId: string, userId: string | null): Promise<Install> {
  if (!(await Site.count({ where: { id: siteId } }))) throw new AppError('not-found')
  const { tag, isNew } = await context.db.transaction((transaction) => ensureTag(context, siteId, userId, transaction))
  if (!isNew) throw new AppError('already-planned', { data: { installId: tag.id } })
  const install = (await Install.findByPk(tag.id))!
  await queueCheck(context, install, 'plan', userId)
  return install
}

/** The tag of a site, planned where there is none, kept where it was to go: whatever is brought by the tag needs one. */
export async function ensureTag(
  context: Context,
  siteId: string,
  userId: string | null,
  transaction: Transaction,
): Promise<{ tag: { id: string }; isNew: boolean }> {
  // One after the other: a site has one tag.
  await Site.findByPk(siteId, { attributes: ['id'], lock: transaction.LOCK.UPDATE, transaction })
  const there = await tagOf(context.db, siteId, transaction)
  if (there) return { tag: there, isNew: false }
  const where = { widgetId: await tagWidget(transaction), pageId: (await wholeSite(siteId, transaction)).id }
  const leaving = await Install.findOne({ where: { ...where, status: { [Op.ne]: 'retired' } }, transaction })
  await leaving?.update({ retiring: false }, { transaction })
  const made = { ...where, method: 'tag' as const, publicId: publicId(), plannedBy: userId }
  const tag = leaving ?? (await Install.create(made, { transaction }))
  await record(leaving ? 'kept' : 'planned', { userId, installId: tag.id }, transaction)
  await keepSiteList(context, siteId, transaction)
  return { tag, isNew: true }
}

/** What all tags stand for in the register; made where there is none yet. */
async function tagWidget(transaction: Transaction): Promise<string> {
  const [widget] = await Widget.findOrCreate({
    where: { kind: SITE_TAG },
    defaults: { kind: SITE_TAG, name: SITE_TAG_NAME, draft: {} },
    transaction,
  })
  return widget.id
}
