import type { FastifyInstance } from 'fastify'
import { QueryTypes } from 'sequelize'
import { z } from 'zod'
import type { Context } from '../platform/context'
import { literally } from '../platform/database/like'
import { paged, Paging, windowOf } from '../platform/http/paging'
import { parse } from '../platform/http/parse'
import { allPlaces } from './queries'

const Listing = Paging.extend({ q: z.string().trim().max(100).default(''), id: z.uuid().optional() })

/** Placements of all sites, by the words of site, page and placement in this order, or one by its id. */
export function placeRoutes(app: FastifyInstance, { db }: Context): void {
  app.get('/api/places', async (request) => {
    const query = parse(Listing, request.query)
    const q = literally(query.q).split(/\s+/).join('%')
    const rows = await db.query<{ total: number }>(allPlaces, {
      replacements: { q, id: query.id ?? null, ...windowOf(query) },
      type: QueryTypes.SELECT,
    })
    return paged(rows, query)
  })
}
