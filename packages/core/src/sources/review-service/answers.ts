import { z } from 'zod'
import type { Entry } from '../../items'
import { plainText } from '../sanitise'

// What the service's API answers. Only what is used is asked for; the rest may change.

/** In UTC, so that two of them compare as texts. */
const Moment = z.iso.datetime({ offset: true }).transform((moment) => new Date(moment).toISOString())

export const PlaceAnswer = z.object({
  id: z.string(),
  name: z.string(),
  address: z.string().nullable(),
  /** Of its page for people, from the service's root. */
  page: z.string(),
  /** From 1 to 5; null where nobody has rated. */
  rating: z.number().min(1).max(5).nullable(),
  count: z.number().int().min(0),
  picture: z.url().nullish(),
})
export type PlaceAnswer = z.infer<typeof PlaceAnswer>

export const PlacesAnswer = z.object({ places: z.array(PlaceAnswer).max(100) })

export const ServiceReview = z.object({
  id: z.string().min(1),
  author: z.object({ name: z.string(), picture: z.url().nullish() }),
  stars: z.number().min(1).max(5).nullable(),
  text: z.string(),
  language: z.string().nullish(),
  created: Moment,
  changed: Moment,
  pictures: z.array(
    z.object({ address: z.url(), width: z.number().int().nullish(), height: z.number().int().nullish() }),
  ),
  reply: z.object({ text: z.string(), at: Moment.nullish() }).nullish(),
})
export type ServiceReview = z.infer<typeof ServiceReview>

/** One page of a place's reviews; `given` may be fewer than there are. */
export const ReviewsAnswer = z.object({
  reviews: z.array(ServiceReview),
  total: z.number().int(),
  given: z.number().int(),
  /** Where the next page begins. */
  next: z.number().int().nullable(),
})

/** A review as an entry of its place; `page` is the place's page for people. */
export function entryOf(review: ServiceReview, page: string): Entry {
  const { id, author, stars, text, language, created, pictures, reply } = review
  return {
    key: id,
    author: author.name.trim() || null,
    publishedAt: created,
    link: `${page}#${encodeURIComponent(id)}`,
    language: language ?? null,
    labels: [],
    body: {
      type: 'review',
      rating: stars,
      title: '',
      text: plain(text),
      authorPicture: author.picture ? { url: author.picture, width: null, height: null, alt: '' } : null,
      pictures: pictures.map(({ address, width, height }) => ({
        url: address,
        width: width ?? null,
        height: height ?? null,
        alt: '',
      })),
      reply: reply?.text.trim() ? { author: null, text: plain(reply.text), at: reply.at ?? null } : null,
    },
  }
}

/** Of one text that are looked at: twice what is kept. */
const MOST_LETTERS = 200_000

/** Text, though somebody may have written markup into it. */
function plain(text: string): string {
  const cut = text.slice(0, MOST_LETTERS)
  return /[<&]/.test(cut) ? plainText(cut) : cut.replace(/\s+/g, ' ').trim()
}
