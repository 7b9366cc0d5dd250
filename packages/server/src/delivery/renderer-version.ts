import { kindList } from '@pebblestrand/core/kinds'
import { QueryTypes } from 'sequelize'
import { noteOnce } from '../accounts/instance-notes'
import type { Context } from '../platform/context'
import { recompute } from './recompute'
import { recomputeJob } from '../artefacts/queue-recompute'

/** A hash of the core's source, put in when the server is built; unbuilt code counts as one version. */
declare const CORE_HASH: string | undefined
export const rendererVersion = () =>
  `${typeof CORE_HASH === 'string' ? CORE_HASH : 'unbuilt'} ${Object.values(kindList)
    .map((kind) => `${kind.id}@${kind.version}`)
    .join(' ')}`

const KEY = 'renderer'

const all = `SELECT id AS "widgetId" FROM widgets ORDER BY draft_saved_at DESC`

/** Living installs that serve nothing to the present script: made by a version before. */
const unserved = `
SELECT DISTINCT i.widget_id AS "widgetId" FROM installs i
WHERE i.status <> 'retired' AND EXISTS (SELECT 1 FROM artefacts a WHERE a.install_id = i.id)
  AND NOT EXISTS (SELECT 1 FROM artefacts a WHERE a.install_id = i.id AND a.form = 'payload')`

/**
 * With a new version of the renderer everything is queued to be rendered anew; what the present script would not find at
 * all is rendered at once, before the first visitor asks.
 */
export async function followRenderer(context: Context): Promise<void> {
  const { db, queue } = context
  for (const { widgetId } of await db.query<{ widgetId: string }>(unserved, { type: QueryTypes.SELECT }))
    await recompute(context, widgetId)
  const version = rendererVersion()
  await db.transaction(async (transaction) => {
    if (!(await noteOnce(db, KEY, version, transaction))) return
    const widgets = await db.query<{ widgetId: string }>(all, { type: QueryTypes.SELECT, transaction })
    await queue.sendMany(recomputeJob, widgets, transaction)
  })
}
