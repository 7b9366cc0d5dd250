import type { FastifyInstance } from 'fastify'
import { QueryTypes } from 'sequelize'
import type { Context } from '../context'

/** A worker says that it is there every ten seconds; half a minute's silence counts as gone. */
const workerSeen = `SELECT (now() - value::timestamptz) < interval '30 seconds' AS "alive" FROM instance WHERE key = 'worker-seen'`

export function healthRoutes(app: FastifyInstance, { db, queue }: Context): void {
  app.get('/api/health', { schema: { summary: 'Whether all parts are up' } }, async (_request, reply) => {
    const parts = { database: false, queue: false, worker: false }
    try {
      const [row] = await db.query<{ alive: boolean }>(workerSeen, { type: QueryTypes.SELECT })
      parts.database = true
      parts.worker = row?.alive === true
      parts.queue = await queue.healthy()
    } catch {
      // said by the parts
    }
    const well = Object.values(parts).every(Boolean)
    return reply.code(well ? 200 : 503).send(well ? { status: 'ok' } : { status: 'down', parts })
  })
}
