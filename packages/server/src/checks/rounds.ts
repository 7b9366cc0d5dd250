import { Op, UniqueConstraintError } from 'sequelize'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { Check, ENDED, Round } from '../findings/models'
import { lookJob, looksAt } from '../findings/queue-check'

/** Queues a check of every living install, and one look at each page. One round at a time; the queue survives a restart. */
export async function startRound({ db, queue }: Context, userId: string | null): Promise<Round> {
  try {
    return await db.transaction(async (transaction) => {
      const installs = await Install.findAll({
        attributes: ['id', 'pageId'],
        where: { status: { [Op.ne]: 'retired' } },
        transaction,
      })
      const round = await Round.create(
        {
          state: installs.length ? 'running' : 'done',
          total: installs.length,
          startedBy: userId,
          finishedAt: installs.length ? null : new Date(),
        },
        { transaction },
      )
      await Check.bulkCreate(
        installs.map((i) => ({ installId: i.id, roundId: round.id, cause: 'round' as const, askedBy: userId })),
        { transaction },
      )
      const pageIds = installs.map((install) => install.pageId)
      await queue.sendMany(lookJob, await looksAt(pageIds, transaction), transaction)
      return round
    })
  } catch (error) {
    if (error instanceof UniqueConstraintError) throw new AppError('round-running')
    throw error
  }
}

/** The day's own round; where one runs already, that is it. */
export async function beginDaily(context: Context): Promise<void> {
  try {
    await startRound(context, null)
  } catch (error) {
    if (!(error instanceof AppError && error.code === 'round-running')) throw error
  }
}

/** What is queued is not begun any more; what has begun is finished. */
export async function stopRound(roundId: string): Promise<void> {
  const [rows] = await Round.update(
    { state: 'stopped', finishedAt: new Date() },
    { where: { id: roundId, state: 'running' } },
  )
  if (rows) await Check.update({ state: 'stopped', finishedAt: new Date() }, { where: { roundId, state: 'queued' } })
}

const openIn = (roundId: string) => Check.count({ where: { roundId, state: { [Op.notIn]: [...ENDED] } } })

/** After each check: is the round through? */
export async function closeRound(roundId: string): Promise<void> {
  if (await openIn(roundId)) return
  await Round.update({ state: 'done', finishedAt: new Date() }, { where: { id: roundId, state: 'running' } })
}

export async function newestRound() {
  const round = await Round.findOne({ order: [['startedAt', 'DESC']] })
  if (!round) return null
  const { id, state, total, startedAt, finishedAt } = round
  return { id, state, total, done: total - (await openIn(id)), startedAt, finishedAt }
}
