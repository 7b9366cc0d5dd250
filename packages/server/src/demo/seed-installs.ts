import { tallest } from '@pebblestrand/core/advice'
import { lookAtPage } from '../checks/look-at-page'
import { queueCheck } from '../findings/queue-check'
import { instructionsFor } from '../installs/instructions'
import type { Install } from '../installs/models'
import { planInstall } from '../installs/plan-install'
import type { Context } from '../platform/context'
import { record } from '../activity/record'
import { Page, Placement, type Site } from '../sites/models'
import type { Desks } from './desk'
import { bringAbout } from './outcomes'
import { chapters, worthABrowser, type Chapter } from './chapters'

/**
 * Plays every chapter: plans it, does at the desk what was done there, checks, and sets its dates back.
 * @returns those that are worth a look by a browser
 */
export async function seedInstalls(
  context: Context,
  desks: Desks,
  sites: Map<string, Site>,
  widgetIds: Record<string, string>,
  userIds: string[],
): Promise<Install[]> {
  const boxes = new Map<string, Record<string, string>>()
  const planned = []
  for (const [index, chapter] of chapters.entries()) {
    const userId = userIds[index % userIds.length]!
    planned.push({ chapter, userId, install: await plan(context, sites, widgetIds, chapter, userId) })
  }
  const spare = await toPaste(context, planned[0]!.install)
  // A cached copy stays one only when nobody clears that site's cache after it.
  const inTurn = [...planned].sort(
    (a, b) => Number(a.chapter.outcome === 'cached-copy') - Number(b.chapter.outcome === 'cached-copy'),
  )
  for (const { chapter, install, userId } of inTurn) {
    if (chapter.outcome !== 'planned') {
      const key = `${chapter.site} ${chapter.page}`
      if (!boxes.has(key)) boxes.set(key, {})
      const pasted = await toPaste(context, install)
      if (pasted.drawn) boxes.get(key)![`${chapter.region}.${pasted.box}-height`] = String(tallest(pasted.drawn))
      await bringAbout[chapter.outcome]({
        ...chapter,
        desks,
        ...pasted,
        otherSnippet: spare.snippet,
        boxes: boxes.get(key)!,
      })
      if (chapter.outcome === 'signed-in-only') await notePreview(desks, chapter, install)
      await install.update({ status: 'pasted', pastedAt: new Date() })
      await record('pasted', { userId, installId: install.id })
    }
  }
  for (const { chapter, install, userId } of planned) {
    if (chapter.outcome !== 'planned' && chapter.outcome !== 'pasted') await check(context, install, userId)
    if (chapter.outcome === 'retired')
      await retire(context, desks, chapter, install, userId, boxes.get(`${chapter.site} ${chapter.page}`)!)
  }
  for (const { chapter, install } of planned) await setBack(context, install, chapter.hoursAgo)
  return planned.filter(({ chapter }) => worthABrowser(chapter)).map(({ install }) => install)
}

async function plan(
  context: Context,
  sites: Map<string, Site>,
  widgetIds: Record<string, string>,
  chapter: Chapter,
  userId: string,
): Promise<Install> {
  const siteId = sites.get(chapter.site)!.id
  const page = (await Page.findOne({ where: { siteId, path: chapter.page } }))!
  const placement = (await Placement.findOne({ where: { siteId, region: chapter.region } }))!
  const install = await planInstall(
    context,
    { widgetId: widgetIds[chapter.widget]!, pageId: page.id, placementId: placement.id, method: chapter.method },
    userId,
  )
  await finishOpenChecks(context, install)
  return install.reload()
}

/** The agency was given the address at which that site's editors look before they publish. */
async function notePreview(desks: Desks, { site, page }: Chapter, { pageId }: Install): Promise<void> {
  const from = (await desks.sites()).find(({ host }) => host === site)!
  const { preview } = from.pages.find(({ path }) => path === page)!
  await Page.update({ previewUrl: desks.siteOrigin(site) + preview }, { where: { id: pageId } })
}

const finishOpenChecks = (context: Context, install: Install) => lookAtPage(context, install.pageId)

async function check(context: Context, install: Install, userId: string): Promise<void> {
  await queueCheck(context, await install.reload(), install.retiring ? 'retire' : 'person', userId)
  await finishOpenChecks(context, install)
  await install.reload()
}

async function retire(
  context: Context,
  desks: Desks,
  chapter: Chapter,
  install: Install,
  userId: string,
  boxes: Record<string, string>,
): Promise<void> {
  boxes[`${chapter.region}.${(await toPaste(context, install)).box}`] = ''
  await desks.publish(chapter.site, chapter.page, boxes)
  await desks.emptyCache(chapter.site)
  await install.update({ retiring: true })
  await record('retiring', { userId, installId: install.id })
  await check(context, install, userId)
}

/** The snippet, the editor's box that it goes into, and how large that is drawn for it. */
async function toPaste(context: Context, install: Install) {
  const [said] = await instructionsFor(context, [install.id])
  const { snippets, advice, drawn } = said!
  const chosen = [advice.best, ...advice.others].find(({ method }) => method === install.method)!
  return { snippet: snippets[install.method], box: chosen.box?.id ?? 'code', drawn }
}

/** The story did not happen all today. */
async function setBack({ db }: Context, install: Install, hours: number): Promise<void> {
  const replacements = { hours, id: install.id }
  const back = (column: string) => `${column} = ${column} - make_interval(hours => :hours)`
  await db.query(
    `UPDATE installs SET ${['planned_at', 'pasted_at', 'confirmed_at', 'retired_at'].map(back).join(', ')} WHERE id = :id`,
    { replacements },
  )
  await db.query(`UPDATE activity SET ${back('at')} WHERE install_id = :id`, { replacements })
}
