import { artefactForms, formIds, partForm, payloadOf } from '@pebblestrand/core/artefacts'
import { Op, QueryTypes, type Transaction } from 'sequelize'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { notePictures } from '../pictures/own-pictures'
import { Page, Placement, Site } from '../sites/models'
import { Release, Widget } from '../widgets/models'
import { Artefact, THUMBNAIL } from './models'
import type { Within } from './queue-recompute'
import { rendererFor, type Renderer } from './render-widget'
import { storeArtefacts, type NewArtefact } from './store-artefacts'

const BATCH = 200

/** Waits for whoever else works on what a widget's installs serve; held to the transaction's end. */
export async function inTurn({ db }: Pick<Context, 'db'>, widgetId: string, transaction: Transaction): Promise<void> {
  await db.query('SELECT pg_advisory_xact_lock(hashtextextended(:widgetId, 0))', {
    replacements: { widgetId },
    transaction,
  })
}

/**
 * Renders a widget's newest release and stores what its living installs serve, and how the widget looks in a list. One at
 * a time for a widget: what was rendered from an older release or older items is never stored over newer.
 */
export const recompute = (context: Context, widgetId: string, within: Within = {}): Promise<void> =>
  context.db.transaction((transaction) => recomputeIn(context, widgetId, within, transaction))

/** The same within a transaction that is under way. */
export async function recomputeIn(
  context: Context,
  widgetId: string,
  within: Within,
  transaction: Transaction,
): Promise<void> {
  await inTurn(context, widgetId, transaction)
  const widget = await Widget.findByPk(widgetId, { transaction })
  if (!widget) return
  const release = await Release.findOne({ where: { widgetId }, order: [['number', 'DESC']], transaction })
  const stored = release ?? { settings: widget.draft, kindVersion: widget.kindVersion }
  const name = release?.name ?? widget.name
  const renderer = await rendererFor(context, { kind: widget.kind, name }, stored, transaction)
  if (!renderer) return
  if (!within.installIds) await storeArtefacts(context, [thumbnailOf(context, widget, renderer)], transaction)
  if (!release) return
  if (!within.installIds) {
    await noteEmptiness(widget, renderer, release.number, transaction)
    await notePictures(context, widgetId, renderer.pictures, transaction)
  }
  const where = await whereWithin(widgetId, within, transaction)
  for (let after = ''; ;) {
    const installs = await Install.findAll({
      where: { [Op.and]: [where, after ? { id: { [Op.gt]: after } } : {}] },
      order: [['id', 'ASC']],
      limit: BATCH,
      transaction,
    })
    const about = { release: release.number, name }
    const made = await artefactsOf(context, installs, about, renderer, transaction)
    await storeArtefacts(context, renderer.isEmpty ? await unlessGood(made, transaction) : made, transaction)
    if (installs.length < BATCH) return
    after = installs.at(-1)!.id
  }
}

/** Of the release that is served already, the last good copy stays where nothing is left: for these there is nothing to store. */
async function unlessGood(made: readonly NewArtefact[], transaction: Transaction): Promise<NewArtefact[]> {
  const there = await Artefact.findAll({
    attributes: ['publicId', 'facts'],
    where: { publicId: [...new Set(made.map(({ publicId }) => publicId))] },
    transaction,
  })
  const good = new Map(there.map(({ publicId, facts }) => [publicId, facts.empty ? undefined : facts.release]))
  return made.filter(({ publicId, facts }) => good.get(publicId) !== facts.release)
}

/** A release that showed something and shows nothing any more is told of until it does again, or another one is published. */
async function noteEmptiness(
  widget: Widget,
  { isEmpty }: Renderer,
  release: number,
  transaction: Transaction,
): Promise<void> {
  const had = isEmpty ? await showedSome(widget, release, transaction) : false
  const emptiedAt = had ? (widget.emptiedAt ?? new Date()) : null
  if (widget.emptiedAt?.getTime() !== emptiedAt?.getTime()) await widget.update({ emptiedAt }, { transaction })
}

async function showedSome({ id, sequelize }: Widget, release: number, transaction: Transaction): Promise<boolean> {
  const sql = `SELECT EXISTS (
    SELECT 1 FROM artefacts a JOIN installs i ON i.id = a.install_id
    WHERE i.widget_id = :id AND i.status <> 'retired' AND (a.facts ->> 'release')::int = :release AND a.facts ->> 'empty' IS NULL
  ) AS there`
  const [row] = await sequelize.query<{ there: boolean }>(sql, {
    replacements: { id, release },
    type: QueryTypes.SELECT,
    transaction,
  })
  return row!.there
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
    ...(pages ? { pageId: pages.map((page) => page.id) } : {}),
  }
}

