import { kindList } from '@pebblestrand/core/kinds'
import { usualDelivery } from '@pebblestrand/core/forms'
import { QueryTypes } from 'sequelize'
import type { Context } from '../platform/context'

/** Days that a test is kept. */
const TEST_DAYS = 7

/**
 * Deletes what is older than its form says, for good: its mails and what was done with it go along. In what was removed and could be
 * brought back as well.
 */
const OLD = `
WITH starters AS (SELECT kind, starter, days FROM jsonb_to_recordset($starters) AS s(kind text, starter text, days integer)),
old AS (
  SELECT l.id FROM leads l JOIN widgets w ON w.id = l.widget_id LEFT JOIN forms f ON f.widget_id = w.id
  LEFT JOIN starters s ON f.widget_id IS NULL AND s.kind = w.kind AND s.starter = w.starter
  CROSS JOIN LATERAL (SELECT coalesce((f.delivery ->> 'keepDays')::int, s.days, $usual) AS days) kept
  WHERE (kept.days > 0 AND l.at < $now::timestamptz - make_interval(days => kept.days)) OR (l.is_test AND l.at < $now::timestamptz - make_interval(days => ${TEST_DAYS}))
  LIMIT 5000
)
DELETE FROM leads WHERE id IN (SELECT id FROM old) RETURNING id`

const MAILS = `DELETE FROM mails WHERE lead_ids <> '[]' AND EXISTS (SELECT 1 FROM jsonb_array_elements_text($ids) AS gone(id) WHERE lead_ids ? gone.id)`

const ARCHIVED = `
DELETE FROM removed_rows r USING removals m WHERE m.id = r.removal_id AND r.table_name = 'leads'
  AND (r.row_before ->> 'at')::timestamptz < $now::timestamptz - make_interval(days => $usual)`

/** What starters say beyond the usual of how long leads are kept. */
const starters = Object.values(kindList).flatMap(({ id: kind, starters }) =>
  starters.flatMap(({ id: starter, delivery }) =>
    delivery?.keepDays === undefined ? [] : [{ kind, starter, days: delivery.keepDays }],
  ),
)

export async function forgetOldLeads({ db }: Pick<Context, 'db'>, now = new Date()): Promise<number> {
  let all = 0
  for (;;) {
    const gone = await db.transaction(async (transaction) => {
      const bind = { now, usual: usualDelivery.keepDays, starters: JSON.stringify(starters) }
      const rows = await db.query<{ id: string }>(OLD, { bind, type: QueryTypes.SELECT, transaction })
      if (rows.length) await db.query(MAILS, { bind: { ids: JSON.stringify(rows.map(({ id }) => id)) }, transaction })
      return rows.length
    })
    all += gone
    if (!gone) break
  }
  await db.query(ARCHIVED, { bind: { now, usual: usualDelivery.keepDays } })
  return all
}
