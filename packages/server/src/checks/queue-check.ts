import type { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Check, type CheckCause } from './models'

/** Asks for a check; one that waits its turn already is given instead. One that runs may have read the page too early to count. */
export async function queueCheck(
  { db, queue }: Context,
  install: Install,
  cause: CheckCause,
  userId: string | null,
): Promise<string> {
  return db.transaction(async (transaction) => {
    const waiting = await Check.findOne({ where: { installId: install.id, state: 'queued' }, transaction })
    if (waiting) return waiting.id
    const check = await Check.create({ installId: install.id, cause, askedBy: userId }, { transaction })
    await queue.sendMany('check', [{ checkId: check.id }], transaction)
    return check.id
  })
}
