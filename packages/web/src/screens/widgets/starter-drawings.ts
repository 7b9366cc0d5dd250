import { usualAround, type RenderContext, type Settings } from '@pebblestrand/core/kinds'
import { routes } from '@pebblestrand/contract'
import { allPages } from '../../api/all-pages'
import { ask } from '../../api/call'
import type { SourceDetail, Thumbnail } from '../../api/types'
import { benchRenderer } from '../../rendering/renderer'
import { plain } from '../../stores/plain'

/** Draws starters in the worker: with their kind's example, or with what a source holds, which is fetched once. */
export function draws() {
  const kept = new Map<string, Promise<void>>()
  const keep = (id: string) => {
    if (!kept.has(id)) {
      const page = (at: number) => ask(routes.sources.items, { params: { id }, query: { page: at, size: 200 } })
      kept.set(
        id,
        allPages(page).then((entries) => benchRenderer().keep(id, entries)),
      )
    }
    return kept.get(id)!
  }
  return async (kind: string, settings: Settings, source: SourceDetail | null): Promise<Thumbnail | null> => {
    if (source) await keep(source.id)
    const sources: RenderContext['sources'] = source ? { [source.id]: plain(source) } : {}
    const rendering = await benchRenderer().render({
      kind,
      settings: plain(settings),
      widgetName: '',
      sources,
      now: new Date().toISOString(),
      origin: location.origin,
      around: usualAround,
    })
    if (!rendering) return null
    const { html, css, font } = rendering.rendered
    return { html, css, font }
  }
}
export type Draws = ReturnType<typeof draws>
