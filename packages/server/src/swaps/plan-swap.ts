import { Op } from 'sequelize'
import { record } from '../activity/record'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { Page, Site } from '../sites/models'
import { Release, Widget } from '../widgets/models'
import { PlannedSwap } from './models'
import { momentIn } from './times'

export interface WantedSwap {
  widgetId: string
  from: string
  until?: string | null | undefined
}

const fault = (field: string, message: string) =>
  new AppError('invalid', { message: `${field}: ${message}.`, issues: [{ field, message }] })

/** Notes a swap for a time, in the site's own time zone. */
export async function planSwap(
  { db }: Pick<Context, 'db'>,
  installId: string,
  { widgetId, from, until }: WantedSwap,
  userId: string | null,
  now = new Date(),
): Promise<void> {
  const install = await Install.findByPk(installId)
  if (!install) throw new AppError('not-found')
  if (install.status === 'retired' || install.retiring) throw new AppError('cannot-now')
  const page = (await Page.findByPk(install.pageId, { include: Site }))!
  const widget = await Widget.findByPk(widgetId)
  if (!widget) throw new AppError('not-found')
  if (!(await Release.count({ where: { widgetId } }))) throw new AppError('not-published')
  if (widgetId === install.widgetId) throw fault('widgetId', 'stands there already')
  const fromAt = momentIn(from, page.Site!.timeZone, 'from')
  const untilAt = until ? momentIn(until, page.Site!.timeZone, 'until') : null
  if (untilAt && untilAt <= fromAt) throw fault('until', 'must be later than when it begins')
  if (untilAt && untilAt <= now) throw fault('until', 'is over already')
  await db.transaction(async (transaction) => {
    await install.reload({ transaction, lock: transaction.LOCK.UPDATE })
    await requireFree(installId, fromAt, untilAt)
    await PlannedSwap.create({ installId, widgetId, fromAt, untilAt, plannedBy: userId }, { transaction })
    const data = { after: widget.name, from: fromAt.toISOString(), until: untilAt?.toISOString() ?? null }
    await record('swap-planned', { userId, installId, data }, transaction)
  })
}

/** Two swaps of one install are never on at once. */
async function requireFree(installId: string, fromAt: Date, untilAt: Date | null): Promise<void> {
  const other = await PlannedSwap.findOne({
    where: {
      installId,
      state: ['planned', 'on'],
      ...(untilAt ? { fromAt: { [Op.lt]: untilAt } } : {}),
      [Op.or]: [{ untilAt: null }, { untilAt: { [Op.gt]: fromAt } }],
    },
  })
  if (other) throw fault('from', 'falls into another swap that is planned here: drop that one first')
}

/** Drops one that is planned. One that has begun stays as it is, and does not end by itself any more. */
export async function dropSwap({ db }: Pick<Context, 'db'>, installId: string, swapId: string, userId: string | null) {
  const swap = await PlannedSwap.findOne({ where: { id: swapId, installId } })
  if (!swap) throw new AppError('not-found')
  await db.transaction(async (transaction) => {
    await swap.destroy({ transaction })
    await record('swap-dropped', { userId, installId, data: {} }, transaction)
  })
}
