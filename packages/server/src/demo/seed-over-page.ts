import { kindOf, type Settings } from '@pebblestrand/core/kinds'
import { typicalVisitors, type MadeUpVisit } from '@pebblestrand/core/presence'
import { wallClock } from '@pebblestrand/core/zoned-time'
import { lookAtPage } from '../checks/look-at-page'
import { queueCheck } from '../findings/queue-check'
import { describeInstall } from '../installs/describe'
import type { Install } from '../installs/models'
import { planInstall } from '../installs/plan-install'
import type { Context } from '../platform/context'
import { VisitExpectation } from '../rehearsals/models'
import { planTag } from '../installs/plan-tag'
import { Page, type Site } from '../sites/models'
import { saveDraft } from '../widgets/draft'
import { makeWidget } from '../widgets/make'
import { Widget } from '../widgets/models'
import { publish } from '../widgets/publish'
import type { Desks } from './desk'
import { ILL, illBehaved } from './ill-behaved'
import { overThePage } from './over-the-page'

/** Sites whose tag brings what stands over their pages, beside the ferries', which has one already. */
const TAGGED = ['pollard-cycles', 'observatory']

/** What stands over pages: most of it by the sites' tags, one by a snippet of its own. */
export async function seedOverPage(
  context: Context,
  desks: Desks,
  sites: Map<string, Site>,
  userId: string,
): Promise<Install[]> {
  for (const host of TAGGED) await pasteTag(context, desks, sites.get(host)!, host, userId)
  for (const { name, kind, starter, site, page, settings } of overThePage(new Date())) {
    const widget = await made(context, { name, kind, starter, settings }, userId)
    const { id: siteId } = sites.get(site)!
    const wanted = page
      ? { pageId: (await Page.findOne({ where: { siteId, path: page } }))!.id, method: 'inline' as const }
      : { siteId, method: 'tag' as const }
    const install = await planInstall(context, { widgetId: widget.id, ...wanted }, userId)
    await lookAtPage(context, install.pageId)
    if (page) await pasteSnippet(context, desks, site, page, install)
    await looked(context, install, userId)
  }
  await keepVisits(sites.get('pollard-cycles')!, userId)
  return seedIllBehaved(context, desks, sites, userId)
}

async function made(
  context: Context,
  { name, kind, starter, settings }: { name: string; kind: string; starter: string; settings: Settings },
  userId: string,
): Promise<Widget> {
  const widget = await makeWidget(context, { kind, starter, name }, userId)
  const whole = kindOf(kind)!.settings.parse({ ...widget.draft, ...settings }) as Settings
  await saveDraft(context, widget, { settings: whole, version: 1 })
  await publish(context, widget.id, widget.draftVersion, userId)
  return widget
}

/** What goes wrong over pages, brought about at one of them; only a browser sees it. */
async function seedIllBehaved(
  context: Context,
  desks: Desks,
  sites: Map<string, Site>,
  userId: string,
): Promise<Install[]> {
  const { id: siteId } = sites.get(ILL.site)!
  const page = (await Page.findOne({ where: { siteId, path: ILL.path } }))!
  const installs: Install[] = []
  const parts: string[] = []
  for (const one of illBehaved) {
    const widget = await made(context, one, userId)
    const install = await planInstall(context, { widgetId: widget.id, pageId: page.id, method: 'inline' }, userId)
    await lookAtPage(context, page.id)
    const { snippets } = await describeInstall(context, install.id)
    parts.push(snippets.inline, one.page(install.publicId))
    installs.push(install)
  }
  await desks.publish(ILL.site, ILL.path, { 'sidebar.code': parts.join('\n') })
  await desks.emptyCache(ILL.site)
  for (const install of installs) {
    await install.reload()
    await install.update({ status: 'pasted', pastedAt: new Date() })
  }
  return installs
}

/** Who has been here before never sees the voucher. */
async function keepVisits({ id: siteId, timeZone, language }: Site, userId: string): Promise<void> {
  const about = {
    paths: ['/', '/hire', '/workshop'],
    day: wallClock(new Date(), timeZone).day,
    language: language ?? 'en',
  }
  const [, , regular] = typicalVisitors(about)
  const voucher = (await Widget.findOne({ where: { name: 'Service voucher' } }))!
  const visit = {
    ...regular!.visit,
    visits: regular!.visit.visits.map((one, i) => ({ ...one, pages: i ? one.pages : quick(one.pages) })),
  }
  await VisitExpectation.create({
    siteId,
    name: 'A returning visitor never sees the voucher',
    visit,
    expected: [{ widgetId: voucher.id, sees: false }],
    madeBy: userId,
  })
}

/** Gone before anything could appear. */
const quick = (pages: MadeUpVisit['visits'][number]['pages']) =>
  pages.slice(0, 1).map((page) => ({ ...page, stays: 8, steps: [] }))

async function pasteTag(context: Context, desks: Desks, site: Site, host: string, userId: string): Promise<void> {
  const tag = await planTag(context, site.id, userId)
  await lookAtPage(context, tag.pageId)
  const { snippets, advice } = await describeInstall(context, tag.id)
  // Where nobody reaches the head, into the footer that all pages share.
  const box = advice.best.box?.id ?? 'head'
  await desks.publish(host, '*', { [box === 'code' ? 'footer.code' : `head.${box}`]: snippets.tag })
  await desks.emptyCache(host)
  await looked(context, tag, userId)
}

async function pasteSnippet(
  context: Context,
  desks: Desks,
  host: string,
  path: string,
  install: Install,
): Promise<void> {
  const { snippets, advice } = await describeInstall(context, install.id)
  const { box } = [advice.best, ...advice.others].find(({ method }) => method === install.method)!
  await desks.publish(host, path, { [`footer.${box?.id ?? 'code'}`]: snippets.inline })
  await desks.emptyCache(host)
}

async function looked(context: Context, install: Install, userId: string): Promise<void> {
  await install.reload()
  await install.update({ status: 'pasted', pastedAt: new Date() })
  await queueCheck(context, install, 'person', userId)
  await lookAtPage(context, install.pageId)
}
