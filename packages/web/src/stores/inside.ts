import { routes } from '@pebblestrand/contract'
import type { Settings } from '@pebblestrand/core/kinds'
import { factsOf } from '@pebblestrand/core/sources/facts'
import { shallowRef, watch, type Ref, type ShallowRef } from 'vue'
import { allPages } from '../api/all-pages'
import { ask } from '../api/call'
import type { BenchRequest } from '../rendering/bench-rendering'
import { benchRenderer } from '../rendering/renderer'

export interface Inside {
  id: string
  request: NonNullable<BenchRequest['inside']>
}

/** The widget that stands in the one on the bench, with the items of its sources in the worker; null where there is none. */
export function useInside(settings: Ref<Settings>): Readonly<ShallowRef<Inside | null>> {
  const inside = shallowRef<Inside | null>(null)
  watch(
    () => (typeof settings.value.inside === 'string' ? settings.value.inside : ''),
    async (id) => {
      if (!id) return void (inside.value = null)
      const found = await read(id).catch(() => null) // it may be gone: then nothing stands there
      if (settings.value.inside === id) inside.value = found
    },
  )
  return inside
}

async function read(id: string): Promise<Inside> {
  const { kind, name, draft, releases, sources } = await ask(routes.widgets.read, { params: { id } })
  const page = (sourceId: string) => (at: number) =>
    ask(routes.sources.items, { params: { id: sourceId }, query: { page: at, size: 1000 } })
  await Promise.all(sources.map(async (source) => benchRenderer().keep(source.id, await allPages(page(source.id)))))
  return {
    id,
    request: {
      kind,
      widgetName: name,
      settings: releases[0]?.settings ?? draft.settings,
      sources: Object.fromEntries(
        sources.map((source) => [source.id, { title: source.title, link: source.link, ...factsOf(source) }]),
      ),
    },
  }
}
