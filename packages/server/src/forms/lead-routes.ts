import { routes } from '@pebblestrand/contract'
import { countsAfter, leadsCsv, leadsJson } from '@pebblestrand/core/forms'
import { QueryTypes } from 'sequelize'
import { User } from '../accounts/models'
import { Install } from '../installs/models'
import type { MailState } from '../mail/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { Widget } from '../widgets/models'
import { letThrough } from './deliver'
import { erase, foreseeErasure } from './erase'
import { contentOf } from './lead-content'
import { formOf } from './lead-form'
import { leadMailKind } from './lead-mails'
import { ABOUT_LEADS } from './about-leads'
import { exportedLeads, linesOf, listLeads } from './list-leads'
import { Erasure, Lead, LeadDelivery } from './models'
import { count } from './receive'

const types = { csv: 'text/csv; charset=utf-8', json: 'application/json; charset=utf-8' } as const

export function leadRoutes(serve: Serve, context: Context): void {
  const { leads } = routes

  serve(leads.list, ({ query: { page, size, ...filter } }) => listLeads(context, filter, { page, size }))

  serve(leads.read, ({ params }) => readLead(context, params.id))

  serve(leads.change, async ({ params, body: { state } }) => {
    await context.db.transaction(async (transaction) => {
      const lead = await Lead.findByPk(params.id, { transaction, lock: transaction.LOCK.UPDATE })
      if (!lead) throw new AppError('not-found')
      if (lead.state !== 'held') return lead.update({ state }, { transaction })
      if (state === 'spam') return lead.update({ state, heldFor: null, deliveredAt: new Date() }, { transaction })
      // It counts from now on, and goes where any other goes.
      const about = await formOf(lead, transaction)
      const counts = about ? countsAfter(about.form, contentOf(context.config, lead).responses) : []
      if (counts.length && !lead.isTest) await count(context, lead.widgetId, counts, transaction)
      await letThrough(context, lead, transaction)
      return state === 'done' ? lead.update({ state }, { transaction }) : lead
    })
    return { done: true as const }
  })

  serve(leads.file, async ({ query: { form, ...filter }, reply }) => {
    const all = await exportedLeads(context, filter)
    return reply
      .type(types[form])
      .header('content-disposition', `attachment; filename="answers.${form}"`)
      .send(form === 'csv' ? leadsCsv(all) : leadsJson(all))
  })

  serve(leads.foreseeErasure, ({ body }) => foreseeErasure(context, body.mail))
  serve(leads.erase, async ({ body, userId }) => {
    const receipt = await erase(context, body.mail, userId)
    const by = (await User.findByPk(userId))?.name ?? null
    return { id: receipt.id, at: receipt.at, by, counts: receipt.counts as never }
  })
  serve(leads.erasures, async ({ query: { page, size } }) => {
    const { rows, count: all } = await Erasure.findAndCountAll({
      order: [['at', 'DESC']],
      limit: size,
      offset: (page - 1) * size,
    })
    const people = new Map(
      (await User.findAll({ where: { id: rows.flatMap(({ erasedBy }) => erasedBy ?? []) } })).map(({ id, name }) => [
        id,
        name,
      ]),
    )
    return {
      rows: rows.map(({ id, at, erasedBy, counts }) => ({
        id,
        at,
        by: people.get(erasedBy ?? '') ?? null,
        counts: counts as never,
      })),
      total: all,
      page,
      size,
    }
  })
}

const MAIL_STATES = { queued: 'queued', sent: 'sent', bounced: 'failed', failed: 'failed' } as const

/** How far what is done with a lead is: of what is mailed, how far the mails are. */
async function deliveriesOf({ db }: Context, leadId: string) {
  const rows = await LeadDelivery.findAll({ where: { leadId }, order: [['what', 'ASC']] })
  const mails = await db.query<{ kind: string; state: MailState; problem: string | null }>(
    `SELECT kind, state, problem FROM mails WHERE ${ABOUT_LEADS}`,
    { bind: { leads: [leadId] }, type: QueryTypes.SELECT },
  )
  return rows.map(({ what, state, problem, at }) => {
    const own =
      what === 'webhook' || (state !== 'queued' && state !== 'unconfirmed')
        ? []
        : mails.filter(({ kind }) => kind === leadMailKind(what))
    const worst =
      own.find((mail) => MAIL_STATES[mail.state] === 'failed') ?? own.find((mail) => mail.state === 'queued') ?? own[0]
    // Asked whether the address is theirs: only what went wrong with that mail says more.
    const says = worst && (state === 'queued' || MAIL_STATES[worst.state] === 'failed')
    return says ? { what, state: MAIL_STATES[worst.state], problem: worst.problem, at } : { what, state, problem, at }
  })
}

async function readLead(context: Context, id: string) {
  const lead = await Lead.findByPk(id)
  const widget = lead && (await Widget.findByPk(lead.widgetId))
  if (!lead || !widget) throw new AppError('not-found')
  const about = await formOf(lead)
  const content = contentOf(context.config, lead)
  const install = lead.publicId ? await Install.findOne({ where: { publicId: lead.publicId } }) : null
  const [coupon] = await context.db.query<{ code: string }>('SELECT code FROM coupons WHERE lead_id = $id', {
    bind: { id },
    type: QueryTypes.SELECT,
  })
  const { at, state, heldFor, isTest, widgetId, siteId, pagePath, release } = lead
  return {
    id,
    at,
    state,
    heldFor,
    isTest,
    widgetId,
    widget: widget.name,
    siteId,
    site: about?.site?.name ?? '',
    path: pagePath,
    says: linesOf(about, content),
    installId: install?.id ?? null,
    release,
    from: content.from,
    language: content.language,
    timeZone: about?.site?.timeZone ?? 'UTC',
    consents: content.consents,
    confirmation: content.confirmation ?? null,
    deliveries: await deliveriesOf(context, id),
    coupon: coupon?.code ?? null,
  }
}
