import type { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Check, type CheckCause } from './models'

const OPEN = ['queued', 'served', 'fresh', 'judging'] as const

/** Asks for a check; one that is waiting or running already is given instead of a second. */
export async function queueCheck(
  { queue }: Context,
  install: Install,
  cause: CheckCause,
  userId: string | null,
): Promise<string> {
  const open = await Check.findOne({ where: { installId: install.id, state: [...OPEN] } })
  if (open?.state === 'queued') return open.id
  const check = await Check.create({ installId: install.id, cause, askedBy: userId })
  await queue.send('check', { checkId: check.id })
  return check.id
}
