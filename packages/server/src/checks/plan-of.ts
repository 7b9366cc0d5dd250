import { methodIds, versionMark, type SnippetRequest } from '@pebblestrand/core/methods'
import { Plan } from '@pebblestrand/core/verify'
import { QueryTypes } from 'sequelize'
import { Artefact, type ArtefactFacts } from '../artefacts/models'
import { OVER_PAGE_WIDTH } from '../artefacts/over-page'
import { scriptNow } from '../artefacts/script-versions'
import { newestTests, stoppedAt } from '../forms/due-tests'
import type { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { profileOf } from '../profiles/profile-of'
import { tagOf } from '../artefacts/site-tag'
import { addressOf } from '../sites/address'
import { Page, Placement, Site } from '../sites/models'
import { handedTexts } from '../sheets/handed-texts'
import { mutedCodes } from './mutes'

/** The site's living installs, to name what stands where another belongs. */
const livingOnSite = `
SELECT i.id, i.public_id AS install, w.name, i.placement_id AS "placementId"
FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id
WHERE p.site_id = :siteId AND i.status <> 'retired' LIMIT 2000`

interface Living {
  id: string
  install: string
  name: string
  placementId: string | null
}

/** What the register says of installs on one page, as the verifier wants it, and where that page is. */
export async function plansOf(
  { db, config }: Context,
  pageId: string,
  installs: readonly Install[],
): Promise<{ plans: Plan[]; url: string; preview: string | null }> {
  const page = (await Page.findByPk(pageId, { include: Site }))!
  const site = page.Site!
  const placementIds = installs.flatMap((install) => install.placementId ?? [])
  const placements = new Map((await Placement.findAll({ where: { id: placementIds } })).map((p) => [p.id, p]))
  const living = await db.query<Living>(livingOnSite, { replacements: { siteId: site.id }, type: QueryTypes.SELECT })
  const releases = await newestReleases(
    db,
    installs.map((install) => install.widgetId),
  )
  const shown = await shownOf(installs.map(({ id }) => id))
  const url = addressOf({ origin: site.origin, path: page.path })
  const tag = await tagOf(db, site.id)
  const { words } = await profileOf(site.platform)
  const handed = await handedTexts(
    installs.map(({ id }) => id),
    site.timeZone,
  )
  const tests = await newestTests(
    { db },
    installs.map(({ publicId }) => publicId),
  )
  const muted = await mutedCodes(installs.map(({ id }) => id))
  const plans = installs.map((install) => {
    const placement = install.placementId ? placements.get(install.placementId)! : null
    return Plan.parse({
      install: install.publicId,
      origin: config.origin,
      method: install.method,
      tag: tag?.publicId ?? null,
      placement: placement && {
        region: placement.region,
        selector: placement.selector,
        width: placement.width,
        measured: placement.known === 'read',
      },
      texts: marksOf({
        origin: config.origin,
        publicId: install.publicId,
        width: placement?.width ?? OVER_PAGE_WIDTH,
        plays: Boolean(shown.get(install.id)?.players?.length),
        asks: shown.get(install.id)?.behaviours?.includes('form') ?? false,
      }),
      handed: handed.get(install.id) ?? [],
      url,
      status: install.status,
      pastedAt: install.pastedAt?.toISOString() ?? null,
      baseline: install.confirmedAt ? null : install.baseline, // once it was there, an unchanged page says nothing about publishing
      others: living
        .filter((other) => other.id !== install.id)
        .map(({ install: id, name, placementId }) => ({
          install: id,
          name,
          here: placementId !== null && placementId === install.placementId,
        })),
      muted: muted.get(install.id) ?? [],
      retiring: install.retiring,
      players: [...(shown.get(install.id)?.players ?? [])],
      undelivered: stoppedAt(tests.get(install.publicId)),
      release: install.heldRelease ?? releases.get(install.widgetId) ?? null,
      words,
    })
  })
  return { plans, url, preview: page.previewUrl }
}

/** By any method, with any version of the script that there is now, frames of either height. */
const marksOf = (about: Pick<SnippetRequest, 'origin' | 'publicId' | 'width' | 'plays' | 'asks'>): string[] => {
  const request = { ...about, height: 0, name: '', agency: '' }
  const ways = [{}, { grows: true }].flatMap((way) => [way, { ...way, pinned: scriptNow }])
  return [...new Set(methodIds.flatMap((method) => ways.map((way) => versionMark(method, { ...request, ...way }))))]
}

/** What is known of what each install shows, by its id: what plays in frames, what a visitor can do. */
async function shownOf(installIds: string[]): Promise<Map<string, ArtefactFacts>> {
  const rows = await Artefact.findAll({
    attributes: ['installId', 'facts'],
    where: { installId: installIds, form: 'payload' },
  })
  return new Map(rows.map(({ installId, facts }) => [installId!, facts]))
}

const NEWEST = `SELECT widget_id AS "widgetId", max(number) AS number FROM releases WHERE widget_id IN (:ids) GROUP BY 1`

/** Number of each widget's newest release, which its installs should show. */
async function newestReleases(db: Context['db'], ids: string[]): Promise<Map<string, number>> {
  if (!ids.length) return new Map()
  const rows = await db.query<{ widgetId: string; number: number }>(NEWEST, {
    replacements: { ids: [...new Set(ids)] },
    type: QueryTypes.SELECT,
  })
  return new Map(rows.map((row) => [row.widgetId, Number(row.number)]))
}
