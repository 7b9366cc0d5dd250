import { limited, type LimitedSource } from '@pebblestrand/core/sources'
import {
  entryOf,
  PlaceAnswer,
  reviewService,
  ReviewsAnswer,
  type ServiceReview,
} from '@pebblestrand/core/sources/review-service'
import { z } from 'zod'
import type { Context } from '../../platform/context'
import type { TellProgress } from '../connector'
import type { Known, SourceReading } from '../reading'
import { contentHash } from '../store-items'
import { Service, ServiceFault } from '../service/ask'
import { withToken } from '../service/tokens'

import { placeFault } from './place-fault'

const PAGE = 100
const DAY = 86_400_000

/** What is remembered of a place from one reading to the next. */
const State = z.object({
  /** ISO 8601; when the newest of the known changes was made. */
  newest: z.string(),
  /** How many reviews there were, and how many of them were given. */
  total: z.number(),
  given: z.number(),
  /** When everything was last read through. */
  wholeAt: z.string(),
  /** The account it was read by. */
  by: z.string().nullable(),
})
type State = z.infer<typeof State>

/**
 * Reads a place: at first all its reviews, later what is new and changed. Once a day, and whenever the numbers say that
 * something has gone, everything is read through again, which is how deletions are noticed.
 */
export async function readPlace(
  context: Context,
  known: Known,
  until?: AbortSignal,
  tell: TellProgress = () => {},
): Promise<SourceReading> {
  const meant = reviewService.recognise(known.url)
  if (meant?.what !== 'id')
    return {
      kind: 'fault',
      fault: { code: 'no-place', message: 'This is no place’s address.', remedy: 'Paste it anew.' },
    }
  try {
    return await withToken(context, 'reviews', known.accountId ?? null, (token) =>
      readBy(new Service({ context, service: 'reviews', faultOf: placeFault, token, until }), meant.id, known, tell),
    )
  } catch (error) {
    if (error instanceof ServiceFault) return { kind: 'fault', fault: error.fault }
    throw error
  }
}

async function readBy(service: Service, id: string, known: Known, tell: TellProgress): Promise<SourceReading> {
  const place = await service.get(`/api/places/${encodeURIComponent(id)}`, PlaceAnswer)
  const before = State.safeParse(known.state).data
  const by = known.accountId ?? null
  const isFresh = before?.by === by && Date.now() - Date.parse(before.wholeAt) < DAY
  const changes = isFresh ? await changesSince(service, id, before) : null
  if (changes) return copyOf(service, place, known, changes, 'changes', { ...before!, ...changes.now })
  const all = await everything(service, id, tell)
  const isWhole = all.now.given >= all.now.total
  const state = { ...all.now, wholeAt: new Date().toISOString(), by }
  return copyOf(service, place, known, all, isWhole ? 'whole' : 'window', state)
}

interface Gathered {
  reviews: ServiceReview[]
  now: Pick<State, 'newest' | 'total' | 'given'>
}

const pageAt = (service: Service, id: string, sort: 'changed' | 'newest', after: number) =>
  service.get(`/api/places/${encodeURIComponent(id)}/reviews?sort=${sort}&limit=${PAGE}&after=${after}`, ReviewsAnswer)

/** What was written or changed since; null where the numbers say that something has gone as well. */
async function changesSince(service: Service, id: string, { newest, total }: State): Promise<Gathered | null> {
  const reviews: ServiceReview[] = []
  for (let after: number | null = 0; after !== null;) {
    const page: z.infer<typeof ReviewsAnswer> = await pageAt(service, id, 'changed', after)
    const later = page.reviews.filter(({ changed }) => changed > newest)
    reviews.push(...later)
    if (later.length < page.reviews.length || page.next === null) {
      const added = reviews.filter(({ created }) => created > newest).length
      if (page.total !== total + added) return null
      return { reviews, now: { newest: newestOf(reviews) ?? newest, total: page.total, given: page.given } }
    }
    after = page.next
  }
  return null
}

/** All that is given, each once: what is added meanwhile moves the rest along. What goes meanwhile makes it begin anew, once. */
async function everything(service: Service, id: string, tell: TellProgress, tries = 2): Promise<Gathered> {
  const reviews = new Map<string, ServiceReview>()
  for (let after: number | null = 0; ;) {
    const page: z.infer<typeof ReviewsAnswer> = await pageAt(service, id, 'newest', after)
    for (const review of page.reviews) reviews.set(review.id, review)
    tell({ read: reviews.size, of: page.given })
    if (page.next !== null) {
      after = page.next
      continue
    }
    if (reviews.size < page.given && tries > 1) return everything(service, id, tell, tries - 1)
    const all = [...reviews.values()]
    return { reviews: all, now: { newest: newestOf(all) ?? '', total: page.total, given: page.given } }
  }
}

const newestOf = (reviews: readonly ServiceReview[]) =>
  reviews.reduce<string | null>((newest, { changed }) => (newest === null || changed > newest ? changed : newest), null)

function copyOf(
  service: Service,
  { name, rating, count, page, picture }: PlaceAnswer,
  known: Known,
  { reviews }: Gathered,
  extent: 'window' | 'whole' | 'changes',
  state: State,
): SourceReading {
  const link = `${service.origin}${page}`
  const read: LimitedSource = limited({
    format: 'review-service',
    title: name,
    link,
    language: null,
    rating: rating === null ? null : { mean: rating, count },
    picture: picture ? { url: picture, width: null, height: null, alt: '' } : null,
    entries: reviews.map((review) => entryOf(review, link)),
  })
  // What was gathered may be a few changes only: what all come to and the newest change tell one state from the next.
  const hash = contentHash(
    Buffer.from(JSON.stringify([read.title, read.rating, state.newest, state.total, state.given])),
  )
  if (extent === 'changes' && !reviews.length) return { kind: 'unchanged', state }
  return { kind: 'read', read, url: known.url, extent, hash, state }
}
