import { isReminderDue } from '@pebblestrand/core/handover'
import { wallClock } from '@pebblestrand/core/zoned-time'
import { col, fn, Op, where, type Transaction } from 'sequelize'
import { record } from '../activity/record'
import { Mail } from '../mail/models'
import type { Context } from '../platform/context'
import { Site } from '../sites/models'
import { mailSheet, mailSheets } from './mail-sheet'
import { Sheet } from '../sheets/models'
import { waitingInstalls } from './waiting-installs'

/** Reminds whoever has had a sheet for so many working days, and has not been reminded as often as may be: one mail a person a day, with all that waits. */
export async function remindWhoIsDue(context: Context, now = new Date()): Promise<void> {
  const sheets = await Sheet.findAll({
    where: { withdrawnAt: null, endsAt: { [Op.gt]: now }, mailedAt: { [Op.ne]: null }, remindMost: { [Op.gt]: 0 } },
    order: [['madeAt', 'ASC']],
    limit: 500,
  })
  const zones = new Map(
    (await Site.findAll({ attributes: ['id', 'timeZone'] })).map(({ id, timeZone }) => [id, timeZone]),
  )
  const byPerson = new Map<string, Sheet[]>()
  for (const sheet of sheets) {
    const zone = zones.get(sheet.siteId) ?? 'UTC'
    if (sheet.reminded >= sheet.remindMost || !isReminderDue(sheet.mailedAt!, now, zone, sheet.remindAfter)) continue
    if (!(await waitingInstalls(sheet)).length) continue
    const person = sheet.toMail.toLowerCase()
    byPerson.set(person, [...(byPerson.get(person) ?? []), sheet])
  }
  for (const [person, due] of byPerson) {
    const zone = zones.get(due[0]!.siteId) ?? 'UTC'
    if (await hadMailToday(person, now, zone)) continue
    await context.db.transaction((transaction) => remind(context, due, null, transaction, now))
  }
}

/** One mail about some sheets of one person. */
export async function remind(
  context: Context,
  sheets: readonly Sheet[],
  userId: string | null,
  transaction: Transaction,
  now = new Date(),
): Promise<void> {
  if (sheets.length === 1) await mailSheet(context, sheets[0]!, 'reminder', transaction, now)
  else await mailSheets(context, sheets, transaction, now)
  for (const sheet of sheets) {
    await sheet.update({ reminded: sheet.reminded + 1, mailedAt: now }, { transaction })
    for (const { id: installId } of await waitingInstalls(sheet, transaction))
      await record(
        'reminded',
        { userId, installId, data: { to: sheet.toName || sheet.toMail, sheetId: sheet.id } },
        transaction,
      )
  }
}

async function hadMailToday(person: string, now: Date, zone: string): Promise<boolean> {
  const last = await Mail.findOne({
    where: where(fn('lower', col('to_mail')), fn('lower', person)), // by its index
    order: [['queuedAt', 'DESC']],
  })
  return last !== null && wallClock(last.queuedAt, zone).day === wallClock(now, zone).day
}
