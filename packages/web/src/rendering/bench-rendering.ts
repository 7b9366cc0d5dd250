import { gather, type Entry } from '@pebblestrand/core/items'
import {
  kindOf,
  renderSample,
  renderWidget,
  type RenderContext,
  type Rendered,
  type Settings,
} from '@pebblestrand/core/kinds'
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
}

export interface BenchRendering {
  sieve: BenchSieve | null
  rendered: Rendered
  /** It shows the kind's sample, since there is no source yet or nothing is counted on the bench. */
  sample: boolean
}

/** Renders a draft with the same code, from the same items in the same order, as the server renders a release. */
export class BenchRenderer {
  private readonly entries = new Map<string, Entry[]>()

  /** What is stored of a source, as the server lists it. */
  keep(sourceId: string, entries: Entry[]): void {
    this.entries.set(sourceId, entries)
  }

  /** Null for a kind that is not known here. */
  render({ kind: id, settings, widgetName, sources, now, origin }: BenchRequest): BenchRendering | null {
    const kind = kindOf(id)
    if (!kind) return null
    const sourceIds = kind.content?.sourceIds(settings) ?? []
    const stored = sourceIds.map((sourceId) => ({ sourceId, entries: this.entries.get(sourceId) ?? [] }))
    const facts = kind.facts?.length ? kind.sample(origin).facts : {}
    const context = { widgetName, sources, facts }
    const items = gather(sourceIds, stored)
    const at = new Date(now)
    const { sieved, rendered } = renderWidget(kind, settings, items, context, at)
    const sample = kind.content ? !sourceIds.length : Boolean(kind.facts?.length)
    const shown = kind.content && sample ? renderSample(kind, settings, origin, widgetName) : rendered
    const sieve = sieved && sourceIds.length ? benchSieve(kind, settings, items, sieved, at) : null
    return { sieve, rendered: shown, sample }
  }
}
