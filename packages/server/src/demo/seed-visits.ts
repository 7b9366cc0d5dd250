import { kindList } from '@pebblestrand/core/kinds'
import { QueryTypes } from 'sequelize'
import { recompute } from '../delivery/recompute'
import type { Context } from '../platform/context'

const counting = `
SELECT i.public_id AS "publicId", i.widget_id AS "widgetId" FROM installs i JOIN widgets w ON w.id = i.widget_id
WHERE w.kind IN (:kinds) ORDER BY i.public_id`

/** More on weekends, some every day, each install by a measure of its own. */
const pastDays = `
INSERT INTO visit_counts (public_id, day, visits)
SELECT :publicId, day::date, (:busy * (1 + (extract(isodow FROM day) > 5)::int) + extract(day FROM day)::int % 7)::int
FROM generate_series(current_date - 40, current_date - 1, interval '1 day') AS day ON CONFLICT DO NOTHING`

/** The counters of the story have counted for some weeks. */
export async function seedVisits(context: Context): Promise<void> {
  const kinds = Object.values(kindList)
    .filter((kind) => kind.facts?.includes('visits'))
    .map((kind) => kind.id)
  const installs = await context.db.query<{ publicId: string; widgetId: string }>(counting, {
    replacements: { kinds },
    type: QueryTypes.SELECT,
  })
  for (const [at, { publicId, widgetId }] of installs.entries()) {
    await context.db.query(pastDays, { replacements: { publicId, busy: 9 + at * 14 } })
    await recompute(context, widgetId)
  }
}
