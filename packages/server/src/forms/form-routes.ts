import { routes, type FormTestInfo } from '@pebblestrand/contract'
import { blanksInAddresses, confirmationBlanks, strangeBlanks, usualDelivery } from '@pebblestrand/core/forms'
import { literal, Op, QueryTypes } from 'sequelize'
import { User } from '../accounts/models'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import type { Serve } from '../platform/http/serve'
import { secret } from '../platform/ids'
import { seal, unseal } from '../platform/seal'
import { Widget } from '../widgets/models'
import { codesIn } from './coupon-codes'
import { addCoupons } from './coupons'
import { asksFor } from './deliver'
import { requireAddress, startTest } from './form-test'
import { decidedAnew, deliveryOf } from './known-forms'
import { Form, FormTest, LeadDelivery } from './models'
import { replyToLimited, replyToWaiting } from './reply'
import { limitsFor } from './robots'

const COUNTS = `
SELECT
  (SELECT count(*) FROM coupons WHERE widget_id = $id AND given_at IS NULL)::int AS "left",
  (SELECT count(*) FROM coupons WHERE widget_id = $id AND given_at IS NOT NULL)::int AS given,
  (SELECT count(*) FROM lead_deliveries d JOIN leads l ON l.id = d.lead_id WHERE l.widget_id = $id AND d.what = 'reply' AND d.state = 'waiting')::int AS waiting,
  (SELECT count(*) FROM lead_deliveries d JOIN leads l ON l.id = d.lead_id WHERE l.widget_id = $id AND d.what = 'reply' AND d.state = 'unconfirmed')::int AS unconfirmed,
  (SELECT count(*) FROM lead_deliveries d JOIN leads l ON l.id = d.lead_id WHERE l.widget_id = $id AND d.what = 'reply' AND d.state = 'limited')::int AS limited,
  (SELECT coalesce(sum(greatest(0, t.points - $most)), 0) FROM installs i JOIN tries t ON t.key = 'held ' || i.public_id
    WHERE i.widget_id = $id AND t.expire > $now)::int AS "notKept",
  count(*) FILTER (WHERE state = 'new')::int AS "new", count(*) FILTER (WHERE state = 'done')::int AS done,
  count(*) FILTER (WHERE state = 'spam')::int AS spam, count(*) FILTER (WHERE state = 'held')::int AS held
FROM leads WHERE widget_id = $id AND NOT is_test`

interface Counts {
  left: number
  given: number
  waiting: number
  unconfirmed: number
  limited: number
  notKept: number
  new: number
  done: number
  spam: number
  held: number
}

async function requireForm(id: string) {
  const widget = await Widget.findByPk(id)
  if (!widget) throw new AppError('not-found')
  const form = asksFor(widget)
  if (!form) throw new AppError('no-form')
  return { widget, form }
}

/** Its row, made where nobody has decided anything yet: with what its starter brings, and a secret of its own. */
async function rowOf({ config }: Context, widget: Widget): Promise<Form> {
  const [row] = await Form.findOrCreate({
    where: { widgetId: widget.id },
    defaults: {
      widgetId: widget.id,
      delivery: deliveryOf(widget, null),
      webhookSecret: seal(secret(), config.leadsKey),
    },
  })
  if (!row.webhookSecret) await row.update({ webhookSecret: seal(secret(), config.leadsKey) })
  return row
}

const leadsOf = (db: Context['db'], widgetId: string) => ({
  [Op.in]: literal(`(SELECT id FROM leads WHERE widget_id = ${db.escape(widgetId)})`),
})

const infoOf = ({ id, publicId, toMail, state, steps, beganAt, endedAt }: FormTest): FormTestInfo => ({
  id,
  publicId,
  toMail,
  state,
  steps,
  beganAt,
  endedAt,
})

