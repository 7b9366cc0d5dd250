import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'

/** So many of something by a key within so many seconds. */
export interface Limit {
  key: string
  points: number
  seconds: number
}

/**
 * Counts one more of each key in one statement, so that all servers of an installation count together. In the order of their keys: two
 * that count the same ones never wait for each other in a circle. In the table and the columns of the other limits (limiter.ts).
 */
const COUNT = `
INSERT INTO tries (key, points, expire)
SELECT key, 1, $now::bigint + seconds * 1000 FROM jsonb_to_recordset($limits) AS l(key text, seconds bigint) ORDER BY key
ON CONFLICT (key) DO UPDATE SET
  points = CASE WHEN tries.expire <= $now::bigint THEN 1 ELSE tries.points + 1 END,
  expire = CASE WHEN tries.expire <= $now::bigint THEN excluded.expire ELSE tries.expire END
RETURNING key, points`

/** Counts one more of each. @returns by how many each key is over its limit; 0 within it */
export async function countTogether(
  db: Sequelize,
  limits: readonly Limit[],
  { now = Date.now(), transaction }: { now?: number; transaction?: Transaction } = {},
): Promise<Map<string, number>> {
  const rows = await db.query<{ key: string; points: number }>(COUNT, {
    bind: { now, limits: JSON.stringify(limits.map(({ key, seconds }) => ({ key, seconds }))) },
    type: QueryTypes.SELECT,
    transaction,
  })
  const points = new Map(rows.map((row) => [row.key, row.points]))
  return new Map(limits.map(({ key, points: most }) => [key, Math.max(0, (points.get(key) ?? 0) - most)]))
}
