import { leadLines, mailsIn, noteLetter } from '@pebblestrand/core/forms'
import { kindOf, readSettings } from '@pebblestrand/core/kinds'
import type { DeliveryWhat } from '@pebblestrand/contract'
import { dateFormat } from '@pebblestrand/core/words'
import { Op, type Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { claimRow } from '../platform/database/claim'
import type { Widget } from '../widgets/models'
import { admitReply } from './admit-reply'
import type { Admission, Delivered, Delivering } from './delivering'
import { deliverJob, webhookJob } from './jobs'
import { contentOf, type LeadContent } from './lead-content'
import { formOf, type LeadForm } from './lead-form'
import { queueLeadMail } from './lead-mails'
import { FormTest, Lead, LeadDelivery } from './models'
import { asRow, reply } from './reply'
import { agencyTold, clientTold, type Told } from './who-is-told'

/** What each does; gives the state it is in then. */
type Piece = (context: Context, delivering: Delivering, transaction: Transaction) => Promise<Delivered>

/**
 * Does with a lead what is decided about its form, once: the mails and calls are queued in the transaction that notes that they are.
 * Ended halfway, nothing of it was done, and it is done again.
 */
export async function deliverLead(context: Context, leadId: string, now = new Date()): Promise<void> {
  // Whoever is at it already would count its reply as well.
  const claim = await claimRow(context.db, { table: 'leads', id: leadId, as: TO_DELIVER, seconds: CLAIM_SECONDS })
  if (!claim) return
  try {
    await deliverClaimed(context, leadId, await admitReply(context, leadId, now), now)
  } finally {
    await claim.release()
  }
}

/** Seconds after which a lead whose worker was killed is delivered by another. */
const CLAIM_SECONDS = 30

const TO_DELIVER = `delivered_at IS NULL AND state <> 'held'`

const deliverClaimed = (context: Context, leadId: string, admission: Admission, now: Date): Promise<void> =>
  context.db.transaction(async (transaction) => {
    const lead = await Lead.findByPk(leadId, { transaction, lock: transaction.LOCK.UPDATE })
    if (!lead || lead.deliveredAt || lead.state === 'held') return
    const about = await formOf(lead, transaction)
    if (about) {
      const test = lead.isTest ? await FormTest.findOne({ where: { leadId }, transaction }) : null
      const tester = lead.isTest ? { name: '', mail: test?.toMail ?? '' } : null
      const delivering = { lead, about, content: contentOf(context.config, lead), now, tester, admission }
      for (const what of wanted(about, delivering)) {
        const came = await pieces[what](context, delivering, transaction)
        await LeadDelivery.upsert({ leadId, what, at: now, ...asRow(came) }, { transaction })
      }
    }
    await lead.update({ deliveredAt: now }, { transaction })
  })

/** What is to be done with a lead; of what nobody asked for there is nothing. */
function wanted({ delivery, form }: LeadForm, { content }: Pick<Delivering, 'content'>): DeliveryWhat[] {
  const { reply, noteAgency, noteClient, webhook } = delivery
  const all: [DeliveryWhat, boolean][] = [
    ['reply', reply && mailsIn(form, content.responses).length > 0],
    ['note-agency', noteAgency !== 'none'],
    ['note-client', noteClient !== 'none'],
    ['webhook', webhook !== ''],
  ]
  return all.filter(([, is]) => is).map(([what]) => what)
}

const pieces: Record<DeliveryWhat, Piece> = {
  reply,
  'note-agency': (context, delivering, transaction) =>
    note(context, 'note-agency', delivering, () => agencyTold(delivering.lead.siteId, transaction), transaction),
  'note-client': (context, delivering, transaction) =>
    note(context, 'note-client', delivering, () => clientTold(delivering.lead.siteId, transaction), transaction),
  webhook: async ({ queue }, { lead }, transaction) => {
    await queue.sendMany(webhookJob, [{ leadId: lead.id }], transaction)
    return 'queued'
  },
}

async function note(
  context: Context,
  what: 'note-agency' | 'note-client',
  delivering: Delivering,
  people: () => Promise<Told[]>,
  transaction: Transaction,
): Promise<Delivered> {
  const { about, tester, lead } = delivering
  const { noteAgency, noteClient } = about.delivery
  // A test is told of at once: nobody waits for tomorrow to know whether it works.
  if (!tester && (what === 'note-agency' ? noteAgency : noteClient) === 'daily') return 'waiting'
  const told = tester ? [tester] : await people()
  if (!told.length)
    return { state: 'failed', problem: 'Nobody there gets what visitors write: note somebody with a mail address.' }
  await queueNote(
    context,
    { what, about, leads: [{ lead, content: delivering.content }], told, now: delivering.now },
    transaction,
  )
  return 'queued'
}

/** A note of one lead, or of all of a day. */
export async function queueNote(
  context: Context,
  {
    what,
    about: { form, name, site },
    leads,
    told,
    now,
  }: {
    what: 'note-agency' | 'note-client'
    about: LeadForm
    leads: readonly { lead: Lead; content: LeadContent; form?: LeadForm['form'] }[]
    told: readonly Told[]
    now: Date
  },
  transaction: Transaction,
): Promise<void> {
  const at = dateFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: site?.timeZone ?? 'UTC' })
  const isTest = leads.some(({ lead }) => lead.isTest)
  const { origin } = context.config
  const [first] = leads
  const link =
    what === 'note-agency'
      ? leads.length === 1
        ? `${origin}/results/leads/${first!.lead.id}`
        : `${origin}/results/leads?widgetId=${first!.lead.widgetId}`
      : ''
  const letter = noteLetter(
    { form: name, site: site?.name ?? '', isTest, link },
    leads.map(({ lead, content, form: own }) => ({
      at: at.format(lead.at),
      page: lead.pagePath,
      lines: leadLines(own ?? form, content.responses, 'en-GB'),
    })),
  )
  // Whoever answers a note of one lead answers who wrote it.
  const writer = leads.length === 1 ? (mailsIn(form, first!.content.responses)[0] ?? null) : null
  for (const to of told)
    await queueLeadMail(
      context,
      { what, leadIds: leads.map(({ lead }) => lead.id), to, letter, replyTo: writer, now },
      transaction,
    )
}

/** Those that were kept and whose job was lost: it is done now. */
export async function deliverLost(context: Context, now = new Date()): Promise<void> {
  const lost = await Lead.findAll({
    attributes: ['id'],
    where: { deliveredAt: null, state: { [Op.ne]: 'held' }, at: { [Op.lt]: new Date(now.getTime() - 60_000) } },
    order: [['at', 'ASC']],
    limit: 200,
  })
  for (const { id } of lost) await deliverLead(context, id, now)
}

/** What was held back counts and is passed on from now on. */
export async function letThrough({ queue }: Context, lead: Lead, transaction: Transaction): Promise<void> {
  await lead.update({ state: 'new', heldFor: null }, { transaction })
  await queue.sendMany(deliverJob, [{ leadId: lead.id }], transaction)
}

/** Whether a widget asks for anything in its draft. */
export const asksFor = ({ kind: id, draft, kindVersion }: Widget) => {
  const kind = kindOf(id)
  return kind?.form?.(readSettings(kind, draft, kindVersion)) ?? null
}
