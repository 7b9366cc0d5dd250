import { drawnHeight, playersOf, type Around } from '@pebblestrand/core/kinds'
import { artefactForms, formIds, partForm, payloadOf } from '@pebblestrand/core/artefacts'
import { Op, QueryTypes, type Transaction } from 'sequelize'
import { Install } from '../installs/models'
import type { Context } from '../platform/context'
import { notePictures } from '../pictures/own-pictures'
import { agencyName } from '../accounts/setup'
import { creditOf } from '../agency/credit'
import { Client, Page, Placement, Site } from '../sites/models'
import { keepSiteLists, sitesBroughtTo } from '../site-tags/site-list'
import { homeLanguages, spokenOn } from '../sites/note-language'
import { Release, Widget } from '../widgets/models'
import { OVER_PAGE_WIDTH } from './over-page'
import { Artefact, THUMBNAIL, type ArtefactFacts } from './models'
import { recomputeHolders, type Within } from './queue-recompute'
import { rendererFor, type Renderer } from './render-widget'
import { shownReleases } from './shown-releases'
import { drawStills, withStills } from './stills'
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
  if (!within.installIds) await recomputeHolders(context, widgetId, transaction)
  const where = await whereWithin(widgetId, within, transaction)
  const renderers = await shownReleases(context, widget, { name, renderer, number: release.number }, transaction)
  if (!within.installIds) {
    await noteEmptiness(widget, renderer, release.number, transaction)
    const drawn = [...renderers.values()].map((one) => one.renderer)
    const pictures = [...new Set(drawn.flatMap((one) => one.pictures))]
    await notePictures(context, widgetId, pictures, new Set(drawn.flatMap((one) => one.missing)), transaction)
  }
  for (let after = ''; ;) {
    const installs = await Install.findAll({
      where: { [Op.and]: [where, after ? { id: { [Op.gt]: after } } : {}] },
      order: [['id', 'ASC']],
      limit: BATCH,
      transaction,
    })
    for (const [number, shown] of renderers) {
      const own = installs.filter(
        ({ heldRelease }) => (renderers.has(heldRelease ?? 0) ? heldRelease : release.number) === number,
      )
      const made = await artefactsOf(context, own, { release: number, name: shown.name }, shown.renderer, transaction)
      await storeArtefacts(context, shown.renderer.isEmpty ? await unlessGood(made, transaction) : made, transaction)
    }
    // The room that the tag keeps for each is as high as what was drawn.
    const byTag = installs.filter(({ method }) => method === 'tag').map(({ id }) => id)
    await keepSiteLists(context, await sitesBroughtTo(context, byTag, transaction), transaction)
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
  const sayRelease = ({ widget, release }: ArtefactFacts) => `${widget} ${release}`
  const good = new Map(there.map(({ publicId, facts }) => [publicId, facts.empty ? '' : sayRelease(facts)]))
  return made.filter(({ publicId, facts }) => good.get(publicId) !== sayRelease(facts))
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
    ...(within.pageId ? { pageId: within.pageId } : {}),
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
  const credit = await creditOf(transaction)
  const agency = await agencyName(transaction)
  const render = renderer.alike ? alikeWithin(renderer) : renderer.render
  const stood = renderer.kind.pictured ? await withStills(installs, transaction) : new Set<string>()
  const made: NewArtefact[] = []
  for (const install of installs) {
    const { widths, look, site, language, timeZone, isCredited } = places(install)
    const around = { language, timeZone, credit: isCredited ? credit : null }
    const { rendered, view, heightIn } = measuring(renderer, render(facts(install.id), around))
    const narrower = {
      ...(widths.tablet ? { tablet: heightIn(widths.tablet) } : {}),
      ...(widths.phone ? { phone: heightIn(widths.phone) } : {}),
    }
    const payload = payloadOf(rendered, { ...about, widget: install.widgetId })
    const players = playersOf(rendered)
    const height = heightIn(widths.desktop)
    const surroundings = {
      origin: context.config.origin,
      publicId: install.publicId,
      look,
      site,
      agency,
      width: widths.desktop ?? OVER_PAGE_WIDTH,
      height,
      ...(Object.keys(narrower).length ? { narrower } : {}),
      indexed: install.snippetOptions.indexed ?? false,
    }
    const stills = stood.has(install.id) ? drawStills(renderer.kind, view, look, surroundings.width) : null
    const known = {
      title: payload.name,
      width: surroundings.width,
      height,
      ...(Object.keys(narrower).length ? { narrower } : {}),
      release: about.release,
      widget: install.widgetId,
      ...(rendered.behaviours.length ? { behaviours: rendered.behaviours } : {}),
      ...(players.length ? { players } : {}),
      ...(stills ? { still: stills.facts } : {}),
      ...(renderer.isEmpty ? { empty: true } : {}),
    }
    const { publicId, id: installId } = install
    const shared = { publicId, installId, widgetId: null, facts: known }
    made.push(
      ...formIds.map((form) => ({
        ...shared,
        form,
        contentType: artefactForms[form].contentType,
        text: artefactForms[form].text(payload, surroundings),
      })),
      ...(rendered.more ?? []).map((part, at) => ({
        ...shared,
        form: partForm(at + 1),
        contentType: artefactForms.payload.contentType,
        text: JSON.stringify(part),
      })),
      ...(stills?.forms ?? []).map((one) => ({ ...shared, ...one })),
    )
  }
  return made
}

