import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'
import { AppError } from '../platform/errors'
import { DAYS_KEPT } from './forget'
import type { Counts } from './models'
import { named, standing } from './queries'
import type { Foresight as Foreseen, Removable } from '@pebblestrand/contract'
import { whatGoes } from './what-goes'

const SHOWN = 8
const counted = ['pages', 'placements', 'releases', 'installs'] as const

/** What a removal takes along, and where visitors may still see it. */
export interface Foresight extends Foreseen {
  id: string
  siteId: string | null
  place: string
  counts: Counts
}

type StandingInstall = Foreseen['standing']['rows'][number]

/** @throws AppError 'not-found' where there is no such thing. */
export async function foresee(
  db: Sequelize,
  what: Removable,
  id: string,
  transaction?: Transaction,
): Promise<Foresight> {
  const ask = <T extends object>(sql: string, more: object = {}) =>
    db.query<T>(sql, { replacements: { id, ...more }, type: QueryTypes.SELECT, transaction })
  const [subject] = await ask<{ name: string; place: string; siteId: string | null }>(named[what])
  if (!subject) throw new AppError('not-found')
  const counts: Counts = {}
  const parts = whatGoes(what).filter(({ table }) => table !== `${what}s`)
  for (const table of counted) {
    const found = parts.find((part) => part.table === table)
    const [row] = found ? await ask<{ n: number }>(`SELECT count(*)::int AS n FROM ${table} WHERE ${found.where}`) : []
    if (row?.n) counts[table] = row.n
  }
  const rows = await ask<StandingInstall & { total: number }>(standing(what), { limit: SHOWN })
  return {
    what,
    id,
    ...subject,
    counts,
    standing: { total: rows[0]?.total ?? 0, rows: rows.map(({ total: _total, ...row }) => row) },
    daysKept: DAYS_KEPT,
  }
}
