import type { Part } from '@pebblestrand/core/kinds'
import { pathTo } from '@pebblestrand/core/wire'
import { adoptMore } from './adopt'
import type { Behaviour } from './behaviour'
import { show } from './show'
import { nodesOf } from './trusted'

/** Where a widget's behaviours are started. */
interface Place {
  root: ParentNode
  element: HTMLElement
  /** Public id of the install; '' where it is only looked at. */
  id: string
  /** Where Pebblestrand answers. */
  origin: string
  data: Record<string, unknown>
  /** Later parts, where they are at hand. */
  more?: readonly Part[]
}

/** What undoes the behaviours of an element that is shown anew. */
const running = new WeakMap<HTMLElement, (() => void)[]>()

/** Ends what ran for an element, and what has not come yet. */
function endBehaviours(element: HTMLElement): void {
  running.get(element)?.forEach((stop) => stop())
  running.delete(element)
}

/** Ends what ran for an element, then loads and starts what it has now. One that does not come leaves the others alone. */
export function startBehaviours(names: readonly string[], { root, element, id, origin, data, more = [] }: Place): void {
  endBehaviours(element)
  const stops: (() => void)[] = []
  running.set(element, stops)
  for (const name of names)
    import(/* @vite-ignore */ origin + pathTo('behaviour', name)).then(
      (module: { default: Behaviour }) => {
        if (running.get(element) !== stops) return
        const stop = module.default({
          root,
          element,
          id,
          origin,
          data,
          showWithin(place, { behaviours, data: own, ...drawn }) {
            const within = { root: show(place, drawn, origin), element: place, id, origin, data: own, more }
            startBehaviours(behaviours, within)
            return () => endBehaviours(place)
          },
          tell: teller(name, id, origin),
          part: partsOf(id, origin, more),
          nodes: nodesOf,
          addStyle: (css) => adoptMore(root, css),
        })
        if (stop) stops.push(stop)
      },
      () => {}, // blocked or gone: what the widget shows needs no behaviour
    )
}

const partsOf = (id: string, origin: string, more: readonly Part[]) => async (number: number) => {
  if (!id) return more[number - 1] ?? null
  try {
    const answer = await fetch(origin + pathTo('part', id, String(number)), { credentials: 'omit' })
    return answer.ok ? ((await answer.json()) as Part) : null
  } catch {
    return null
  }
}

/** A plain text, so that no browser asks beforehand; it is sent even while the page is being left. */
const teller = (name: string, id: string, origin: string) => async (what?: unknown) => {
  if (!id) return false
  try {
    const body = what === undefined ? undefined : JSON.stringify(what)
    const address = origin + pathTo('told', name, id)
    return (await fetch(address, { method: 'POST', body, keepalive: true, credentials: 'omit' })).ok
  } catch {
    return false
  }
}
