import { routes } from '@pebblestrand/contract'
import { ask } from '../api/call'
import { changed, useAsk } from './query'

const { widgets } = routes

/** A widget that was just made is drawn by the worker in a moment: until then the list is asked again. */
const AGAIN_MS = 700

export const useWidgetList = (asked: () => { q: string; page: number; size: number }) =>
  useAsk(widgets.list, () => ({ query: asked() }), {
    keep: true,
    again: (list) => (list?.rows.some((row) => row.thumbnail === null) ? AGAIN_MS : 0),
  })

export async function makeWidget(widget: { kind: string; starter: string | null; name: string | null }) {
  const made = await ask(widgets.make, { body: widget })
  await changed(widgets.list)
  return made
}
