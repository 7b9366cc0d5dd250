import type { Method, Region } from '@pebblestrand/core/snippet'
import { methodIds, regionIds } from '@pebblestrand/core/snippet'
import { statusIds, type InstallStatus } from '@pebblestrand/core/verify'
import { QueryTypes, type Sequelize } from 'sequelize'
import { z } from 'zod'
import { Paging, windowOf, type Paged } from '../platform/http/paging'
import { oneInstall, register, registerIds, sortColumns } from './queries'

const any = z.literal('')
const name = z.string().trim().max(100).default('')
const id = z
  .union([any, z.uuid()])
  .default('')
  .transform((value) => value || null)

export const RegisterQuery = Paging.extend({
  q: name,
  client: name,
  kind: name,
  siteId: id,
  pageId: id,
  widgetId: id,
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

export async function readRegister(db: Sequelize, query: RegisterQuery): Promise<Paged<RegisterRow>> {
  const rows = await db.query<RegisterRow & { total: number }>(register(query.sort, query.dir === 'down'), {
    replacements: { ...query, ...windowOf(query) },
    type: QueryTypes.SELECT,
  })
  return {
    rows: rows.map(({ total: _total, ...row }) => row),
    total: rows[0]?.total ?? 0,
    page: query.page,
    size: query.size,
  }
}

export async function readIds(db: Sequelize, query: RegisterQuery): Promise<string[]> {
  const rows = await db.query<{ id: string }>(registerIds(query.sort, query.dir === 'down'), {
    replacements: { ...query },
    type: QueryTypes.SELECT,
  })
  return rows.map((row) => row.id)
}

export async function readOne(db: Sequelize, installId: string): Promise<RegisterRow | null> {
  const [row] = await db.query<RegisterRow>(oneInstall, { replacements: { id: installId }, type: QueryTypes.SELECT })
  return row ?? null
}
