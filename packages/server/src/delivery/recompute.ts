import { Op, type Transaction } from 'sequelize'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { notePictures } from '../pictures/own-pictures'
import { keepSiteLists, sitesBroughtTo } from '../artefacts/site-list'
import { Page } from '../sites/models'
import { Release, Widget } from '../widgets/models'
import { noteEmptiness, unlessGood } from './emptiness'
import { artefactsOf, thumbnailOf } from './make-artefacts'
import { recomputeFor, recomputeJob, type Pending, type Within } from '../artefacts/queue-recompute'
import { readInputs, rendererOf, type Renderer, type WidgetInputs } from './render-widget'
import { lockStored, nextRendering, storeRendering } from '../artefacts/rendering-order'
import { inSnapshot } from '../platform/database/snapshot'
import { shownReleases } from './shown-releases'
import type { NewArtefact } from '../artefacts/store-artefacts'
import { surroundingsOf, type Surrounded } from './surroundings'

const BATCH = 200

/**
 * Renders a widget's newest release and stores what its living installs serve, and how the widget looks in a list. Reads in
 * short transactions and stores in short ones; nothing is held while it renders (see rendering-order.ts).
 */
export async function recompute(context: Context, widgetId: string, within: Within = {}): Promise<void> {
  const rendering = await nextRendering(context.db)
  const read = await inSnapshot(context.db, (transaction) => readWidget(widgetId, transaction))
  if (!read) return
  const drawn = await drawnOf(context, read)
  if (!within.installIds) await storeOfWidget(context, rendering, widgetId, drawn)
  if (drawn.newest === null) return
  for (let after: string | null = ''; after !== null;)
    after = await recomputeBatch(context, rendering, { widgetId, within, after, drawn })
}

/** The same at once, after the transaction of `recomputeAfter`. Should it fail, the queue does it a little later. */
export async function recomputeNow(context: Context, { widgetId, within, job }: Pending): Promise<void> {
  try {
    await recompute(context, widgetId, within)
    await context.queue.takeBack(recomputeJob, job)
  } catch (error) {
    context.log.error(error, 'what an install serves was not rendered at once')
  }
}

/** What a widget is rendered from: of its newest release and those that installs are held at, or of its draft before there is one. */
interface WidgetRead {
  draft: WidgetInputs
  newest: number | null
  shown: Map<number, WidgetInputs>
}

async function readWidget(widgetId: string, transaction: Transaction): Promise<WidgetRead | null> {
  const widget = await Widget.findByPk(widgetId, { transaction })
  if (!widget) return null
  const release = await Release.findOne({ where: { widgetId }, order: [['number', 'DESC']], transaction })
  const stored = release ?? { settings: widget.draft, kindVersion: widget.kindVersion }
  const inputs = await readInputs({ kind: widget.kind, name: release?.name ?? widget.name }, stored, transaction)
  if (!inputs) return null
  if (!release) return { draft: inputs, newest: null, shown: new Map() }
  const shown = await shownReleases(widget, { number: release.number, inputs }, transaction)
  return { draft: inputs, newest: release.number, shown }
}

/** Ready to be drawn. */
interface Drawn {
  /** For lists. */
  listed: Renderer
  newest: number | null
  byRelease: ReadonlyMap<number, { name: string; renderer: Renderer }>
}

async function drawnOf(context: Context, { draft, newest, shown }: WidgetRead): Promise<Drawn> {
  const listed = await rendererOf(context, draft)
  const byRelease = new Map<number, { name: string; renderer: Renderer }>()
  for (const [number, inputs] of shown)
    byRelease.set(number, {
      name: inputs.name,
      renderer: number === newest ? listed : await rendererOf(context, inputs),
    })
  return { listed, newest, byRelease }
}

