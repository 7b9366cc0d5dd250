import type { FilterValues, RegisterQuery, RegisterRow } from '@pebblestrand/contract'
import { QueryTypes, type Sequelize } from 'sequelize'
import type { z } from 'zod'
import { literally } from '../platform/database/like'
import { paged, type Paged } from '../platform/http/paging'
import { filterValues, someInstalls, register, registerIds } from './queries'

const filtersOf = (query: RegisterQuery) => ({ ...query, q: literally(query.q) })

export async function readRegister(db: Sequelize, query: RegisterQuery): Promise<Paged<RegisterRow>> {
  return paged(query, (window) =>
    db.query<RegisterRow & { total: number }>(register(query.sort, query.dir === 'down'), {
      replacements: { ...filtersOf(query), ...window },
      type: QueryTypes.SELECT,
    }),
  )
}

export async function readIds(db: Sequelize, query: RegisterQuery): Promise<string[]> {
  const rows = await db.query<{ id: string }>(registerIds(query.sort, query.dir === 'down'), {
    replacements: filtersOf(query),
    type: QueryTypes.SELECT,
  })
  return rows.map((row) => row.id)
}

/** Lines of the register by the ids of their installs. */
export async function readRows(db: Sequelize, ids: readonly string[]): Promise<Map<string, RegisterRow>> {
  if (!ids.length) return new Map()
  const rows = await db.query<RegisterRow>(someInstalls, { replacements: { ids }, type: QueryTypes.SELECT })
  return new Map(rows.map((row) => [row.id, row]))
}

export async function readFilterValues(db: Sequelize, siteId: string | null): Promise<z.infer<typeof FilterValues>> {
  const [values] = await db.query<z.infer<typeof FilterValues>>(filterValues, {
    replacements: { siteId },
    type: QueryTypes.SELECT,
  })
  return values!
}
