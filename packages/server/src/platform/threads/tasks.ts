import type { Item } from '@pebblestrand/core/items'
import { phrasesFor, type PhraseWish, type Said, type SharedPhrase } from '@pebblestrand/core/phrases'
import { sift as sieve, type Order, type Rule } from '@pebblestrand/core/sieve'
import {
  readSource as readAs,
  SourceError,
  sourceKinds,
  type LimitedSource,
  type SourceCandidate,
  type SourceErrorCode,
} from '@pebblestrand/core/sources'
import { readBookmarks, type ReadBookmarks } from '@pebblestrand/core/sources/bookmark-file'
import { readFeedList as feedListIn, type FeedList } from '@pebblestrand/core/sources/feed-list'
import { readPageFacts as factsOf, type PageFacts } from '@pebblestrand/core/sources/page-facts'
import {
  nameFrom,
  readFirstPage as readFirst,
  readSiteMap as siteMapIn,
  roomsOf,
  type MeasuredPage,
  type SiteMap,
} from '@pebblestrand/core/site-facts'
import { pageSheets, samplesFromSheets, type Sheet } from '@pebblestrand/core/site-look'
import {
  pageWithRoom as roomIn,
  parsePage,
  verifyPage,
  type Look,
  type Plan,
  type Verified,
} from '@pebblestrand/core/verify'

import {
  guessReading,
  readRows,
  readTable,
  TableError,
  type CellFault,
  type Reading,
  type ReadRow,
} from '@pebblestrand/core/sources/review-file'

// What is done in a thread of its own: everything that reads a document somebody else wrote.

export type ReadOutcome = { read: LimitedSource } | { code: SourceErrorCode; detail: string }

/** A source's document to items. Errors do not keep their class on the way between threads, so they go as data. */
export function readSource({ kind, text, base }: { kind: string; text: string; base: string }): ReadOutcome {
  try {
    return { read: readAs(sourceKinds[kind]!.document!, text, base) }
  } catch (error) {
    if (error instanceof SourceError) return { code: error.code, detail: error.detail }
    throw error
  }
}

export const discover = ({ kind, html, base }: { kind: string; html: string; base: string }): SourceCandidate[] =>
  sourceKinds[kind]!.document!.discover(html, base)

/** Ids that a page names, by the sort of source that knows such. */
export const named = ({ kind, html, base }: { kind: string; html: string; base: string }): string[] =>
  sourceKinds[kind]!.named?.(html, base) ?? []

/** A file of reviews: its rows read one way, by what is known of such files, or as its columns suggest. */
export function readReviewFile({
  text,
  asked,
  known,
}: ReviewFile): ReviewFileRead | { line: number | null; message: string } {
  try {
    const table = readTable(text)
    const kept = known[table.heads.join('\n')]
    const reading = asked ?? kept ?? guessReading(table)
    return {
      heads: table.heads,
      sample: table.rows.slice(0, 4).map(({ cells }) => cells),
      reading,
      known: asked ? 'asked' : kept ? 'kept' : 'guessed',
      total: table.rows.length,
      ...readRows(table, reading),
    }
  } catch (error) {
    if (error instanceof TableError) return { line: error.line, message: error.message }
    throw error
  }
}

interface ReviewFile {
  text: string
  asked: Reading | null
  /** Readings by the columns' names of the files they were used for. */
  known: Record<string, Reading>
}
interface ReviewFileRead {
  heads: string[]
  sample: string[][]
  reading: Reading
  known: 'asked' | 'kept' | 'guessed'
  total: number
  rows: ReadRow[]
  faults: CellFault[]
}

/** A list of feeds; null where it is none. */
export const readFeedList = (text: string): FeedList | null => feedListIn(text)

/** A bookmark file; null where it is none. */
export const readBookmarkFile = (text: string): ReadBookmarks | null => readBookmarks(text)

/** What a page says of itself. */
export const readPageFacts = ({ html, at }: { html: string; at: string }): PageFacts => factsOf(html, at)

/** Ids of the items that a sieve leaves, in its order. */
export const sift = ({ items, rules, order, now }: Sifting): string[] =>
  sieve(items, rules, order, now).items.map((item) => item.id)

interface Sifting {
  items: Item[]
  rules: Rule[]
  order: Order
  now: Date
}

/** Phrases that many texts share. */
export const phrases = ({ wish, said }: { wish: PhraseWish; said: Said[] }): SharedPhrase[] => phrasesFor(wish, said)

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

/** What a site map lists. */
export const readSiteMap = (text: string): SiteMap => siteMapIn(text)

/** What a site calls itself. */
export const nameSite = (looks: Look[]) => nameFrom(looks)

/** The rooms of a page that a browser measured. */
export const findRooms = ({ html, boxes }: { html: string; boxes: MeasuredPage['boxes'] }) =>
  roomsOf({ page: parsePage(html), boxes })

/** The style sheets of a page: those in it, and where those are that it loads. */
export const sheetsOf = ({ html, base }: { html: string; base: string }) => pageSheets(html, base)

/** What a page's style sheets say of its look. */
export const sampleSheets = ({ html, sheets }: { html: string; sheets: Sheet[] }) => samplesFromSheets(html, sheets)

/** Answers when its thread is up. */
export const ready = () => true
