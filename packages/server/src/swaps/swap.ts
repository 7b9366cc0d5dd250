import { kindOf } from '@pebblestrand/core/kinds'
import { UniqueConstraintError, type Transaction } from 'sequelize'
import { record } from '../activity/record'
import { recomputeAfter, type Pending } from '../artefacts/queue-recompute'
import { lockStored } from '../artefacts/rendering-order'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { settingsOf } from '../widgets/draft'
import { Release, Widget } from '../widgets/models'

/** The same by a person, who sees it at once. */
export async function swapNow(context: Context, installId: string, widgetId: string, userId: string): Promise<void> {
  const pending = await context.db.transaction((transaction) =>
    swapInstall(context, installId, widgetId, userId, transaction),
  )
  await context.renderNow(context, pending)
}

/**
 * Exchanges an install's widget. Its address on the client's page stays, so what is pasted there shows the other one at once. A
 * release it was held at is forgotten: that was one of the widget before.
 */
export async function swapInstall(
  context: Context,
  installId: string,
  widgetId: string,
  userId: string | null,
  transaction: Transaction,
): Promise<Pending> {
  const install = await Install.findByPk(installId, { transaction, lock: transaction.LOCK.UPDATE })
  if (!install) throw new AppError('not-found')
  if (install.status === 'retired' || install.retiring) throw new AppError('cannot-now')
  const next = await Widget.findByPk(widgetId, { transaction })
  const before = await Widget.findByPk(install.widgetId, { transaction })
  if (!next || !before) throw new AppError('not-found')
  if (next.id === before.id) throw invalid('stands there already')
  await requireSamePlace(install, next, transaction)
  // In one order whoever swaps: nobody waits for each other.
  for (const id of [before.id, next.id].sort()) await lockStored(context, id, transaction)
  await moveTo(install, next.id, transaction)
  const data = { before: before.name, after: next.name }
  await record('swapped', { userId, installId: install.id, data }, transaction)
  return recomputeAfter(context, next.id, { installIds: [install.id] }, transaction)
}

const invalid = (message: string) =>
  new AppError('invalid', { message: `widgetId: ${message}.`, issues: [{ field: 'widgetId', message }] })

/** What stands over the page needs no placement, and what stands in one needs it. */
async function requireSamePlace(install: Install, next: Widget, transaction: Transaction): Promise<void> {
  const release = await Release.findOne({
    where: { widgetId: next.id },
    order: [['number', 'DESC']],
    transaction,
  })
  if (!release) throw new AppError('not-published')
  const overPage = kindOf(next.kind)?.presence?.(settingsOf(next.kind, release))?.overPage ?? false
  if (overPage && install.placementId) throw invalid('stands over the page, and this install has a placement')
  if (!overPage && !install.placementId) throw invalid('stands in a placement, and this install is over the page')
}

async function moveTo(install: Install, widgetId: string, transaction: Transaction): Promise<void> {
  try {
    await install.update({ widgetId, swappedFrom: install.widgetId, heldRelease: null }, { transaction })
  } catch (error) {
    if (error instanceof UniqueConstraintError) throw invalid('stands in this placement already, by another install')
    throw error
  }
}
