import { kindList } from '@pebblestrand/core/kinds'
import { QueryTypes } from 'sequelize'
import { noteOnce } from '../accounts/instance-notes'
import { recomputeJob } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { dayIn } from './day'
import { countingIn, zonesInUse } from './queries'
import { FACT } from './visits'

const countingKinds = () =>
  Object.values(kindList)
    .filter((kind) => kind.facts?.includes(FACT))
    .map((kind) => kind.id)

const days = `SELECT zone, to_char(day, 'YYYY-MM-DD') AS day FROM visit_days`
const forgetDay = [
  `DELETE FROM visit_marks WHERE zone = :zone AND day < :today`,
  `DELETE FROM visit_days WHERE zone = :zone AND day < :today`,
]

/**
 * In zones where a new day has begun: the secret of the old one and all marks made with it are thrown away, and the numbers
 * of what counts there are rendered for the new day, once.
 */
export async function turnDays(context: Context, now = new Date()): Promise<void> {
  const { db, queue } = context
  const kinds = countingKinds()
  const known = await db.query<{ zone: string; day: string }>(days, { type: QueryTypes.SELECT })
  const used = kinds.length
    ? await db.query<{ zone: string }>(zonesInUse, { replacements: { kinds }, type: QueryTypes.SELECT })
    : []
  for (const zone of new Set([...known, ...used].map((row) => row.zone)))
    await db.transaction(async (transaction) => {
      const today = dayIn(zone, now)
      for (const sql of forgetDay) await db.query(sql, { replacements: { zone, today }, transaction })
      const turned = await noteOnce(db, `visits-day ${zone}`, today, transaction)
      if (!turned || !kinds.length) return
      const installs = await db.query<{ id: string; widgetId: string }>(countingIn, {
        replacements: { kinds, zone },
        type: QueryTypes.SELECT,
        transaction,
      })
      const widgets = new Set(installs.map((install) => install.widgetId))
      const jobs = [...widgets].map((widgetId) => ({
        widgetId,
        within: { installIds: installs.filter((i) => i.widgetId === widgetId).map((i) => i.id) },
      }))
      await queue.sendMany(recomputeJob, jobs, transaction)
    })
}
