import {
  confirmationLetter,
  mailsIn,
  needsConfirmation,
  replyLetter,
  type Confirmation,
} from '@pebblestrand/core/forms'
import type { DeliveryState } from '@pebblestrand/contract'
import { Op, QueryTypes, type Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { admitReply } from './admit-reply'
import { nextCoupon } from './coupons'
import type { Delivering, Delivered } from './delivering'
import { confirmAddress } from './confirm-token'
import { contentOf, sealed } from './lead-content'
import { formOf, spokenIn } from './lead-form'
import { queueLeadMail } from './lead-mails'
import { Lead, LeadDelivery } from './models'
import { agencyTold, clientTold } from './who-is-told'

/** Where a code stands that a test brings: none is spent on it. */
const TEST_CODE = 'TEST-CODE'

/** Ms after which one that was over its form's limit is tried again. */
const LIMITED_MS = 600_000

/**
 * The reply to a lead. It goes to an address that anybody may have typed: so many a day to one address, so many an hour by one form, and
 * where nobody consented, only once the address is confirmed.
 */
export async function reply(context: Context, delivering: Delivering, transaction: Transaction): Promise<Delivered> {
  const { content, about, now, tester, admission } = delivering
  if (tester || content.confirmation?.confirmedAt) return sendReply(context, delivering, transaction)
  if (content.noReply) return { state: 'failed', problem: 'Too many replies were asked for from one network.' }
  if (admission === 'address') return { state: 'failed', problem: 'This address has had two mails from forms today.' }
  if (admission === 'form') return { state: 'limited', nextAt: new Date(now.getTime() + LIMITED_MS) }
  return needsConfirmation(about.delivery, content.consents)
    ? askForConfirmation(context, delivering, transaction)
    : sendReply(context, delivering, transaction)
}

async function askForConfirmation(
  context: Context,
  { lead, about, content, now }: Delivering,
  transaction: Transaction,
): Promise<Delivered> {
  const { delivery, site, name } = about
  const to = mailsIn(about.form, content.responses)[0]!
  const link = await confirmAddress(context.config, lead.id)
  const letter = confirmationLetter(delivery, { link, site: site?.name ?? '', form: name }, spokenIn(content.language))
  // Kept as what somebody agreed to; the link itself is good for one week and is no part of it.
  const confirmation: Confirmation = {
    subject: letter.subject,
    text: letter.text.replace(link, '…'),
    sentAt: now.toISOString(),
    confirmedAt: null,
  }
  await lead.update({ content: sealed(context.config, { ...content, confirmation }) }, { transaction })
  await queueLeadMail(
    context,
    { what: 'reply', leadIds: [lead.id], to: { name: '', mail: to }, letter, fromName: site?.name ?? '', now },
    transaction,
  )
  return 'unconfirmed'
}

/** What goes out once nothing stands in its way; it waits where there is no code for it. */
export async function sendReply(
  context: Context,
  { lead, about, content, now, tester }: Delivering,
  transaction: Transaction,
): Promise<DeliveryState> {
  const { delivery, form, site, name } = about
  const coupon =
    delivery.coupon === 'none'
      ? ''
      : tester
        ? TEST_CODE
        : delivery.coupon === 'fixed'
          ? delivery.code
          : await nextCoupon(context, lead.widgetId, lead.id, transaction)
  // It waits until there are codes again; Today says so.
  if (coupon === null) return 'waiting'
  const given = { coupon, site: site?.name ?? '', form: name }
  const letter = replyLetter(delivery, form, content.responses, given, spokenIn(content.language))
  const [keeper] = await agencyTold(lead.siteId, transaction)
  const [client] = await clientTold(lead.siteId, transaction)
  await queueLeadMail(
    context,
    {
      what: 'reply',
      leadIds: [lead.id],
      to: tester ?? { name: '', mail: mailsIn(form, content.responses)[0]! },
      letter: tester ? { ...letter, subject: `Test: ${letter.subject}` } : letter,
      fromName: site?.name ?? '',
      replyTo: (client ?? keeper)?.mail ?? null,
      now,
    },
    transaction,
  )
  return 'queued'
}

/** Replies in one state, and whom they go to: who came first first. */
const WAITING = `
SELECT l.id FROM leads l JOIN lead_deliveries d ON d.lead_id = l.id AND d.what = 'reply' AND d.state = $state
WHERE ($widgetId::uuid IS NULL OR l.widget_id = $widgetId) AND l.state IN ('new', 'done') AND (d.next_at IS NULL OR d.next_at <= $now)
ORDER BY l.at, l.id LIMIT 1000`

/** Replies that waited for a code: as many as there are codes now. */
export const replyToWaiting = (context: Context, widgetId: string, now = new Date()): Promise<void> =>
  eachWaiting(context, 'waiting', widgetId, now, sendReply)

/** Replies that were over their form's limit: as many as it takes now. */
export const replyToLimited = (context: Context, now = new Date()): Promise<void> =>
  eachWaiting(context, 'limited', null, now, reply)

async function eachWaiting(
  context: Context,
  state: DeliveryState,
  widgetId: string | null,
  now: Date,
  go: (context: Context, delivering: Delivering, transaction: Transaction) => Promise<Delivered>,
): Promise<void> {
  const leads = await context.db.query<{ id: string }>(WAITING, {
    bind: { state, widgetId, now },
    type: QueryTypes.SELECT,
  })
  for (const { id } of leads) await goOn(context, id, state, now, go)
}

/**
 * Goes on with a reply that is in some state; nobody else does meanwhile.
 * @returns whether there was one
 */
export async function goOn(
  context: Context,
  leadId: string,
  state: DeliveryState,
  now: Date,
  go: (context: Context, delivering: Delivering, transaction: Transaction) => Promise<Delivered>,
): Promise<boolean> {
  const admission = state === 'limited' ? await admitReply(context, leadId, now) : 'free'
  return context.db.transaction(async (transaction) => {
    const lead = await Lead.findOne({
      where: { id: leadId, state: { [Op.in]: ['new', 'done'] } },
      transaction,
      lock: transaction.LOCK.UPDATE,
    })
    const delivery = lead && (await LeadDelivery.findOne({ where: { leadId, what: 'reply', state }, transaction }))
    const about = lead && delivery && (await formOf(lead, transaction))
    if (!lead || !delivery || !about) return false
    const content = contentOf(context.config, lead)
    const came = await go(context, { lead, about, content, now, tester: null, admission }, transaction)
    await delivery.update({ problem: null, nextAt: null, ...asRow(came), at: now }, { transaction })
    return true
  })
}

/** What came of one thing that is done with a lead, as it is noted. */
export const asRow = (came: Delivered) => (typeof came === 'string' ? { state: came } : came)