type Drawing = ReturnType<Renderer['render']> & { heights?: Map<number, number> }

/** Many installs have the same words around them: what they are drawn as is drawn once. */
function alikeWithin(renderer: Renderer): (facts: Record<string, unknown>, around: Around) => Drawing {
  const known = new Map<string, Drawing>()
  return (_facts, around) => {
    const by = JSON.stringify(around)
    if (!known.has(by)) known.set(by, { ...renderer.render({}, around), heights: new Map() })
    return known.get(by)!
  }
}

/** A drawing with its heights, each worked out once. */
function measuring({ kind }: Renderer, drawing: Drawing) {
  const heights = drawing.heights ?? new Map<number, number>()
  const heightIn = (width: number | null | undefined): number => {
    if (!width) return 0
    if (!heights.has(width)) heights.set(width, drawnHeight(kind, drawing.expected, width))
    return heights.get(width)!
  }
  return { rendered: drawing.rendered, view: drawing.view, heightIn }
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
    await Page.findAll({
      where: { id: installs.map((i) => i.pageId) },
      include: [{ model: Site, include: [Client] }],
      transaction,
    }),
  ]
  const none = { desktop: null, tablet: null, phone: null }
  const widths = new Map(
    placements.map((p) => [p.id, { desktop: p.width, tablet: p.widthTablet, phone: p.widthPhone }]),
  )
  const pageOf = new Map(pages.map((p) => [p.id, p]))
  const homes = await homeLanguages([...new Set(pages.map(({ siteId }) => siteId))], transaction)
  return ({ placementId, pageId }: Install) => {
    const site = pageOf.get(pageId)?.Site
    return {
      widths: (placementId && widths.get(placementId)) || none,
      look: site?.look ?? null,
      site: { name: site?.name ?? '', origin: site?.origin ?? '' },
      language: spokenOn(pageOf.get(pageId)!, homes.get(site?.id ?? '') ?? null),
      timeZone: site?.timeZone ?? 'UTC',
      isCredited: site?.Client?.credited ?? false,
    }
  }
}

/** Px: widths that placements commonly have. */
const USUAL_WIDTHS = [160, 240, 300, 360, 480, 600, 720, 960, 1280]

function thumbnailOf({ config }: Context, widget: Widget, renderer: Renderer): NewArtefact {
  const facts = renderer.alike ? {} : renderer.kind.sample(config.origin).facts
  const { rendered, view, expected } = renderer.render(facts)
  const { html, css, font } = rendered
  const heightAt = (width: number) => Math.round(drawnHeight(renderer.kind, expected, width))
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
