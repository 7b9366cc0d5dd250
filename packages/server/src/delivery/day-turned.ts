import { followsTheDay, kindList, kindOf, readSettings, type Settings } from '@pebblestrand/core/kinds'
import { QueryTypes } from 'sequelize'
import { noteOnce } from '../accounts/instance-notes'
import { recomputeJob } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { job } from '../platform/queue'

export const dayTurnedJob = job<Record<string, never>>('day-turned')

/** What installs show now: each widget's newest release, and those that installs are held at. */
const shown = `
SELECT w.id AS "widgetId", w.kind, r.settings, r.kind_version AS "kindVersion"
FROM releases r JOIN widgets w ON w.id = r.widget_id
WHERE w.kind IN (:kinds)
  AND EXISTS (
    SELECT 1 FROM installs i WHERE i.widget_id = w.id AND i.status <> 'retired'
      AND coalesce(i.held_release, (SELECT max(number) FROM releases WHERE widget_id = w.id)) = r.number)`

interface Shown {
  widgetId: string
  kind: string
  settings: Settings
  kindVersion: number
}

const follows = ({ kind: id, settings, kindVersion }: Shown): boolean => {
  const kind = kindOf(id)
  return kind !== undefined && followsTheDay(kind, readSettings(kind, settings, kindVersion))
}

/**
 * Once a day (UTC, as the sieve counts): whatever shows other items today than yesterday, though nothing was changed, is
 * rendered anew. Called often; a server that was down at midnight does it when it is back.
 */
export async function followDay({ db, queue }: Context, now = new Date()): Promise<void> {
  const kinds = Object.values(kindList).flatMap((kind) => (kind.content ? [kind.id] : []))
  await db.transaction(async (transaction) => {
    if (!(await noteOnce(db, 'sieve-day', now.toISOString().slice(0, 10), transaction))) return
    const rows = await db.query<Shown>(shown, { replacements: { kinds }, type: QueryTypes.SELECT, transaction })
    const widgets = new Set(rows.filter(follows).map(({ widgetId }) => widgetId))
    await queue.sendMany(
      recomputeJob,
      [...widgets].map((widgetId) => ({ widgetId })),
      transaction,
    )
  })
}
