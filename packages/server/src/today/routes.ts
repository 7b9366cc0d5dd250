import { routes } from '@pebblestrand/contract'
import { QueryTypes } from 'sequelize'
import { newestRound } from '../checks/rounds'
import type { Context } from '../platform/context'
import type { Serve } from '../platform/http/serve'
import { ailing, counts, emptied, lately, swapsAhead, waiting } from './queries'

/** What needs a person now, and what changed. */
export function todayRoutes(serve: Serve, { db }: Context): void {
  const rows = (sql: string) => db.query<never>(sql, { type: QueryTypes.SELECT })

  serve(routes.today.read, async () => {
    const [installs, [numbers], changes, empty, sources, swaps, round] = await Promise.all([
      rows(waiting),
      rows(counts),
      rows(lately),
      rows(emptied),
      rows(ailing),
      rows(swapsAhead),
      newestRound(),
    ])
    return { waiting: installs, counts: numbers!, lately: changes, emptied: empty, ailing: sources, swaps, round }
  })
}
