import { SITE_TAG } from '@pebblestrand/contract'
import { siteListOf } from '@pebblestrand/core/artefacts'
import { QueryTypes, type Transaction } from 'sequelize'
import { storeArtefacts } from './store-artefacts'
import type { Context } from '../platform/context'
import { tagOf } from './site-tag'

/** What the tag of a site brings: every living install by it. */
const brought = `
SELECT i.public_id AS id, p.path, pl.selector, a.facts FROM installs i JOIN widgets w ON w.id = i.widget_id JOIN pages p ON p.id = i.page_id
LEFT JOIN placements pl ON pl.id = i.placement_id LEFT JOIN artefacts a ON a.public_id = i.public_id AND a.form = 'payload'
WHERE p.site_id = :siteId AND i.method = 'tag' AND w.kind <> '${SITE_TAG}' AND i.status <> 'retired' AND NOT i.retiring
  AND (i.placement_id IS NULL OR pl.selector IS NOT NULL)
ORDER BY i.planned_at, i.id LIMIT 500`

interface Row {
  id: string
  path: string
  selector: string | null
  facts: { height?: number; narrower?: { tablet?: number; phone?: number } } | null
}

/** Whoever writes it after another has seen what that one added. Taken last in a transaction, and held to its end. */
const LOCK = `SELECT pg_advisory_xact_lock(hashtextextended('site list ' || :siteId, 0))`

/** Writes anew what a site's tag brings. In the transaction that changes it: an install by the tag, its page, its placement. */
export async function keepSiteList(context: Context, siteId: string, transaction: Transaction): Promise<void> {
  const tag = await tagOf(context.db, siteId, transaction)
  if (!tag) return
  await context.db.query(LOCK, { replacements: { siteId }, transaction })
  const rows = await context.db.query<Row>(brought, { replacements: { siteId }, type: QueryTypes.SELECT, transaction })
  const list = siteListOf(
    rows.map(({ id, path, selector, facts }) => ({
      id,
      path,
      selector,
      heights: facts?.height ? { height: facts.height, ...facts.narrower } : null,
    })),
  )
  const artefact = {
    publicId: tag.publicId,
    form: 'site',
    installId: tag.id,
    widgetId: null,
    contentType: 'application/json; charset=utf-8',
    text: JSON.stringify(list),
    facts: {},
  }
  await storeArtefacts(context, [artefact], transaction)
}

/** The same, of several sites: those of `sitesBroughtTo`. */
export async function keepSiteLists(
  context: Context,
  siteIds: readonly string[],
  transaction: Transaction,
): Promise<void> {
  for (const siteId of siteIds) await keepSiteList(context, siteId, transaction)
}

/** Sites whose tag brings one of these installs, or is one of them. */
export async function sitesBroughtTo(
  { db }: Pick<Context, 'db'>,
  installIds: readonly string[],
  transaction: Transaction,
): Promise<string[]> {
  if (!installIds.length) return []
  const rows = await db.query<{ id: string }>(
    `SELECT DISTINCT p.site_id AS id FROM installs i JOIN pages p ON p.id = i.page_id WHERE i.method = 'tag' AND i.id IN (:installIds) ORDER BY 1`,
    { replacements: { installIds }, type: QueryTypes.SELECT, transaction },
  )
  return rows.map(({ id }) => id)
}

const siteOfPage = `SELECT site_id AS "siteId" FROM pages WHERE id = :pageId`

/** Writes anew what the tag brings on the site that an install stands on. */
export async function keepSiteListOf(
  context: Context,
  { pageId }: { pageId: string },
  transaction: Transaction,
): Promise<void> {
  const [page] = await context.db.query<{ siteId: string }>(siteOfPage, {
    replacements: { pageId },
    type: QueryTypes.SELECT,
    transaction,
  })
  if (page) await keepSiteList(context, page.siteId, transaction)
}