async function artefactsOf(
  context: Context,
  installs: Install[],
  about: { release: number; name: string },
  renderer: Renderer,
  transaction: Transaction,
): Promise<NewArtefact[]> {
  if (!installs.length) return []
  const places = await placesOf(installs, transaction)
  const facts = await factsOf(context, installs, renderer, transaction)
  const common = renderer.alike ? renderer.render({}) : null
  // Many installs have the same payload, the same width and the same look around them.
  const heights = new Map<number, number>()
  return installs.flatMap((install) => {
    const { rendered, expected } = common ?? renderer.render(facts(install.id))
    const { widths, look } = places(install)
    if (!common) heights.clear()
    const heightIn = (width: number | null) => {
      if (!width) return 0
      if (!heights.has(width)) heights.set(width, renderer.kind.box?.height(expected, width) ?? 0)
      return heights.get(width)!
    }
    const narrower = {
      ...(widths.tablet ? { tablet: heightIn(widths.tablet) } : {}),
      ...(widths.phone ? { phone: heightIn(widths.phone) } : {}),
    }
    const payload = payloadOf(rendered, about)
    const around = { origin: context.config.origin, publicId: install.publicId, look }
    const known = {
      height: heightIn(widths.desktop),
      ...(Object.keys(narrower).length ? { narrower } : {}),
      release: about.release,
      ...(renderer.isEmpty ? { empty: true } : {}),
    }
    const { publicId, id: installId } = install
    const shared = { publicId, installId, widgetId: null, facts: known }
    return [
      ...formIds.map((form) => ({
        ...shared,
        form,
        contentType: artefactForms[form].contentType,
        text: artefactForms[form].text(payload, around),
      })),
      ...(rendered.more ?? []).map((part, at) => ({
        ...shared,
        form: partForm(at + 1),
        contentType: artefactForms.payload.contentType,
        text: JSON.stringify(part),
      })),
    ]
  })
}

/** What the subjects know of each install, by the names its kind asks for. */
async function factsOf(context: Context, installs: Install[], { kind }: Renderer, transaction: Transaction) {
  const ids = installs.map((install) => install.id)
  const named: [string, Map<string, unknown>][] = []
  for (const name of kind.facts ?? [])
    named.push([name, (await context.facts[name]?.(context, ids, transaction)) ?? new Map()])
  return (installId: string) => Object.fromEntries(named.map(([name, known]) => [name, known.get(installId)]))
}

async function placesOf(installs: Install[], transaction: Transaction) {
  const placementIds = installs.flatMap((i) => i.placementId ?? [])
  const [placements, pages] = [
    await Placement.findAll({ where: { id: placementIds }, transaction }),
    await Page.findAll({ where: { id: installs.map((i) => i.pageId) }, include: Site, transaction }),
  ]
  const none = { desktop: null, tablet: null, phone: null }
  const widths = new Map(
    placements.map((p) => [p.id, { desktop: p.width, tablet: p.widthTablet, phone: p.widthPhone }]),
  )
  const looks = new Map(pages.map((p) => [p.id, p.Site!.look]))
  return ({ placementId, pageId }: Install) => ({
    widths: (placementId && widths.get(placementId)) || none,
    look: looks.get(pageId) ?? null,
  })
}

/** Px: widths that placements commonly have. */
const USUAL_WIDTHS = [160, 240, 300, 360, 480, 600, 720, 960, 1280]

function thumbnailOf({ config }: Context, widget: Widget, renderer: Renderer): NewArtefact {
  const facts = renderer.alike ? {} : renderer.kind.sample(config.origin).facts
  const { rendered, view, expected } = renderer.render(facts)
  const { html, css, font } = rendered
  const heightAt = (width: number) => Math.round(renderer.kind.box?.height(expected, width) ?? 0)
  return {
    publicId: widget.id,
    form: THUMBNAIL,
    installId: null,
    widgetId: widget.id,
    contentType: 'application/json; charset=utf-8',
    text: JSON.stringify({ html, css, font }),
    facts: {
      example: renderer.sample || !renderer.alike,
      shown: view.items.length,
      heights: USUAL_WIDTHS.map((width) => ({ width, height: heightAt(width) })),
    },
  }
}
