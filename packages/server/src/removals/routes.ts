import type { FastifyInstance } from 'fastify'
import { QueryTypes } from 'sequelize'
import { z } from 'zod'
import { userOf } from '../accounts/guard'
import type { Context } from '../platform/context'
import { IdParams, paged, Paging, windowOf } from '../platform/http/paging'
import { parse } from '../platform/http/parse'
import { bringBack } from './bring-back'
import { DAYS_KEPT } from './forget'
import { listRemovals } from './queries'
import { remove } from './remove'
import { subjects } from './what-goes'

const Wanted = z.object({
  what: z.enum(subjects),
  id: z.uuid(),
  standing: z.number().int().min(0).default(0),
})

export function removalRoutes(app: FastifyInstance, context: Context): void {
  app.get('/api/removals', async (request) => {
    const query = parse(Paging, request.query)
    const rows = await context.db.query<{ total: number }>(listRemovals, {
      replacements: windowOf(query),
      type: QueryTypes.SELECT,
    })
    return { ...paged(rows, query), daysKept: DAYS_KEPT }
  })

  app.post('/api/removals', async (request) => {
    const { id, name } = await remove(context, parse(Wanted, request.body), userOf(request).id)
    return { id, name }
  })

  /** Undoes a removal. */
  app.delete('/api/removals/:id', async (request) => {
    const { what, subjectId, siteId, name } = await bringBack(
      context,
      parse(IdParams, request.params).id,
      userOf(request).id,
    )
    return { what, id: subjectId, siteId, name }
  })
}
