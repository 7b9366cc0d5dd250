import { QueryTypes } from 'sequelize'
import type { Context } from './platform/context'
import { subjects } from './subjects'

const SEEN_EVERY_MS = 10_000

const STILL_HERE = `
INSERT INTO instance (key, value) VALUES ('worker-seen', now()::text)
ON CONFLICT (key) DO UPDATE SET value = excluded.value`

/** The role that does the jobs. Several may run; each takes what is free. */
export async function startWorker(context: Context): Promise<() => void> {
  const seen = () =>
    context.db.query(STILL_HERE, { type: QueryTypes.INSERT }).catch((error: Error) => context.log.error(error))
  await seen()
  const timer = setInterval(() => void seen(), SEEN_EVERY_MS)
  for (const work of subjects.flatMap((subject) => subject.work ?? [])) await context.queue.take(work, context)
  return () => clearInterval(timer)
}
