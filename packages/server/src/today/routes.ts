import type { FastifyInstance } from 'fastify'
import { QueryTypes } from 'sequelize'
import { newestRound } from '../checks/rounds'
import type { Context } from '../platform/context'
import { ailing, counts, lately, waiting } from './queries'

/** What needs a person now, and what changed. */
export function todayRoutes(app: FastifyInstance, { db }: Context): void {
  const rows = (sql: string) => db.query<Record<string, unknown>>(sql, { type: QueryTypes.SELECT })

  app.get('/api/today', async () => {
    const [things, [numbers], changes, sources, round] = await Promise.all([
      rows(waiting),
      rows(counts),
      rows(lately),
      rows(ailing),
      newestRound(),
    ])
    return { waiting: things, counts: numbers, lately: changes, ailing: sources, round }
  })
}
