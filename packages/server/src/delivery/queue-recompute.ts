import { QueryTypes, type Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { job } from '../platform/queue'

/** Which of a widget's installs; all when nothing is said. */
export interface Within {
  siteId?: string
  placementId?: string
  pageId?: string
  installIds?: string[]
}

/** Bring what a widget's installs serve up to date. Whatever is queued, the newest release and items are what is rendered. */
export const recomputeJob = job<{ widgetId: string; within?: Within }>('recompute')

type Queueing = Pick<Context, 'db' | 'queue'>

/** In the transaction that changes the widget itself, a release, its name; or what of it only some installs show. */
export const recomputeWidget = ({ queue }: Queueing, widgetId: string, transaction: Transaction, within?: Within) =>
  queue.sendMany(recomputeJob, [{ widgetId, within }], transaction)

/** What is rendered right after a transaction, by `recomputeNow`. */
export interface Pending {
  widgetId: string
  within: Within
  job: string
}

/** Seconds: longer than one rendering takes. */
const IN_CASE = 30

/** In a transaction after which the same process calls `recomputeNow`: whoever looks next sees it. */
export const recomputeAfter = async (
  { queue }: Queueing,
  widgetId: string,
  within: Within,
  transaction: Transaction,
): Promise<Pending> => ({
  widgetId,
  within,
  job: await queue.sendInCase(recomputeJob, { widgetId, within }, IN_CASE, transaction),
})

const reading = `SELECT widget_id AS "widgetId" FROM widget_sources WHERE source_id = :id`
const standingOnSite = `
SELECT DISTINCT i.widget_id AS "widgetId" FROM installs i JOIN pages p ON p.id = i.page_id
WHERE p.site_id = :id AND i.status <> 'retired'`
const standingOnPage = `SELECT DISTINCT widget_id AS "widgetId" FROM installs WHERE page_id = :id AND status <> 'retired'`
const standingInPlacement = `SELECT DISTINCT widget_id AS "widgetId" FROM installs WHERE placement_id = :id AND status <> 'retired'`

const standingForClient = `
SELECT DISTINCT i.widget_id AS "widgetId" FROM installs i JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id
WHERE s.client_id = :id AND i.status <> 'retired'`
const standingCredited = `
SELECT DISTINCT i.widget_id AS "widgetId" FROM installs i JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id JOIN clients c ON c.id = s.client_id
WHERE c.credited AND i.status <> 'retired' AND :id = ''`

const holding = `
SELECT id AS "widgetId" FROM widgets WHERE draft ->> 'inside' = :id
UNION SELECT widget_id FROM releases r WHERE settings ->> 'inside' = :id
  AND number = (SELECT max(number) FROM releases WHERE widget_id = r.widget_id)`

const widgetsBy = ({ db }: Queueing, sql: string, id: string, transaction: Transaction) =>
  db.query<{ widgetId: string }>(sql, { replacements: { id }, type: QueryTypes.SELECT, transaction })

/** In the transaction that stores a source's new items: every widget that reads it. */
export async function recomputeForSource(context: Queueing, sourceId: string, transaction: Transaction): Promise<void> {
  await context.queue.sendMany(recomputeJob, await widgetsBy(context, reading, sourceId, transaction), transaction)
}

/** In the transaction that notes a site's look or time zone: the frames on its pages wear the one, what counts by day follows the other. */
export async function recomputeForSite(context: Queueing, siteId: string, transaction: Transaction): Promise<void> {
  const widgets = await widgetsBy(context, standingOnSite, siteId, transaction)
  const jobs = widgets.map(({ widgetId }) => ({ widgetId, within: { siteId } }))
  await context.queue.sendMany(recomputeJob, jobs, transaction)
}

/** In the transaction that changes a placement's width: what stands in it is as tall as it is now. */
export async function recomputeForPlacement(
  context: Queueing,
  placementId: string,
  transaction: Transaction,
): Promise<void> {
  const widgets = await widgetsBy(context, standingInPlacement, placementId, transaction)
  const jobs = widgets.map(({ widgetId }) => ({ widgetId, within: { placementId } }))
  await context.queue.sendMany(recomputeJob, jobs, transaction)
}

/** In the transaction that notes a page's language: what stands on it speaks that. */
export async function recomputeForPage(context: Queueing, pageId: string, transaction: Transaction): Promise<void> {
  const widgets = await widgetsBy(context, standingOnPage, pageId, transaction)
  const jobs = widgets.map(({ widgetId }) => ({ widgetId, within: { pageId } }))
  await context.queue.sendMany(recomputeJob, jobs, transaction)
}

/** In the transaction that gives a client the agency's line, or takes it away: whatever stands on its sites. */
export async function recomputeForClient(context: Queueing, clientId: string, transaction: Transaction): Promise<void> {
  await context.queue.sendMany(
    recomputeJob,
    await widgetsBy(context, standingForClient, clientId, transaction),
    transaction,
  )
}

/** In the transaction that words the agency's line anew: whatever stands above it. */
export async function recomputeCredited(context: Queueing, transaction: Transaction): Promise<void> {
  await context.queue.sendMany(recomputeJob, await widgetsBy(context, standingCredited, '', transaction), transaction)
}

/** In the transaction that renders a widget: those that it stands in. */
export async function recomputeHolders(context: Queueing, widgetId: string, transaction: Transaction): Promise<void> {
  await context.queue.sendMany(recomputeJob, await widgetsBy(context, holding, widgetId, transaction), transaction)
}
