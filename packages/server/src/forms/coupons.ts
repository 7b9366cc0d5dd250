import { QueryTypes, type Transaction } from 'sequelize'
import type { Context } from '../platform/context'

/** The next code of a list, for one lead: whoever else takes one at the same moment takes another. Null where none is left. */
const NEXT = `
UPDATE coupons SET lead_id = $leadId, given_at = now() WHERE id = (
  SELECT id FROM coupons WHERE widget_id = $widgetId AND given_at IS NULL ORDER BY id LIMIT 1 FOR UPDATE SKIP LOCKED
) RETURNING code`

export async function nextCoupon(
  { db }: Pick<Context, 'db'>,
  widgetId: string,
  leadId: string,
  transaction: Transaction,
): Promise<string | null> {
  const rows = await db.query<{ code: string }>(NEXT, {
    bind: { widgetId, leadId },
    type: QueryTypes.SELECT,
    transaction,
  })
  return rows[0]?.code ?? null
}

const ADD = `
INSERT INTO coupons (widget_id, code) SELECT $widgetId, code FROM jsonb_array_elements_text($codes) WITH ORDINALITY AS c(code, at) ORDER BY at
ON CONFLICT (widget_id, code) DO NOTHING RETURNING 1 AS one`

/** Codes beyond those that are there, in this order. @returns how many were added */
export async function addCoupons(
  { db }: Pick<Context, 'db'>,
  widgetId: string,
  codes: readonly string[],
): Promise<number> {
  const rows = await db.query(ADD, {
    bind: { widgetId, codes: JSON.stringify(codes) },
    type: QueryTypes.SELECT,
  })
  return rows.length
}
