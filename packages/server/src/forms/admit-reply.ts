import { mailsIn } from '@pebblestrand/core/forms'
import type { Context } from '../platform/context'
import { countTogether } from '../platform/limits/count-together'
import type { Admission } from './delivering'
import { contentOf } from './lead-content'
import { formOf } from './lead-form'
import { Lead } from './models'
import { hashKey, instanceSecret } from '../accounts/instance-secret'
import { mailHash } from './mail-hash'

/** Mails that nobody has asked for by a link, to one address within a day, from all forms together. */
const TO_ONE = { points: 2, seconds: 86_400 }
const HOUR = 3600

/**
 * Counts one more mail to a visitor, once for a lead however often it is tried, and says whether it may go out: so many an hour by one
 * form, so many a day to one address. Apart from the transaction that sends it: all replies of a form count in one row, and none waits
 * there until another is written.
 */
export async function admitReply(context: Context, leadId: string, now: Date): Promise<Admission> {
  const { db, config } = context
  await instanceSecret() // what signs links is known before a transaction asks for it
  const lead = await Lead.findByPk(leadId)
  if (!lead || lead.isTest || lead.state === 'held' || lead.admittedAt) return 'free'
  const about = await formOf(lead)
  const content = contentOf(config, lead)
  const [to] = about ? mailsIn(about.form, content.responses) : []
  if (!about?.delivery.reply || !to || content.noReply || content.confirmation?.confirmedAt) return 'free'
  const form = { key: `replies ${lead.widgetId}`, points: about.delivery.repliesPerHour, seconds: HOUR }
  if ((await countTogether(db, [form], { now: now.getTime() })).get(form.key)! > 0) return 'form'
  const address = { key: `replies-to ${mailHash(await hashKey(config), to)}`, ...TO_ONE }
  if ((await countTogether(db, [address], { now: now.getTime() })).get(address.key)! > 0) return 'address'
  await lead.update({ admittedAt: now })
  return 'free'
}