export function formRoutes(serve: Serve, context: Context): void {
  const { forms } = routes
  const { db, config } = context

  serve(forms.read, async ({ params: { id } }) => {
    const { widget } = await requireForm(id)
    const row = await rowOf(context, widget)
    const [counts] = (await db.query<Counts>(COUNTS, {
      bind: { id, most: limitsFor(config).held.points, now: Date.now() },
      type: QueryTypes.SELECT,
    })) as [Counts]
    const tests = await FormTest.findAll({ where: { widgetId: id }, order: [['beganAt', 'DESC']], limit: 5 })
    const { left, given, waiting, unconfirmed, limited, notKept, ...states } = counts
    return {
      delivery: { ...usualDelivery, ...row.delivery },
      webhookSecret: unseal(row.webhookSecret, config.leadsKey),
      sends: config.mail !== null,
      isEncrypted: config.leadsKey !== null,
      coupons: { left, given, waiting },
      replies: { unconfirmed, limited },
      counts: states,
      notKept,
      tests: tests.map(infoOf),
    }
  })

  serve(forms.change, async ({ params: { id }, body }) => {
    const { widget, form } = await requireForm(id)
    const [strange] = body.reply ? strangeBlanks(body, form) : []
    if (strange)
      throw new AppError('invalid', {
        issues: [{ field: 'replyText', message: `has {${strange}}, which nothing fills` }],
      })
    const [inAddress] = body.reply ? blanksInAddresses(body, form) : []
    if (inAddress)
      throw new AppError('invalid', {
        issues: [
          { field: 'replyText', message: `has {${inAddress}} within an address, which visitors could lead elsewhere` },
        ],
      })
    const unknown = [...`${body.confirmSubject} ${body.confirmText}`.matchAll(/\{([\w-]+)\}/g)]
      .map(([, name]) => name!)
      .find((name) => !Object.hasOwn(confirmationBlanks, name))
    if (unknown)
      throw new AppError('invalid', {
        issues: [{ field: 'confirmText', message: `has {${unknown}}; it can have {link}, {site} and {form}` }],
      })
    await (await rowOf(context, widget)).update({ delivery: body })
    decidedAnew()
    // A limit that was raised holds for those that wait, too.
    await LeadDelivery.update({ nextAt: null }, { where: { what: 'reply', state: 'limited', leadId: leadsOf(db, id) } })
    await replyToLimited(context)
    return { done: true as const }
  })

  serve(forms.newSecret, async ({ params: { id } }) => {
    const { widget } = await requireForm(id)
    const webhookSecret = secret()
    await (await rowOf(context, widget)).update({ webhookSecret: seal(webhookSecret, config.leadsKey) })
    return { webhookSecret }
  })

  serve(forms.addCoupons, async ({ params: { id }, body }) => {
    await requireForm(id)
    const codes = codesIn(body.codes)
    if (!codes.length) throw new AppError('invalid', { issues: [{ field: 'codes', message: 'has no code in it' }] })
    const added = await addCoupons(context, id, codes)
    await replyToWaiting(context, id)
    const [row] = await db.query<{ left: number }>(
      'SELECT count(*)::int AS "left" FROM coupons WHERE widget_id = $id AND given_at IS NULL',
      { bind: { id }, type: QueryTypes.SELECT },
    )
    return { added, doubles: codes.length - added, left: row!.left }
  })

  serve(forms.dropCoupons, async ({ params: { id } }) => {
    await requireForm(id)
    const rows = await db.query('DELETE FROM coupons WHERE widget_id = $id AND given_at IS NULL RETURNING 1 AS one', {
      bind: { id },
      type: QueryTypes.SELECT,
    })
    return { dropped: rows.length }
  })

  serve(forms.test, async ({ params: { id }, body, userId }) => {
    await requireForm(id)
    const install = body.installId ? await Install.findByPk(body.installId) : null
    if (body.installId && install?.widgetId !== id) throw new AppError('not-found')
    const toMail = requireAddress(body.toMail ?? (await User.findByPk(userId))?.email)
    const test = await startTest(context, { widgetId: id, install, toMail, askedBy: userId })
    return { id: test.id }
  })

  serve(forms.readTest, async ({ params: { id } }) => {
    const test = await FormTest.findByPk(id)
    if (!test) throw new AppError('not-found')
    return infoOf(test)
  })
}