/** What is of the widget as a whole: its drawing in lists, what shows it, whether it shows anything, and its pictures. */
async function storeOfWidget(context: Context, rendering: string, widgetId: string, drawn: Drawn): Promise<void> {
  const { listed, newest, byRelease } = drawn
  const thumbnail = thumbnailOf(context.config.origin, widgetId, listed)
  await context.db.transaction(async (transaction) => {
    await lockStored(context, widgetId, transaction)
    const widget = await Widget.findByPk(widgetId, { transaction, lock: transaction.LOCK.KEY_SHARE })
    if (!widget || !(await storeRendering(context, rendering, [thumbnail], transaction)) || newest === null) return
    await recomputeFor(context, 'inside', widgetId, transaction)
    await noteEmptiness(widget, listed, newest, transaction)
    const renderers = [...byRelease.values()].map(({ renderer }) => renderer)
    const pictures = [...new Set(renderers.flatMap((one) => one.pictures))]
    await notePictures(context, widgetId, pictures, new Set(renderers.flatMap((one) => one.missing)), transaction)
  })
}

interface Batch {
  widgetId: string
  within: Within
  /** Id of the last install of the batch before. */
  after: string
  drawn: Drawn
}

/** @returns the last install's id; null after the last batch */
async function recomputeBatch(
  context: Context,
  rendering: string,
  { widgetId, within, after, drawn }: Batch,
): Promise<string | null> {
  const batch = await inSnapshot(context.db, async (transaction) => {
    const installs = await Install.findAll({
      where: { [Op.and]: [await whereWithin(widgetId, within, transaction), after ? { id: { [Op.gt]: after } } : {}] },
      order: [['id', 'ASC']],
      limit: BATCH,
      transaction,
    })
    return surroundingsOf(context, installs, drawn.listed, transaction)
  })
  if (!batch.length) return null
  const made = new Map<Renderer, NewArtefact[]>()
  for (const [release, { name, renderer }] of drawn.byRelease)
    made.set(renderer, artefactsOf(context.config.origin, shownAt(batch, release, drawn), { release, name }, renderer))
  await storeBatch(context, rendering, { widgetId, batch, made })
  return batch.length < BATCH ? null : batch.at(-1)!.install.id
}

/** Those that show a release: the newest, unless they are held at another that is there. */
const shownAt = (batch: readonly Surrounded[], release: number, { newest, byRelease }: Drawn): Surrounded[] =>
  batch.filter(({ install: { heldRelease } }) => (byRelease.has(heldRelease ?? 0) ? heldRelease : newest) === release)

/** Of those that are still this widget's and living. */
async function storeBatch(
  context: Context,
  rendering: string,
  {
    widgetId,
    batch,
    made,
  }: { widgetId: string; batch: readonly Surrounded[]; made: ReadonlyMap<Renderer, NewArtefact[]> },
): Promise<void> {
  await context.db.transaction(async (transaction) => {
    await lockStored(context, widgetId, transaction)
    const living = await Install.findAll({
      attributes: ['id', 'method'],
      where: { id: batch.map(({ install }) => install.id), widgetId, status: { [Op.ne]: 'retired' } },
      order: ['id'],
      lock: transaction.LOCK.KEY_SHARE,
      transaction,
    })
    const ids = new Set(living.map(({ id }) => id))
    for (const [renderer, all] of made) {
      const own = all.filter(({ installId }) => ids.has(installId!))
      const wanted = renderer.isEmpty ? await unlessGood(own, transaction) : own
      await storeRendering(context, rendering, wanted, transaction)
    }
    // The room that the tag keeps for each is as high as what was drawn.
    const byTag = living.filter(({ method }) => method === 'tag').map(({ id }) => id)
    await keepSiteLists(context, await sitesBroughtTo(context, byTag, transaction), transaction)
  })
}

async function whereWithin(widgetId: string, within: Within, transaction: Transaction) {
  const pages = within.siteId
    ? await Page.findAll({ attributes: ['id'], where: { siteId: within.siteId }, transaction })
    : null
  return {
    widgetId,
    status: { [Op.ne]: 'retired' as const },
    ...(within.installIds ? { id: within.installIds } : {}),
    ...(within.placementId ? { placementId: within.placementId } : {}),
    ...(within.pageId ? { pageId: within.pageId } : {}),
    ...(pages ? { pageId: pages.map((page) => page.id) } : {}),
  }
}
