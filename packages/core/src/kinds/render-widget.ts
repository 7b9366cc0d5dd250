import type { Item } from '../items'
import type { SharedPhrase } from '../phrases'
import { sift, type Order, type Rule, type Sieved } from '../sieve'
import { ratingsOf } from './groups'
import type { Kind, RenderContext, Rendered, View } from './kind'

/** What a kind's sieve is made of, as data: the items it takes, in which order, through which rules. */
export function siftingOf<S>(kind: Kind<S>, settings: S, items: readonly Item[]): Sifting | null {
  const { content } = kind
  if (!content) return null
  const fitting = items.filter((item) => content.bodies.includes(item.body.type))
  return { items: fitting, rules: content.rules(settings), order: content.order(settings) }
}

export interface Sifting {
  items: readonly Item[]
  rules: readonly Rule[]
  order: Order
}

/**
 * A kind's whole computation, the same in the workbench and on the server: items through the sieve, then to strings.
 * @param phrases what many items share (core/phrases), where the kind asks for it
 */
export function renderWidget<S>(
  kind: Kind<S>,
  settings: S,
  items: readonly Item[],
  context: RenderContext,
  now: Date,
  phrases?: readonly SharedPhrase[],
): { sieved: Sieved | null; view: View<S>; rendered: Rendered } {
  const sifting = siftingOf(kind, settings, items)
  const sieved = sifting && sift(sifting.items, sifting.rules, sifting.order, now)
  const ratings = sifting ? ratingsOf(sifting.items) : undefined
  const view = { settings, items: sieved?.items ?? [], ratings, phrases, context }
  return { sieved, view, rendered: kind.render(view) }
}

/** A kind as it looks before it has content of its own: its sample, past the sieve's rules but for how many. */
export function renderSample<S>(kind: Kind<S>, settings: S, origin: string, widgetName: string): Rendered {
  const { items, facts } = kind.sample(origin)
  const cap = kind.content?.rules(settings).find((rule) => rule.kind === 'cap')
  const shown = cap?.kind === 'cap' ? items.slice(0, cap.most) : items
  return kind.render({ settings, items: shown, context: { widgetName, sources: {}, facts } })
}
