import { lookAtPage } from '../checks/look-at-page'
import { queueCheck } from '../findings/queue-check'
import { describeInstall } from '../installs/describe'
import type { Install } from '../installs/models'
import { planInstall } from '../installs/plan-install'
import type { Context } from '../platform/context'
import { planTag } from '../installs/plan-tag'
import { Page, Placement, type Site } from '../sites/models'
import type { Desks } from './desk'

/** Site tags: one that is there and brings a widget, one place that is gone, and one tag that nobody has pasted yet. */
export async function seedTags(
  context: Context,
  desks: Desks,
  sites: Map<string, Site>,
  widgetIds: Record<string, string>,
  userId: string,
): Promise<void> {
  const ferries = sites.get('gullhaven')!.id
  const tag = await planTag(context, ferries, userId)
  await lookAtPage(context, tag.pageId)
  const { snippets } = await describeInstall(context, tag.id)
  await desks.publish('gullhaven', '*', { 'head.head': snippets.tag })
  await desks.emptyCache('gullhaven')
  await pasteAndLook(context, tag, userId)

  await Placement.update({ selector: '.colophon .wrap' }, { where: { siteId: ferries, region: 'footer' } })
  const footer = (await Placement.findOne({ where: { siteId: ferries, region: 'footer' } }))!
  await byTag(
    context,
    { siteId: ferries, path: '/fares', placementId: footer.id, widgetId: widgetIds['Post in brief']! },
    userId,
  )
  const lost = (await Page.findOne({ where: { siteId: ferries, path: '/lost-property' } }))!
  const board = await Placement.create({
    siteId: ferries,
    pageId: lost.id,
    name: 'notice board',
    region: 'main',
    width: 300,
    selector: '#notice-board',
    position: 9,
  })
  await byTag(
    context,
    { siteId: ferries, path: lost.path, placementId: board.id, widgetId: widgetIds['Wind and weather']! },
    userId,
  )

  const museum = sites.get('windle-knot')!.id
  await lookAtPage(context, (await planTag(context, museum, userId)).pageId)
  await Placement.update({ selector: '.widget-area' }, { where: { siteId: museum, region: 'sidebar' } })
  const side = (await Placement.findOne({ where: { siteId: museum, region: 'sidebar' } }))!
  await byTag(
    context,
    { siteId: museum, path: '/archive', placementId: side.id, widgetId: widgetIds['Harbour news']! },
    userId,
  )
}

async function byTag(
  context: Context,
  { siteId, path, ...wanted }: { siteId: string; path: string; placementId: string; widgetId: string },
  userId: string,
): Promise<void> {
  const page = (await Page.findOne({ where: { siteId, path } }))!
  const install = await planInstall(context, { ...wanted, pageId: page.id, method: 'tag' }, userId)
  await lookAtPage(context, page.id)
  await pasteAndLook(context, install, userId)
}

async function pasteAndLook(context: Context, install: Install, userId: string): Promise<void> {
  await install.reload()
  await install.update({ status: 'pasted', pastedAt: new Date() })
  await queueCheck(context, install, 'person', userId)
  await lookAtPage(context, install.pageId)
}
