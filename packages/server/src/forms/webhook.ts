import { Op } from 'sequelize'
import type { Context } from '../platform/context'
import { OutboundError } from '../platform/outbound/client'
import { afterTry, ENDLESS, stepped, type JobTime } from '../platform/queue'
import { unseal } from '../platform/seal'
import { contentOf } from './lead-content'
import { formOf, type LeadForm } from './lead-form'
import { signedHeaders } from './message-signature'
import { Lead, LeadDelivery } from './models'

const RETRIES = stepped(8, [1, 5, 15, 60, 180, 720])

/** What the agency's own program is told of a lead. */
function bodyOf({ form: definition, name, site }: LeadForm, lead: Lead, content: ReturnType<typeof contentOf>): string {
  const labels = Object.fromEntries(
    definition.steps.flatMap(({ fields }) =>
      fields.map((field) => [field.name, 'label' in field ? field.label : field.name]),
    ),
  )
  return JSON.stringify({
    event: 'lead',
    id: lead.id,
    at: lead.at.toISOString(),
    test: lead.isTest,
    form: { id: lead.widgetId, name, release: lead.release },
    site: site && { name: site.name, address: site.origin },
    page: lead.pagePath,
    from: content.from,
    language: content.language,
    answers: content.responses,
    labels,
    consents: content.consents,
  })
}

/**
 * Tells the agency's own program of a lead. Answered with 2xx, it is done; anything else is tried again after a pause. The same lead has
 * the same id each time, so that who is told twice can know it.
 */
export async function callWebhook(context: Context, leadId: string, now = new Date()): Promise<void> {
  const claimed = await claim(context, leadId, now)
  if (!claimed) return
  const { lead, delivery } = claimed
  const about = await formOf(lead)
  if (!about?.delivery.webhook)
    return void (await delivery.update({ state: 'failed', problem: 'It is told nowhere any more.' }))
  const problem = await call(context, about, lead, now)
  const outcome = problem === null ? { how: 'done' as const } : { how: 'failed' as const, problem }
  const { state, ...after } = afterTry(RETRIES, outcome, delivery.tries, now)
  await delivery.update({ ...after, state: STATES[state], at: now })
}

const STATES = { done: 'sent', refused: 'failed', 'given-up': 'failed', waiting: 'queued' } as const

/** Ms for which nobody else tries the same one. */
const CLAIM = 60_000

const claim = ({ db }: Context, leadId: string, now: Date) =>
  db.transaction(async (transaction) => {
    const delivery = await LeadDelivery.findOne({
      where: { leadId, what: 'webhook', state: 'queued', nextAt: { [Op.or]: [{ [Op.is]: null }, { [Op.lte]: now }] } },
      lock: transaction.LOCK.UPDATE,
      skipLocked: true,
      transaction,
    })
    const lead = delivery && (await Lead.findByPk(leadId, { transaction }))
    if (!delivery || !lead) return null
    await delivery.update({ nextAt: new Date(now.getTime() + CLAIM) }, { transaction })
    return { lead, delivery }
  })

/** What went wrong; null where it was taken. */
async function call({ config, outbound }: Context, about: LeadForm, lead: Lead, now: Date): Promise<string | null> {
  const url = new URL(about.delivery.webhook).href
  const body = bodyOf(about, lead, contentOf(config, lead))
  const secret = unseal(about.webhookSecret, config.leadsKey)
  const created = Math.floor(now.getTime() / 1000)
  try {
    const answer = await outbound.post(url, body, {
      'content-type': 'application/json',
      ...signedHeaders({ method: 'POST', url, body, created }, secret),
    })
    return answer.status >= 200 && answer.status < 300 ? null : `It answered with ${answer.status}.`
  } catch (error) {
    if (error instanceof OutboundError) return error.message
    throw error
  }
}

/** Those whose pause is over: as many as there is time for. @returns `more` where some are left */
export async function callWaiting(context: Context, now = new Date(), time: JobTime = ENDLESS): Promise<'more' | void> {
  const due = await LeadDelivery.findAll({
    attributes: ['leadId'],
    where: { what: 'webhook', state: 'queued', nextAt: { [Op.lte]: now } },
    order: [['nextAt', 'ASC']],
    limit: 100,
  })
  for (const { leadId } of due) {
    if (time.isUp()) return 'more'
    await callWebhook(context, leadId, now)
  }
}
