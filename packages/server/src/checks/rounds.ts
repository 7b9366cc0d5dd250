import { Op, UniqueConstraintError } from 'sequelize'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { Check, OPEN, Round } from './models'

/** Queues a check of every living install. One round at a time; the queue survives a restart. */
export async function startRound({ db, queue }: Context, userId: string | null): Promise<Round> {
  try {
    return await db.transaction(async (transaction) => {
      const installs = await Install.findAll({
        attributes: ['id'],
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
      const checks = await Check.bulkCreate(
        installs.map((i) => ({ installId: i.id, roundId: round.id, cause: 'round' as const, askedBy: userId })),
        { transaction, returning: true },
      )
      const jobs = checks.map((c) => ({ checkId: c.id }))
      await queue.sendMany('check', jobs, transaction)
      return round
    })
  } catch (error) {
    if (error instanceof UniqueConstraintError) throw new AppError('round-running')
    throw error
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

/** After each check: is the round through? */
export async function closeRound(roundId: string): Promise<void> {
  if (await Check.count({ where: { roundId, state: [...OPEN] } })) return
  await Round.update({ state: 'done', finishedAt: new Date() }, { where: { id: roundId, state: 'running' } })
}

export async function newestRound() {
  const round = await Round.findOne({ order: [['startedAt', 'DESC']] })
  if (!round) return null
  const open = await Check.count({ where: { roundId: round.id, state: [...OPEN] } })
  return {
    id: round.id,
    state: round.state,
    total: round.total,
    done: round.total - open,
    startedAt: round.startedAt,
    finishedAt: round.finishedAt,
  }
}
