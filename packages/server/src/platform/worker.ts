import { Instance } from '../accounts/models'
import { forgetExpired } from '../accounts/sessions'
import { endLostChecks } from '../checks/lost'
import { runCheck } from '../checks/run'
import { forgetRemovals } from '../removals/forget'
import { queueDue, refreshSource } from '../sources/refresh'
import type { Context } from './context'

const SEEN_EVERY_MS = 10_000
const ONE = { lanes: 1, atOnce: 1 }

/** The role that does the jobs. Several may run; each takes what is free. */
export async function startWorker(context: Context): Promise<() => void> {
  const { queue } = context
  const seen = () =>
    Instance.upsert({ key: 'worker-seen', value: new Date().toISOString() }).catch((error: Error) =>
      context.log.error(error),
    )
  await seen()
  const timer = setInterval(() => void seen(), SEEN_EVERY_MS)
  await queue.work('check', { lanes: 3, atOnce: 6 }, ({ checkId }) => runCheck(context, checkId))
  await queue.work('source-refresh', { lanes: 2, atOnce: 4 }, ({ sourceId }) => refreshSource(context, sourceId))
  await queue.work('sources-due', ONE, () => queueDue(context))
  await queue.work('checks-lost', ONE, endLostChecks)
  await queue.work('tidy', ONE, async () => void (await Promise.all([forgetExpired(), forgetRemovals()])))
  await queue.every('sources-due', '* * * * *')
  await queue.every('checks-lost', '*/5 * * * *')
  await queue.every('tidy', '17 3 * * *')
  return () => clearInterval(timer)
}
