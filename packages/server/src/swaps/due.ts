import { Op, type Transaction } from 'sequelize'
import { record } from '../activity/record'
import type { Pending } from '../artefacts/queue-recompute'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { PlannedSwap } from './models'
import { swapInstall } from './swap'

/** Begins what is to begin by now, and ends what is to end; each by itself, so that one that cannot be does not hold up another. */
export async function swapWhatIsDue(context: Context, now = new Date()): Promise<void> {
  const over = await PlannedSwap.findAll({
    where: { state: 'on', untilAt: { [Op.lte]: now } },
    order: [['untilAt', 'ASC']],
  })
  for (const swap of over) await take(context, swap, end)
  const begun = await PlannedSwap.findAll({
    where: { state: 'planned', fromAt: { [Op.lte]: now } },
    order: [['fromAt', 'ASC']],
  })
  for (const swap of begun) await take(context, swap, swap.untilAt && swap.untilAt <= now ? missed : begin)
}

/** Gives what is to be rendered of the exchange; null where there was none. */
type Step = (context: Context, swap: PlannedSwap, transaction: Transaction) => Promise<Pending | null>

async function take(context: Context, swap: PlannedSwap, step: Step): Promise<void> {
  try {
    const pending = await context.db.transaction(async (transaction) => {
      await swap.reload({ transaction, lock: transaction.LOCK.UPDATE })
      return step(context, swap, transaction)
    })
    if (pending) await context.renderNow(context, pending)
  } catch (error) {
    const problem = error instanceof AppError ? error.message : 'Something went wrong.'
    if (!(error instanceof AppError)) context.log.error(error, 'a planned swap failed')
    await swap.update({ state: 'failed', problem })
    await record('swap-failed', { installId: swap.installId, data: { problem } })
  }
}

const begin: Step = async (context, swap, transaction) => {
  if (swap.state !== 'planned') return null
  const install = await Install.findByPk(swap.installId, { transaction })
  const backTo = install?.widgetId ?? null
  const pending = await swapInstall(context, swap.installId, swap.widgetId, swap.plannedBy, transaction)
  await swap.update({ state: swap.untilAt ? 'on' : 'over', backTo }, { transaction })
  return pending
}

/** What somebody has put there meanwhile stays. */
const end: Step = async (context, swap, transaction) => {
  if (swap.state !== 'on') return null
  const install = await Install.findByPk(swap.installId, { transaction })
  const isThere = install?.widgetId === swap.widgetId && swap.backTo !== null
  const pending = isThere ? await swapInstall(context, swap.installId, swap.backTo!, swap.plannedBy, transaction) : null
  await swap.update({ state: 'over' }, { transaction })
  return pending
}

/** Its whole time went by while nobody was there to do it. */
const missed: Step = async (_context, swap, transaction) => {
  await swap.update(
    { state: 'failed', problem: 'Its time went by while this server was not running.' },
    { transaction },
  )
  return null
}
