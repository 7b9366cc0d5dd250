import { routes } from '@pebblestrand/contract'
import { QueryTypes } from 'sequelize'
import { newestRound } from '../checks/rounds'
import type { Context } from '../platform/context'
import type { Serve } from '../platform/http/serve'
import { FEW_COUPONS } from '@pebblestrand/core/forms'
import { fewCoupons, limitedReplies, waitingLeads } from '../forms/lead-queries'
import { ailing, counts, emptied, lately, swapsAhead, waiting } from './queries'

/** What needs a person now, and what changed. */
export function todayRoutes(serve: Serve, { db }: Context): void {
  const rows = (sql: string, bind: object = {}) => db.query<never>(sql, { bind: { ...bind }, type: QueryTypes.SELECT })

  serve(routes.today.read, async () => {
    const [installs, [numbers], changes, empty, sources, swaps, coupons, limited, [leads], round] = await Promise.all([
      rows(waiting),
      rows(counts),
      rows(lately),
      rows(emptied),
      rows(ailing),
      rows(swapsAhead),
      rows(fewCoupons, { few: FEW_COUPONS }),
      rows(limitedReplies),
      rows(waitingLeads),
      newestRound(),
    ])
    return {
      waiting: installs,
      counts: numbers!,
      lately: changes,
      emptied: empty,
      ailing: sources,
      swaps,
      coupons,
      limited,
      leads: leads!,
      round,
    }
  })
}
