import { kindList } from '@pebblestrand/core/kinds'
import { usualDelivery } from '@pebblestrand/core/forms'
import { QueryTypes } from 'sequelize'
import type { Context } from '../platform/context'
import { ENDLESS, type JobTime } from '../platform/queue'
import { ABOUT_LEADS } from './about-leads'
import { dropArchived } from './archived-leads'

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

const MAILS = `DELETE FROM mails WHERE ${ABOUT_LEADS}`

/** Of those that were removed with their widget or their site: as their form says, whether it went along or not. */
const ARCHIVED = `
SELECT r.row_before ->> 'id' AS id FROM removed_rows r CROSS JOIN LATERAL (
  SELECT coalesce(
    (SELECT (f.delivery ->> 'keepDays')::int FROM forms f WHERE f.widget_id::text = r.row_before ->> 'widget_id'),
    (SELECT (x.row_before -> 'delivery' ->> 'keepDays')::int FROM removed_rows x
      WHERE x.removal_id = r.removal_id AND x.table_name = 'forms' AND x.row_before ->> 'widget_id' = r.row_before ->> 'widget_id' LIMIT 1),
    $usual) AS days
) kept
WHERE r.table_name = 'leads' AND kept.days > 0 AND (r.row_before ->> 'at')::timestamptz < $now::timestamptz - make_interval(days => kept.days)
LIMIT 5000`

/** Mails about leads that are nowhere any more, in what was removed neither. */
export const STRAY = `
DELETE FROM mails m WHERE m.lead_ids <> '[]' AND m.queued_at < $now::timestamptz - make_interval(days => ${TEST_DAYS})
  AND NOT EXISTS (SELECT 1 FROM jsonb_array_elements_text(m.lead_ids) AS a(id) JOIN leads l ON l.id = a.id::uuid)
  AND NOT EXISTS (
    SELECT 1 FROM jsonb_array_elements_text(m.lead_ids) AS a(id)
    JOIN removed_rows r ON r.table_name = 'leads' AND r.row_before ->> 'id' = a.id
  )`

/** What starters say beyond the usual of how long leads are kept. */
const starters = Object.values(kindList).flatMap(({ id: kind, starters }) =>
  starters.flatMap(({ id: starter, delivery }) =>
    delivery?.keepDays === undefined ? [] : [{ kind, starter, days: delivery.keepDays }],
  ),
)

/** @returns `more` where its time was up and some are left */
export async function forgetOldLeads(
  { db }: Pick<Context, 'db'>,
  now = new Date(),
  time: JobTime = ENDLESS,
): Promise<'more' | void> {
  for (;;) {
    if (time.isUp()) return 'more'
    const gone = await db.transaction(async (transaction) => {
      const bind = { now, usual: usualDelivery.keepDays, starters: JSON.stringify(starters) }
      const rows = await db.query<{ id: string }>(OLD, { bind, type: QueryTypes.SELECT, transaction })
      if (rows.length) await db.query(MAILS, { bind: { leads: rows.map(({ id }) => id) }, transaction })
      return rows.length
    })
    if (!gone) break
  }
  await db.transaction(async (transaction) => {
    const bind = { now, usual: usualDelivery.keepDays }
    const old = await db.query<{ id: string }>(ARCHIVED, { bind, type: QueryTypes.SELECT, transaction })
    await dropArchived(
      { db },
      old.map(({ id }) => id),
      transaction,
    )
    await db.query(STRAY, { bind: { now }, transaction })
  })
}
