import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'

const noted = `
INSERT INTO instance (key, value) VALUES (:key, :value)
ON CONFLICT (key) DO UPDATE SET value = excluded.value WHERE instance.value <> excluded.value
RETURNING key`

/**
 * Notes a fact about this installation, once: of several servers that note the same at the same moment, one is told that it
 * is new.
 * @returns whether it was not known before
 */
export async function noteOnce(db: Sequelize, key: string, value: string, transaction: Transaction): Promise<boolean> {
  const rows = await db.query(noted, { replacements: { key, value }, type: QueryTypes.SELECT, transaction })
  return rows.length > 0
}
