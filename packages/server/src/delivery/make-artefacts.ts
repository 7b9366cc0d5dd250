import { artefactForms, formIds, partForm, payloadOf } from '@pebblestrand/core/artefacts'
import { drawnHeight, playersOf, type Around } from '@pebblestrand/core/kinds'
import { THUMBNAIL } from '../artefacts/models'
import { OVER_PAGE_WIDTH } from '../artefacts/over-page'
import type { Renderer } from './render-widget'
import { drawStills } from './stills'
import type { NewArtefact } from '../artefacts/store-artefacts'
import type { Surrounded } from './surroundings'

/** Everything that some installs of one widget serve, drawn by one release. */
export function artefactsOf(
  origin: string,
  installs: readonly Surrounded[],
  about: { release: number; name: string },
  renderer: Renderer,
): NewArtefact[] {
  const render = renderer.alike ? alikeWithin(renderer) : renderer.render
  return installs.flatMap((one) =>
    artefactsOfOne(origin, one, about, measuring(renderer, render(one.facts, one.around))),
  )
}

function artefactsOfOne(
  origin: string,
  { install, widths, look, site, agency, isPictured }: Surrounded,
  about: { release: number; name: string },
  { renderer, rendered, view, heightIn }: Measured,
): NewArtefact[] {
  const { publicId, id: installId, widgetId } = install
  const narrower = {
    ...(widths.tablet ? { tablet: heightIn(widths.tablet) } : {}),
    ...(widths.phone ? { phone: heightIn(widths.phone) } : {}),
  }
  const hasNarrower = Object.keys(narrower).length > 0
  const payload = payloadOf(rendered, { ...about, widget: widgetId })
  const players = playersOf(rendered)
  const height = heightIn(widths.desktop)
  const width = widths.desktop ?? OVER_PAGE_WIDTH
  const surroundings = {
    origin,
    publicId,
    look,
    site,
    agency,
    width,
    height,
    ...(hasNarrower ? { narrower } : {}),
    indexed: install.snippetOptions.indexed ?? false,
  }
  const stills = isPictured ? drawStills(renderer.kind, view, look, width) : null
  const facts = {
    title: payload.name,
    width,
    height,
    ...(hasNarrower ? { narrower } : {}),
    release: about.release,
    widget: widgetId,
    ...(rendered.behaviours.length ? { behaviours: rendered.behaviours } : {}),
    ...(players.length ? { players } : {}),
    ...(stills ? { still: stills.facts } : {}),
    ...(renderer.isEmpty ? { empty: true } : {}),
  }
  const shared = { publicId, installId, widgetId: null, facts }
  return [
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
  ]
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

type Measured = ReturnType<typeof measuring>

/** A drawing with its heights, each worked out once. */
function measuring(renderer: Renderer, drawing: Drawing) {
  const heights = drawing.heights ?? new Map<number, number>()
  const heightIn = (width: number | null | undefined): number => {
    if (!width) return 0
    if (!heights.has(width)) heights.set(width, drawnHeight(renderer.kind, drawing.expected, width))
    return heights.get(width)!
  }
  return { renderer, rendered: drawing.rendered, view: drawing.view, heightIn }
}

/** Px: widths that placements commonly have. */
const USUAL_WIDTHS = [160, 240, 300, 360, 480, 600, 720, 960, 1280]

/** How a widget is drawn in lists. */
export function thumbnailOf(origin: string, widgetId: string, renderer: Renderer): NewArtefact {
  const facts = renderer.alike ? {} : renderer.kind.sample(origin).facts
  const { rendered, view, expected } = renderer.render(facts)
  const { html, css, font } = rendered
  const heightAt = (width: number) => Math.round(drawnHeight(renderer.kind, expected, width))
  return {
    publicId: widgetId,
    form: THUMBNAIL,
    installId: null,
    widgetId,
    contentType: 'application/json; charset=utf-8',
    text: JSON.stringify({ html, css, font }),
    facts: {
      example: renderer.sample || !renderer.alike,
      shown: view.items.length,
      heights: USUAL_WIDTHS.map((width) => ({ width, height: heightAt(width) })),
    },
  }
}
