import { QueryTypes } from 'sequelize'
import type { FactProvider } from '../platform/context'
import { dayIn } from './day'
import { visitsOf } from './queries'

interface Row {
  id: string
  zone: string
  total: number
  days: Record<string, number>
}

/** What was counted for installs, by day in their site's zone. */
export const visitFacts: FactProvider = async ({ db }, installIds, transaction) => {
  if (!installIds.length) return new Map()
  const rows = await db.query<Row>(visitsOf, {
    replacements: { installIds: [...installIds] },
    type: QueryTypes.SELECT,
    transaction,
  })
  const now = new Date()
  return new Map(rows.map(({ id, zone, total, days }) => [id, { today: dayIn(zone, now), total, days }]))
}
