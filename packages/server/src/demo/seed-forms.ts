import { kindOf, type Settings } from '@pebblestrand/core/kinds'
import { lookAtPage } from '../checks/look-at-page'
import { queueCheck } from '../findings/queue-check'
import { addCoupons } from '../forms/coupons'
import { KnownForms, deliveryOf } from '../forms/known-forms'
import { Form, Lead } from '../forms/models'
import { receive } from '../forms/receive'
import { describeInstall } from '../installs/describe'
import type { Install } from '../installs/models'
import { planInstall } from '../installs/plan-install'
import type { Context } from '../platform/context'
import { secret } from '../platform/ids'
import { seal } from '../platform/seal'
import { Page, Placement, type Site } from '../sites/models'
import { saveDraft } from '../widgets/draft'
import { makeWidget } from '../widgets/make'
import { publish } from '../widgets/publish'
import type { Desks } from './desk'
import { writtenForms, type WrittenForm } from './written'

const HOUR_MS = 3_600_000

/**
 * Forms that stand in pages, and what visitors wrote into them.
 * @returns their installs: that each delivers is tried once the server answers
 */
export async function seedForms(
  context: Context,
  desks: Desks,
  sites: Map<string, Site>,
  userId: string,
): Promise<Install[]> {
  const installs: Install[] = []
  for (const one of writtenForms()) {
    const install = await standing(context, desks, sites.get(one.site)!, one, userId)
    await write(context, install, one)
    installs.push(install)
  }
  return installs
}

async function standing(
  context: Context,
  desks: Desks,
  site: Site,
  one: WrittenForm,
  userId: string,
): Promise<Install> {
  const { name, starter, settings, path } = one
  const widget = await makeWidget(context, { kind: 'form', starter, name }, userId)
  const whole = kindOf('form')!.settings.parse({ ...widget.draft, ...settings }) as Settings
  await saveDraft(context, widget, { settings: whole, version: 1 })
  await publish(context, widget.id, widget.draftVersion, userId)
  const delivery = deliveryOf(widget, null)
  const decided = {
    ...delivery,
    ...one.delivery,
    webhook: (one.delivery.webhook ?? '').replace('{port}', String(context.config.standinsPort)),
  }
  // Until the server answers nothing is tried.
  const row = await Form.create({
    widgetId: widget.id,
    delivery: { ...decided, testEvery: 0 },
    webhookSecret: seal(secret(), context.config.leadsKey),
  })
  if (one.codes) await addCoupons(context, widget.id, one.codes)
  const page = (await Page.findOne({ where: { siteId: site.id, path } }))!
  const placement = (await Placement.findOne({ where: { siteId: site.id, region: 'main' } }))!
  const install = await planInstall(
    context,
    { widgetId: widget.id, pageId: page.id, placementId: placement.id },
    userId,
  )
  await lookAtPage(context, page.id)
  const { snippets, advice } = await describeInstall(context, install.id)
  await desks.publish(one.site, path, { [`main.${advice.best.box?.id ?? 'code'}`]: snippets[install.method]! })
  await desks.emptyCache(one.site)
  await install.reload()
  await install.update({ status: 'pasted', pastedAt: new Date() })
  await queueCheck(context, install, 'person', userId)
  await lookAtPage(context, page.id)
  await row.update({ delivery: decided })
  return install
}

async function write(context: Context, { publicId }: Install, { written }: WrittenForm): Promise<void> {
  const known = (await new KnownForms(context.db).get(publicId, 0))!
  for (const [n, { ago, responses, from = '', held, state }] of written.entries()) {
    const id = await receive(
      context,
      known,
      {
        key: `written-before-${n}`,
        responses,
        path: known.path,
        from,
        language: 'en-GB',
        heldFor: held ? 'trap' : null,
        isTest: false,
      },
      new Date(Date.now() - ago * HOUR_MS),
    )
    if (state) await Lead.update({ state }, { where: { id: id! } })
  }
}
