import { createHash } from 'node:crypto'
import { compute, kindOf, type PayloadBase } from '@pebblestrand/core/kinds'
import { frameDocument } from '@pebblestrand/widget'
import { Op, type Transaction } from 'sequelize'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { Page, Placement, Site } from '../sites/models'
import { Source } from '../sources/models'
import { itemsOf } from '../sources/store-items'
import { Release, Widget, WidgetSource, type Settings } from '../widgets/models'
import { Payload } from './models'

/** PostgreSQL channel on which every web process hears that an install's bytes changed. */
export const CHANNEL = 'pebblestrand_payload'

const BATCH = 100

/** A release's payload without an install: its id is filled in for each. */
export async function releasePayload(
  widget: Widget,
  release: { number: number; settings: Settings },
  transaction?: Transaction,
): Promise<PayloadBase> {
  const kind = kindOf(widget.kind)!
  const settings = kind.settings.parse(release.settings)
  const sourceIds = (settings.sources as string[] | undefined) ?? []
  const sources = await Source.findAll({ where: { id: sourceIds }, transaction })
  const context = {
    publicId: '',
    release: release.number,
    widgetName: widget.name,
    sources: Object.fromEntries(sources.map((s) => [s.id, { title: s.title, link: s.link }])),
  }
  return compute(kind, settings, await itemsOf(sourceIds, transaction), context, new Date()).payload
}

/** Which of a widget's installs; all when nothing is said. */
interface Which {
  installId?: string
  placementId?: string[]
}

/**
 * Computes and stores what the living installs of a widget serve; one computation, then an id and a look for each install.
 * One at a time for a widget: what was computed from an older release or older items is never stored over newer.
 */
export async function recomputeForWidget(context: Context, widgetId: string, which: Which = {}): Promise<void> {
  await context.db.transaction(async (transaction) => {
    await inTurn(context, widgetId, transaction)
    const widget = await Widget.findByPk(widgetId, { transaction })
    const release = widget && (await Release.findOne({ where: { widgetId }, order: [['number', 'DESC']], transaction }))
    if (!widget || !release) return
    const payload = await releasePayload(widget, release, transaction)
    const where = {
      widgetId,
      status: { [Op.ne]: 'retired' as const },
      ...(which.installId ? { id: which.installId } : {}),
      ...(which.placementId ? { placementId: which.placementId } : {}),
    }
    for (let offset = 0; ; offset += BATCH) {
      const installs = await Install.findAll({ where, order: [['id', 'ASC']], limit: BATCH, offset, transaction })
      await storeFor(context, installs, release, payload, transaction)
      if (installs.length < BATCH) return
    }
  })
}

/** Waits for whoever else works on what a widget's installs serve; held to the transaction's end. */
export async function inTurn({ db }: Context, widgetId: string, transaction: Transaction): Promise<void> {
  await db.query('SELECT pg_advisory_xact_lock(hashtextextended(:widgetId, 0))', {
    replacements: { widgetId },
    transaction,
  })
}

/** After a source changed: every widget that reads it. */
export async function recomputeForSource(context: Context, sourceId: string): Promise<void> {
  const widgets = await WidgetSource.findAll({ where: { sourceId } })
  for (const { widgetId } of widgets) await recomputeForWidget(context, widgetId)
}

/** After a placement changed its width: what stands in it is as tall as it is now. */
export const recomputeForPlacement = (context: Context, placementId: string) =>
  recomputeAll(context, { placementId: [placementId] })

/** After a site's look was noted anew: the frames on its pages wear it. */
export async function recomputeForSite(context: Context, siteId: string): Promise<void> {
  const placements = await Placement.findAll({ attributes: ['id'], where: { siteId } })
  await recomputeAll(context, { placementId: placements.map((p) => p.id) })
}

async function recomputeAll(context: Context, which: Required<Pick<Which, 'placementId'>>): Promise<void> {
  const installs = await Install.findAll({ attributes: ['widgetId'], where: { ...which } })
  for (const widgetId of new Set(installs.map((i) => i.widgetId))) await recomputeForWidget(context, widgetId, which)
}

async function storeFor(
  context: Context,
  installs: Install[],
  release: Release,
  payload: PayloadBase,
  transaction: Transaction,
): Promise<void> {
  if (!installs.length) return
  const places = await placesOf(installs, transaction)
  const rows = installs.map((install) => {
    const { look, width } = places.get(install.id)!
    const own = { ...payload, id: install.publicId }
    const body = JSON.stringify(own)
    const frame = frameDocument(own, context.config.origin, look)
    const height = kindOf(payload.kind)!.height(own, width)
    return {
      installId: install.id,
      publicId: install.publicId,
      releaseId: release.id,
      body,
      bodyEtag: etag(body),
      frame,
      frameEtag: etag(frame),
      height,
      computedAt: new Date(),
    }
  })
  await Payload.bulkCreate(rows, {
    updateOnDuplicate: ['releaseId', 'body', 'bodyEtag', 'frame', 'frameEtag', 'height', 'computedAt'],
    conflictAttributes: ['installId'] as never,
    transaction,
  })
  await announce(
    context,
    rows.map((row) => row.publicId),
    transaction,
  )
}

/** Says that what these installs serve has changed or is gone; heard when the transaction is through. */
export async function announce({ db }: Context, publicIds: string[], transaction: Transaction): Promise<void> {
  await db.query('SELECT pg_notify($channel, id) FROM unnest($publicIds::text[]) AS id', {
    bind: { channel: CHANNEL, publicIds },
    transaction,
  })
}

async function placesOf(installs: Install[], transaction: Transaction) {
  const placements = new Map(
    (await Placement.findAll({ where: { id: installs.map((i) => i.placementId) }, transaction })).map((p) => [p.id, p]),
  )
  const pages = new Map(
    (await Page.findAll({ where: { id: installs.map((i) => i.pageId) }, include: Site, transaction })).map((p) => [
      p.id,
      p,
    ]),
  )
  return new Map(
    installs.map((i) => [i.id, { width: placements.get(i.placementId)!.width, look: pages.get(i.pageId)!.Site!.look }]),
  )
}

const etag = (text: string) => `"${createHash('sha256').update(text).digest('base64url').slice(0, 22)}"`
