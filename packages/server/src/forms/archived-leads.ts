import type { Transaction } from 'sequelize'
import type { Context } from '../platform/context'

const isGone = (column: string) => `${column} IN (SELECT jsonb_array_elements_text($gone))`

/** What hangs on a lead, and goes with it. */
const OWN = `
DELETE FROM removed_rows WHERE (table_name = 'leads' AND ${isGone("(row_before ->> 'id')")})
  OR (table_name = 'lead_deliveries' AND ${isGone("(row_before ->> 'lead_id')")})`

/** What only named it stays, and names it no longer: else it could not be put back. */
const NAMED = `
UPDATE removed_rows SET row_before = jsonb_set(row_before, '{lead_id}', 'null')
WHERE table_name IN ('coupons', 'form_tests') AND ${isGone("(row_before ->> 'lead_id')")}`

/** Takes leads out of what was removed and could be brought back; all else there can still be. */
export async function dropArchived(
  { db }: Pick<Context, 'db'>,
  ids: readonly string[],
  transaction: Transaction,
): Promise<void> {
  if (!ids.length) return
  for (const sql of [OWN, NAMED]) await db.query(sql, { bind: { gone: JSON.stringify(ids) }, transaction })
}
