import type { Item } from '@pebblestrand/core/items'
import { sift as sieve, type Order, type Rule } from '@pebblestrand/core/sieve'
import {
  readSource as readAs,
  SourceError,
  sourceKinds,
  type LimitedSource,
  type SourceCandidate,
  type SourceErrorCode,
} from '@pebblestrand/core/sources'
import { nameFrom, readFirstPage as readFirst, roomsOf, type MeasuredPage } from '@pebblestrand/core/site-facts'
import {
  pageWithRoom as roomIn,
  parsePage,
  verifyPage,
  type Look,
  type Plan,
  type Verified,
} from '@pebblestrand/core/verify'

// What is done in a thread of its own: everything that reads a document somebody else wrote.

export type ReadOutcome = { read: LimitedSource } | { code: SourceErrorCode; detail: string }

/** A source's document to items. Errors do not keep their class on the way between threads, so they go as data. */
export function readSource({ kind, text, base }: { kind: string; text: string; base: string }): ReadOutcome {
  try {
    return { read: readAs(sourceKinds[kind]!, text, base) }
  } catch (error) {
    if (error instanceof SourceError) return { code: error.code, detail: error.detail }
    throw error
  }
}

export const discover = ({ kind, html, base }: { kind: string; html: string; base: string }): SourceCandidate[] =>
  sourceKinds[kind]!.discover(html, base)

/** Ids of the items that a sieve leaves, in its order. */
export const sift = ({ items, rules, order, now }: Sifting): string[] =>
  sieve(items, rules, order, now).items.map((item) => item.id)

interface Sifting {
  items: Item[]
  rules: Rule[]
  order: Order
  now: Date
}

/** One page's looks, judged for every install on it. */
export const judge = ({ plans, looks }: { plans: Plan[]; looks: Look[] }): Verified[] => verifyPage(plans, looks)

export const pageWithRoom = ({ html, placement, install }: PageRequest) => roomIn(html, placement, install)

interface PageRequest {
  html: string
  placement: NonNullable<Plan['placement']>
  install: string | null
}

/** What a site's first page says of it. */
export const readFirstPage = (look: Look) => readFirst(look)

/** What a site calls itself. */
export const nameSite = (looks: Look[]) => nameFrom(looks)

/** The rooms of a page that a browser measured. */
export const findRooms = ({ html, boxes }: { html: string; boxes: MeasuredPage['boxes'] }) =>
  roomsOf({ page: parsePage(html), boxes })

/** Answers when its thread is up. */
export const ready = () => true
