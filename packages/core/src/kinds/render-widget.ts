import type { Item } from '../items'
import type { Pictured } from '../pictured'
import type { PhraseWish, SharedPhrase } from '../phrases'
import { changesDaily, sift, type Order, type Rule, type Sieved } from '../sieve'
import { ratingsOf } from './groups'
import { creditHeight, withCredit } from './credit'
import type { Around, Kind, RenderContext, Rendered, View } from './kind'
import { spoken, usualAround } from './spoken'

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

/** Whether a kind shows other items, or others first, when only a day (UTC) has passed. */
export const followsTheDay = <S>({ content }: Kind<S>, settings: S): boolean =>
  content !== undefined && changesDaily(content.rules(settings), content.order(settings))

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
  const view = spokenView(kind, { settings, items: sieved?.items ?? [], ratings, phrases, context })
  return { sieved, view, rendered: drawn(kind, view) }
}

/** Whether a line of credit stands below it: nothing stands below what is over the page. */
const hasCredit = <S>(kind: Kind<S>, settings: S) => !kind.presence?.(settings)?.overPage

const spokenView = <S>(kind: Kind<S>, view: View<S>): View<S> => ({
  ...view,
  settings: spoken(kind, view.settings, view.context.around ?? usualAround),
})

/** A view as strings, in the language of where it stands, with the line of whoever made it. */
export function drawn<S>(kind: Kind<S>, view: View<S>): Rendered {
  const rendered = kind.render(spokenView(kind, view))
  return hasCredit(kind, view.settings) ? withCredit(rendered, view.context.around ?? usualAround) : rendered
}

/** What a picture of a view says; null of a kind that has none, or where there is nothing to say. */
export const picturedIn = <S>(kind: Kind<S>, view: View<S>): Pictured | null =>
  kind.pictured?.(spokenView(kind, view)) ?? null

/** Whether a kind with content shows its sample, since nobody has said yet what it is to show. */
export const standsForSample = <S>({ content }: Kind<S>, settings: S): boolean =>
  content !== undefined && !content.sourceIds(settings).length && !content.isWritten?.(settings)

/** Whether nothing of a kind with content is left to show. */
export const showsNothing = <S>(kind: Kind<S>, view: View<S>): boolean =>
  Boolean(kind.content) && (kind.content!.isEmpty?.(spokenView(kind, view)) ?? view.items.length === 0)

/** What a kind asks of the phrases that many share; in the usual language, where it follows each page's. */
export const phraseWish = <S>(kind: Kind<S>, settings: S): PhraseWish | null =>
  kind.content?.phrases?.(spoken(kind, settings, usualAround)) ?? null

/** Px that a view takes in a width; 0 of a kind that takes no room. */
export function drawnHeight<S>(kind: Kind<S>, view: View<S>, width: number): number {
  if (!kind.box) return 0
  const around: Around = view.context.around ?? usualAround
  const height = kind.box.height(spokenView(kind, view), width)
  return height + (hasCredit(kind, view.settings) ? creditHeight(around, width) : 0)
}

/** A kind as it looks before it has content of its own: its sample, past the sieve's rules but for how many. */
export function renderSample<S>(
  kind: Kind<S>,
  settings: S,
  origin: string,
  widgetName: string,
  around: Around = usualAround,
): Rendered {
  const { items, facts } = kind.sample(origin)
  const cap = kind.content?.rules(settings).find((rule) => rule.kind === 'cap')
  const shown = cap?.kind === 'cap' ? items.slice(0, cap.most) : items
  return drawn(kind, { settings, items: shown, context: { widgetName, sources: {}, facts, around } })
}
