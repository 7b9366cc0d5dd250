import { Op } from 'sequelize'
import { Check, ENDED } from '../findings/models'
import { closeRound } from './rounds'

/** A check takes a minute at most and is tried again twice after a crash; what began longer ago will not come back. */
const LOST_AFTER_MS = 10 * 60_000

/** Ends the checks whose worker went away with them, so that nobody waits for them and their round can close. */
export async function endLostChecks(): Promise<void> {
  const began = { [Op.lt]: new Date(Date.now() - LOST_AFTER_MS) }
  const [, lost] = await Check.update(
    { state: 'failed', finishedAt: new Date(), problem: 'The check was broken off. Check again.' },
    { where: { state: { [Op.notIn]: ['queued', ...ENDED] }, startedAt: began }, returning: true },
  )
  for (const roundId of new Set(lost.flatMap((check) => check.roundId ?? []))) await closeRound(roundId)
}
