import { gather, type Entry, type Item, type Picture } from '@pebblestrand/core/items'
import {
  drawnHeight,
  kindOf,
  partsOf,
  phraseWish,
  renderSample,
  showsNothing,
  standsForSample,
  renderWidget,
  siftingOf,
  type Around,
  type Kind,
  type RenderContext,
  type Rendered,
  type Settings,
  type View,
} from '@pebblestrand/core/kinds'
import { scopeCss, withOwnCss, type CssNote } from '@pebblestrand/core/own-css'
import { reservedHeight } from '@pebblestrand/core/methods'
import { phrasesFor, saidIn, type SharedPhrase } from '@pebblestrand/core/phrases'
import { benchSieve, type BenchSieve } from './bench-sieve'

/** What the bench asks to be rendered; everything in it can be sent to a worker. */
export interface BenchRequest {
  kind: string
  /** As the kind's schema has read them. */
  settings: Settings
  widgetName: string
  sources: RenderContext['sources']
  now: string
  origin: string
  /** Where it is looked at. */
  around: Around
  /** Px that the placement gives it in wide windows and in narrower ones; null where it is looked at by itself. */
  widths?: PlacementWidths | null
  /** Our copies of pictures that the settings name, by their addresses; what is not in it is shown from where it is. */
  pictures?: Record<string, Picture>
  /** Another widget that stands in it, as it was published. */
  inside?: Pick<BenchRequest, 'kind' | 'settings' | 'widgetName' | 'sources'> | null
}

export interface BenchRendering {
  sieve: BenchSieve | null
  /** Nothing of its own is left to show. */
  nothing: boolean
  /** What many say, with examples in their own words; null where the kind does not ask for it. */
  phrases: BenchPhrase[] | null
  rendered: Rendered
  /** Room that its snippet keeps for it, as CSS; '' where it is looked at by itself. */
  reserved: string
  /** It shows the kind's sample, since there is no source yet or nothing is counted on the bench. */
  sample: boolean
}

/** Renders a draft with the same code, from the same items in the same order, as the server renders a release. */
export class BenchRenderer {
  private readonly entries = new Map<string, Entry[]>()
  private keptTimes = 0

  /** What is stored of a source, as the server lists it. */
  keep(sourceId: string, entries: Entry[]): void {
    this.entries.set(sourceId, entries)
    this.keptTimes++
  }

  /** Null for a kind that is not known here. */
  render({
    kind: id,
    settings,
    widgetName,
    sources,
    now,
    origin,
    around,
    widths,
    inside,
    pictures = {},
  }: BenchRequest): BenchRendering | null {
    const kind = kindOf(id)
    if (!kind) return null
    const sourceIds = kind.content?.sourceIds(settings) ?? []
    const stored = sourceIds.map((sourceId) => ({ sourceId, entries: this.entries.get(sourceId) ?? [] }))
    const facts = kind.facts?.length ? kind.sample(origin).facts : {}
    const within = inside && this.render({ ...inside, now, origin, around: { ...around, credit: null } })?.rendered
    const named = (kind.pictureAddresses?.(settings) ?? []).map((url) => [
      url,
      pictures[url] ?? { url, width: null, height: null, alt: '' },
    ])
    const context = {
      widgetName,
      sources,
      facts,
      around,
      pictures: Object.fromEntries(named) as Record<string, Picture>,
      ...(within ? { inside: within } : {}),
    }
    const items = gather(sourceIds, stored)
    const moment = new Date(now)
    const phrases = this.phrasesOf(kind, settings, items)
    const { sieved, view, rendered } = renderWidget(kind, settings, items, context, moment, phrases)
    const sample = kind.content ? standsForSample(kind, settings) : Boolean(kind.facts?.length)
    const plain = kind.content && sample ? renderSample(kind, settings, origin, widgetName, around) : rendered
    const sieve =
      sieved && sourceIds.length && kind.content!.bodies.length
        ? benchSieve(kind, settings, items, sieved, moment)
        : null
    const shared = phrases?.map((phrase) => ({ ...phrase, examples: examplesOf(phrase, items) })) ?? null
    return {
      sieve,
      phrases: sourceIds.length ? shared : null,
      rendered: withOwnCss(kind, settings, plain),
      sample,
      reserved: widths && !sample ? reservedFor(kind, view, widths) : '',
      nothing: !sample && showsNothing(kind, view),
    }
  }

  /** What is to be said of a kind's own CSS as it is typed. */
  cssNotes(kindId: string, settings: Settings, css: string): CssNote[] {
    const kind = kindOf(kindId)
    if (!kind) return []
    const overPage = kind.presence?.(settings)?.overPage ?? false
    return scopeCss(css, { parts: Object.keys(partsOf(kind)), overPage }).notes
  }

  private known: { by: string; phrases: SharedPhrase[] } | null = null

  /** Counted anew only when the items or what is asked of them have changed. */
  private phrasesOf(kind: Kind, settings: Settings, items: Item[]): SharedPhrase[] | undefined {
    const wish = phraseWish(kind, settings)
    if (!wish) return undefined
    const by = JSON.stringify([wish, kind.content!.sourceIds(settings), this.keptTimes])
    if (this.known?.by !== by) {
      const sifting = siftingOf(kind, settings, items)
      this.known = { by, phrases: phrasesFor(wish, saidIn(sifting?.items ?? [])) }
    }
    return this.known.phrases
  }
}

/** Px that a placement gives; null in windows where that is not known. */
export interface PlacementWidths {
  desktop: number
  tablet: number | null
  phone: number | null
}

function reservedFor(kind: Kind, view: View<Settings>, { desktop, tablet, phone }: PlacementWidths): string {
  const heightIn = (width: number) => drawnHeight(kind, view, width)
  return reservedHeight({
    height: heightIn(desktop),
    ...(tablet ? { tablet: heightIn(tablet) } : {}),
    ...(phone ? { phone: heightIn(phone) } : {}),
  })
}

export interface BenchPhrase {
  text: string
  count: number
  examples: string[]
}

function examplesOf({ examples }: SharedPhrase, items: readonly Item[]): string[] {
  const wanted = new Set(examples)
  return items.filter(({ id }) => wanted.has(id)).map(({ body }) => body.text)
}
