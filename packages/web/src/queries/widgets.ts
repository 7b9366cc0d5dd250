import { routes } from '@pebblestrand/contract'
import { ask } from '../api/call'
import { changed, useAsk } from './query'

const { widgets } = routes

/** A widget that was just made is drawn by the worker in a moment: until then the list is asked again. */
const AGAIN_MS = 700

export interface WidgetFilters {
  kind?: string
  client?: string
  state?: '' | 'draft' | 'changed' | 'published' | 'away'
  use?: '' | 'used' | 'unused'
}

export const useWidgetList = (asked: () => { q: string; page: number; size: number } & WidgetFilters) =>
  useAsk(widgets.list, () => ({ query: asked() }), {
    keep: true,
    again: (list) => (list?.rows.some((row) => row.thumbnail === null) ? AGAIN_MS : 0),
  })

export const useWidget = (id: () => string) => useAsk(widgets.read, () => ({ params: { id: id() } }))

export const useWidgetFilters = () => useAsk(widgets.filters, () => ({}))

/** The other widget that is called so; null where there is none. */
export const widgetNamed = async (name: string, except = '') =>
  name ? (await ask(widgets.named, { query: { name, except } })).widget : null

export async function copyWidget(id: string) {
  const made = await ask(widgets.copy, { params: { id } })
  await changed(widgets.list)
  return made
}
export async function putAway(id: string, away: boolean): Promise<void> {
  await ask(widgets.away, { params: { id }, body: { away } })
  await changed(widgets.list, widgets.read)
}

export async function makeWidget(widget: {
  kind: string
  starter: string | null
  name: string | null
  sources?: string[] | undefined
}) {
  const made = await ask(widgets.make, { body: widget })
  await changed(widgets.list)
  return made
}
