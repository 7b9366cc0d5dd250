import { isbot } from 'isbot'
import { wallClock } from '@pebblestrand/core/zoned-time'
import { QueryTypes, type Sequelize } from 'sequelize'
import { Site } from '../sites/models'
import type { Sheet } from '../sheets/models'

/** Counts that a sheet was opened. What looks at addresses in mails before people do is not counted. */
export async function countVisit(db: Sequelize, sheet: Sheet, userAgent: string, now = new Date()): Promise<void> {
  if (!userAgent || isbot(userAgent.slice(0, 500))) return
  const site = await Site.findByPk(sheet.siteId, { attributes: ['timeZone'] })
  await db.query(
    `INSERT INTO sheet_visits (sheet_id, day, visits) VALUES (:sheetId, :day, 1)
ON CONFLICT (sheet_id, day) DO UPDATE SET visits = sheet_visits.visits + 1`,
    { replacements: { sheetId: sheet.id, day: wallClock(now, site?.timeZone ?? 'UTC').day }, type: QueryTypes.INSERT },
  )
}
