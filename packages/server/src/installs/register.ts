import type { Method, Region } from '@pebblestrand/core/snippet'
import { methodIds, regionIds } from '@pebblestrand/core/snippet'
import { statusIds, type InstallStatus } from '@pebblestrand/core/verify'
import { QueryTypes, type Sequelize } from 'sequelize'
import { z } from 'zod'
import { literally } from '../platform/database/like'
import { paged, Paging, windowOf, type Paged } from '../platform/http/paging'
import { filterValues, oneInstall, register, registerIds, sortColumns } from './queries'

const any = z.literal('')
const name = z.string().trim().max(100).default('')
const id = z
  .union([any, z.uuid()])
  .default('')
  .transform((value) => value || null)

const day = z
  .union([any, z.iso.date('must be a date like 2026-11-03')])
  .default('')
  .transform((value) => value || null)

export const RegisterQuery = Paging.extend({
  q: name,
  client: name,
  kind: name,
  siteId: id,
  pageId: id,
  widgetId: id,
  /** Who planned it, and the days from and to which it was planned. */
  by: id,
  from: day,
  to: day,
  finding: name,
  status: z.union([any, z.enum(statusIds)]).default(''),
  region: z.union([any, z.enum(regionIds)]).default(''),
  method: z.union([any, z.enum(methodIds)]).default(''),
  retired: z
    .enum(['0', '1'])
    .default('0')
    .transform((v) => v === '1'),
  sort: z.enum(Object.keys(sortColumns) as [keyof typeof sortColumns, ...(keyof typeof sortColumns)[]]).default('site'),
  dir: z.enum(['up', 'down']).default('up'),
})
export type RegisterQuery = z.infer<typeof RegisterQuery>

export interface RegisterRow {
  id: string
  status: InstallStatus
  retiring: boolean
  method: Method
  plannedAt: Date
  pastedAt: Date | null
  checkedAt: Date | null
  widgetId: string
  widget: string
  kind: string
  pageId: string
  page: string
  path: string
  siteId: string
  site: string
  origin: string
  client: string
  placementId: string
  placement: string
  region: Region
  width: number
  release: number | null
  finding: string | null
  findingTitle: string | null
}

const filtersOf = (query: RegisterQuery) => ({ ...query, q: literally(query.q) })

export async function readRegister(db: Sequelize, query: RegisterQuery): Promise<Paged<RegisterRow>> {
  const rows = await db.query<RegisterRow & { total: number }>(register(query.sort, query.dir === 'down'), {
    replacements: { ...filtersOf(query), ...windowOf(query) },
    type: QueryTypes.SELECT,
  })
  return paged(rows, query)
}

export async function readIds(db: Sequelize, query: RegisterQuery): Promise<string[]> {
  const rows = await db.query<{ id: string }>(registerIds(query.sort, query.dir === 'down'), {
    replacements: filtersOf(query),
    type: QueryTypes.SELECT,
  })
  return rows.map((row) => row.id)
}

export async function readOne(db: Sequelize, installId: string): Promise<RegisterRow | null> {
  const [row] = await db.query<RegisterRow>(oneInstall, { replacements: { id: installId }, type: QueryTypes.SELECT })
  return row ?? null
}

export interface FilterValue {
  id: string
  name: string
}
export type FilterValues = Record<'clients' | 'sites' | 'pages' | 'widgets' | 'people', FilterValue[]> & {
  findings: string[]
}

export const FilterValuesQuery = z.object({ siteId: id })

export async function readFilterValues(db: Sequelize, { siteId }: z.infer<typeof FilterValuesQuery>) {
  const [values] = await db.query<FilterValues>(filterValues, { replacements: { siteId }, type: QueryTypes.SELECT })
  return values!
}
