import { routes } from '@pebblestrand/contract'
import { QueryTypes } from 'sequelize'
import type { Context } from '../platform/context'
import { paged } from '../platform/http/paging'
import type { Serve } from '../platform/http/serve'
import { bringBack } from './bring-back'
import { DAYS_KEPT } from './forget'
import { listRemovals } from './queries'
import { remove } from './remove'

export function removalRoutes(serve: Serve, context: Context): void {
  serve(routes.removals.list, async ({ query }) => {
    const { rows, ...page } = await paged(query, (window) =>
      context.db.query<{ total: number }>(listRemovals, { replacements: window, type: QueryTypes.SELECT }),
    )
    return { rows: rows as never, ...page, daysKept: DAYS_KEPT }
  })

  serve(routes.removals.remove, async ({ body, userId }) => {
    const { id, name } = await remove(context, body, userId)
    return { id, name }
  })

  serve(routes.removals.bringBack, async ({ params, userId }) => {
    const { what, subjectId, siteId, name } = await bringBack(context, params.id, userId)
    return { what, id: subjectId, siteId, name }
  })
}
