import { advise } from '@pebblestrand/core/advice'
import { kindOf, readSettings } from '@pebblestrand/core/kinds'
import type { MethodId } from '@pebblestrand/core/methods'
import { Op, UniqueConstraintError, type Transaction } from 'sequelize'
import { record } from '../activity/record'
import { queueCheck } from '../findings/queue-check'
import { recomputeAfter } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { publicId } from '../platform/ids'
import { profileOf } from '../profiles/profile-of'
import { Page, Placement, Site } from '../sites/models'
import { wholeSite } from '../sites/whole-site'
import { Release, Widget } from '../widgets/models'
import { ensureTag } from './plan-tag'
import { tagOf } from '../artefacts/site-tag'
import { Install } from './models'
import { settingOf } from './setting-of'

export interface WantedInstall {
  widgetId: string
  /** Where no page is named: the whole of this site. */
  siteId?: string | null
  pageId?: string | null
  placementId?: string | null
  method?: MethodId
}

/** Plans an install: the best method for the placement, the bytes it will serve, and a first look at the page as it is now. */
export async function planInstall(context: Context, wanted: WantedInstall, userId: string | null): Promise<Install> {
  const widget = await Widget.findByPk(wanted.widgetId)
  if (!widget) throw new AppError('not-found')
  if (!(await Release.count({ where: { widgetId: widget.id } }))) throw new AppError('not-published')
  const page = await pageFor(wanted)
  const placement = await placementFor(widget, page, wanted.placementId ?? null)
  const method = wanted.method ?? (await bestMethod(context, widget, page, placement))
  const install = await create(
    context,
    { widgetId: widget.id, pageId: page.id, placementId: placement?.id ?? null, method },
    page.siteId,
    userId,
  )
  await queueCheck(context, install, 'plan', userId)
  return install
}

/** As advice has it; where nothing shows it yet, what comes nearest. */
async function bestMethod(
  context: Context,
  { kind }: Widget,
  page: Page,
  placement: Placement | null,
): Promise<MethodId> {
  const site = page.Site!
  const profile = await profileOf(site.platform)
  const about = {
    site,
    page,
    tag: await tagOf(context.db, site.id),
    profile,
    region: placement?.region ?? null,
    selector: placement?.selector ?? null,
    kind: kindOf(kind),
  }
  return advise(profile, settingOf(context, about)).best.method
}

async function pageFor({ pageId, siteId }: WantedInstall): Promise<Page> {
  const page = pageId
    ? await Page.findByPk(pageId, { include: Site })
    : siteId && (await Site.count({ where: { id: siteId } }))
      ? await wholeSite(siteId)
      : null
  if (!page) throw new AppError('not-found')
  return page
}

/** Whether a widget, as it is published, stands over the page. */
async function standsOverPage(widget: Widget): Promise<boolean> {
  const kind = kindOf(widget.kind)
  if (!kind?.presence) return false
  const release = await Release.findOne({ where: { widgetId: widget.id }, order: [['number', 'DESC']] })
  const { settings, kindVersion } = release ?? { settings: widget.draft, kindVersion: widget.kindVersion }
  return kind.presence(readSettings(kind, settings, kindVersion))?.overPage ?? false
}

/** The placement, where the widget's kind wants one. */
async function placementFor(widget: Widget, page: Page, id: string | null): Promise<Placement | null> {
  const wrong = (message: string) =>
    new AppError('invalid', {
      message: `placementId: ${message}.`,
      issues: [{ field: 'placementId', message }],
    })
  const overPage = await standsOverPage(widget)
  if (!id) {
    if (overPage) return null
    throw wrong('is missing: this widget stands in a placement')
  }
  if (overPage) throw wrong('must be left out: this widget stands over the page')
  const placement = await Placement.findByPk(id)
  if (!placement) throw new AppError('not-found')
  if (placement.siteId !== page.siteId || (placement.pageId && placement.pageId !== page.id))
    throw wrong('is not on that page')
  return placement
}

/** What it serves is there when its snippet is first seen. */
async function create(
  context: Context,
  wanted: Pick<Install, 'widgetId' | 'pageId' | 'method'> & { placementId: string | null },
  siteId: string,
  userId: string | null,
): Promise<Install> {
  try {
    const { install, pending } = await context.db.transaction(async (transaction: Transaction) => {
      const install = await Install.create({ ...wanted, publicId: publicId(), plannedBy: userId }, { transaction })
      await record('planned', { userId, installId: install.id }, transaction)
      if (install.method === 'tag') await ensureTag(context, siteId, userId, transaction)
      const own = { installIds: [install.id] }
      return { install, pending: await recomputeAfter(context, wanted.widgetId, own, transaction) }
    })
    await context.renderNow(context, pending)
    return install
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error
    const { widgetId, pageId, placementId } = wanted
    const there = await Install.findOne({
      where: { widgetId, pageId, placementId, status: { [Op.ne]: 'retired' } },
    })
    throw new AppError('already-planned', { data: { installId: there?.id } })
  }
}
