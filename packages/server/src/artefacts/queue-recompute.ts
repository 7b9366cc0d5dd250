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

/** What a change is of: a source's items; a site's look, language or time zone; and so on. */
interface Change {
  /** The widgets that it reaches; `:id` is the thing's own. */
  widgets: string
  /** Which of their installs; left out: all. */
  within?(id: string): Within
}

const STANDING = `
SELECT DISTINCT i.widget_id AS "widgetId"
FROM installs i JOIN pages p ON p.id = i.page_id JOIN sites s ON s.id = p.site_id JOIN clients c ON c.id = s.client_id
WHERE i.status <> 'retired'`

const changes = {
  /** Items that are stored: every widget that reads the source. */
  source: { widgets: `SELECT widget_id AS "widgetId" FROM widget_sources WHERE source_id = :id` },
  /** A site's look or time zone: the frames on its pages wear the one, what counts by day follows the other. */
  site: { widgets: `${STANDING} AND s.id = :id`, within: (siteId) => ({ siteId }) },
  /** A page's language: what stands on it speaks that. */
  page: { widgets: `${STANDING} AND p.id = :id`, within: (pageId) => ({ pageId }) },
  /** A placement's width: what stands in it is as tall as it is now. */
  placement: { widgets: `${STANDING} AND i.placement_id = :id`, within: (placementId) => ({ placementId }) },
  /** Whether a client has the agency's line. */
  client: { widgets: `${STANDING} AND s.client_id = :id` },
  /** A widget that stands within others, by its draft or newest release. */
  inside: {
    widgets: `
SELECT id AS "widgetId" FROM widgets WHERE draft ->> 'inside' = :id
UNION SELECT widget_id FROM releases r WHERE settings ->> 'inside' = :id
  AND number = (SELECT max(number) FROM releases WHERE widget_id = r.widget_id)`,
  },
} as const satisfies Record<string, Change>

/** In the transaction of the change: whatever it reaches is rendered anew. @param id of what is changed */
export const recomputeFor = (context: Queueing, what: keyof typeof changes, id: string, transaction: Transaction) =>
  queueReached(context, changes[what], id, transaction)

/** In the transaction that words the agency's line anew: whatever stands above it. */
export const recomputeCredited = (context: Queueing, transaction: Transaction) =>
  queueReached(context, { widgets: `${STANDING} AND c.credited` }, '', transaction)

async function queueReached(
  { db, queue }: Queueing,
  { widgets, within }: Change,
  id: string,
  transaction: Transaction,
) {
  const reached = await db.query<{ widgetId: string }>(widgets, {
    replacements: { id },
    type: QueryTypes.SELECT,
    transaction,
  })
  const jobs = reached.map(({ widgetId }) => ({ widgetId, ...(within && { within: within(id) }) }))
  await queue.sendMany(recomputeJob, jobs, transaction)
}
