import { gather, type Item } from '@pebblestrand/core/items'
import {
  drawn,
  kindOf,
  phraseWish,
  readSettings,
  renderSample,
  ratingsOf,
  showsNothing,
  siftingOf,
  standsForSample,
  usualAround,
  type Around,
  type Kind,
  type Rendered,
  type View,
} from '@pebblestrand/core/kinds'
import { withOwnCss } from '@pebblestrand/core/own-css'
import { saidIn } from '@pebblestrand/core/phrases'
import type { Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { siftOffLoop } from './sift-off-loop'
import { addressesIn, knownPictures, ownPicture, withOwnPictures } from '../pictures/own-pictures'
import { Source } from '../sources/models'
import { Release, Widget as WidgetRow } from '../widgets/models'
import { storedEntries } from '../sources/store-items'
import type { Settings, Widget } from '../widgets/models'

/** A widget's settings as they were stored: of its draft or of one release. */
export interface Stored {
  settings: Settings
  kindVersion: number
}

/** What a widget is rendered from, as it stood at one moment. */
export interface WidgetInputs {
  kind: Kind
  name: string
  settings: Settings
  sources: readonly Source[]
  items: readonly Item[]
  /** Of the widget that stands in it. */
  inside: WidgetInputs | null
}

/** Renders one widget from its inputs; `facts` differ by install. */
export interface Renderer {
  kind: Kind
  /** Whether every install looks alike. */
  alike: boolean
  /** Whether it has content of its own, or stands for a sample until a source is chosen. */
  sample: boolean
  /** Nothing is left to show. Never of a sample, nor of a kind without content. */
  isEmpty: boolean
  /** Where the pictures that are shown come from. */
  pictures: readonly string[]
  /** Of these, what there was no copy of, nor any word that there can be none. */
  missing: readonly string[]
  render(
    facts: Record<string, unknown>,
    around?: Around,
  ): {
    rendered: Rendered
    view: View<Settings>
    /** With pictures that are still to be fetched: the room it takes is worked out from this. */
    expected: View<Settings>
  }
}

/** Reads what a widget is rendered from; null for a kind that is not known here. */
export async function readInputs(
  { kind: kindId, name }: Pick<Widget, 'kind' | 'name'>,
  stored: Stored,
  transaction?: Transaction,
): Promise<WidgetInputs | null> {
  const kind = kindOf(kindId)
  if (!kind) return null
  const settings = readSettings(kind, stored.settings, stored.kindVersion)
  const sourceIds = kind.content?.sourceIds(settings) ?? []
  return {
    kind,
    name,
    settings,
    sources: await Source.findAll({ where: { id: sourceIds }, transaction }),
    items: gather(sourceIds, await storedEntries(sourceIds, transaction)),
    inside: await readInside(kind.inside?.(settings) ?? null, transaction),
  }
}

/** Of a widget that stands in another its newest release; null where there is none. What stands in that one is left out. */
async function readInside(widgetId: string | null, transaction?: Transaction): Promise<WidgetInputs | null> {
  if (!widgetId) return null
  const widget = await WidgetRow.findByPk(widgetId, { transaction })
  const kind = widget && kindOf(widget.kind)
  const release = await Release.findOne({ where: { widgetId }, order: [['number', 'DESC']], transaction })
  if (!kind || !release) return null
  // What stands over pages by itself stands in nothing else, nor does a form: what holds it has fields of its own.
  const settings = readSettings(kind, release.settings, release.kindVersion)
  if (kind.presence?.(settings) || kind.form?.(settings)) return null
  return readInputs({ kind: widget.kind, name: release.name ?? widget.name }, release, transaction)
}

/** Sieves, and finds our copies of the pictures that are left. Takes as long as it takes: never within a transaction. */
export async function rendererOf(
  { config, threads }: Pick<Context, 'config' | 'threads'>,
  { kind, name, settings, sources, items, inside }: WidgetInputs,
): Promise<Renderer> {
  const sifting = siftingOf(kind, settings, items)
  const ratings = sifting ? ratingsOf(sifting.items) : undefined
  const sifted = sifting ? await siftOffLoop(threads, { ...sifting, now: new Date() }) : []
  const wish = phraseWish(kind, settings)
  const phrases = wish && sifting ? await threads.run('phrases', { wish, said: saidIn(sifting.items) }) : undefined
  const pictures = kind.content?.pictures?.(settings) ?? []
  const { items: shown, expected, missing } = await withOwnPictures({ config }, sifted, pictures)
  const places = [
    ...(kind.content?.sourcePicture?.(settings) ? sources.flatMap((s) => s.facts.picture?.url ?? []) : []),
    ...(kind.pictureAddresses?.(settings) ?? []),
  ]
  const known = await knownPictures({ config }, places)
  const within = inside && (await rendererOf({ config, threads }, inside))
  const context = {
    widgetName: name,
    pictures: ownByAddress(kind.pictureAddresses?.(settings) ?? [], known),
    sources: Object.fromEntries(
      sources.map((s) => [
        s.id,
        { title: s.title, link: s.link, ...s.facts, picture: ownPicture(s.facts.picture ?? null, known) },
      ]),
    ),
  }
  const sample = standsForSample(kind, settings)
  const view = { settings, items: shown, ratings, phrases, context: { ...context, facts: {} } }
  return {
    kind,
    pictures: [...addressesIn(sifted, pictures), ...places, ...(within?.pictures ?? [])],
    missing: [...missing, ...places.filter((url) => !known.has(url)), ...(within?.missing ?? [])],
    isEmpty: !sample && showsNothing(kind, view),
    alike: !kind.facts?.length,
    sample,
    render(facts, around = usualAround) {
      const inside = within?.render({}, { ...around, credit: null }).rendered
      const view = { settings, items: shown, ratings, phrases, context: { ...context, facts, around, inside } }
      const plain = sample ? renderSample(kind, settings, config.origin, name, around) : drawn(kind, view)
      return { rendered: withOwnCss(kind, settings, plain), view, expected: { ...view, items: expected } }
    },
  }
}

/** Our copies of pictures that settings name, by their addresses. */
const ownByAddress = (urls: readonly string[], known: Awaited<ReturnType<typeof knownPictures>>) =>
  Object.fromEntries(
    urls.flatMap((url) => {
      const own = ownPicture({ url, width: null, height: null, alt: '' }, known)
      return own ? [[url, own]] : []
    }),
  )

/** Both at once, of what is stored now. */
export async function rendererFor(
  context: Pick<Context, 'config' | 'threads'>,
  widget: Pick<Widget, 'kind' | 'name'>,
  stored: Stored,
): Promise<Renderer | null> {
  const inputs = await readInputs(widget, stored)
  return inputs && rendererOf(context, inputs)
}
