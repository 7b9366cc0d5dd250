import type { Entry, Picture } from '../../items'
import { parseDate } from '../feed/dates'
import { absolute } from '../links'
import { plainText } from '../sanitise'
import { numberIn, toFive } from './scale'
import { everyThing, first, isThing, textOf, type Thing, type Value } from './thing'

/** What a page says of something that is reviewed. */
export interface MarkedUp {
  /** What the reviews are of; '' where nothing says. */
  name: string
  rating: { mean: number; count: number } | null
  picture: Picture | null
  reviews: Entry[]
}

const reviewTypes = new Set(['Review', 'UserReview', 'CriticReview', 'EmployerReview', 'ClaimReview', 'MediaReview'])
/** Said of something other than the place or the thing. */
const notOpinions = new Set(['ClaimReview', 'MediaReview'])
const isReview = ({ types }: Thing) =>
  types.some((type) => reviewTypes.has(type)) && !types.some((type) => notOpinions.has(type))

/**
 * The reviews among a page's things (schema.org Review, AggregateRating), each once.
 * @param base of the page, for relative addresses
 */
export function reviewsIn(things: readonly Thing[], base: string | null): MarkedUp {
  const all = [...everyThing(things)]
  const reviews = new Map<string, Entry>()
  for (const thing of all) {
    if (!isReview(thing)) continue
    const entry = entryOf(thing, base)
    if (entry && !reviews.has(entry.key)) reviews.set(entry.key, entry)
  }
  const subject =
    all.find(({ properties }) => properties.aggregateRating) ?? all.find(({ properties }) => properties.review)
  const reviewed = all.filter(isReview).map((review) => textOf(review, 'itemReviewed'))
  return {
    name: (subject && textOf(subject, 'name')) || reviewed.find(Boolean) || '',
    rating: aggregateOf(all),
    picture: pictureOf(subject, base),
    reviews: [...reviews.values()],
  }
}

function entryOf(review: Thing, base: string | null): Entry | null {
  const text = plain(textOf(review, 'reviewBody', 'description', 'text'))
  const rating = ratingOf(review)
  if (!text && rating === null) return null
  const author = plain(textOf(review, 'author', 'creator')) || null
  const publishedAt = parseDate(textOf(review, 'datePublished', 'dateCreated'))
  const title = plain(textOf(review, 'headline', 'name'))
  const link = absolute(textOf(review, 'url', '@id'), base)
  return {
    key: link ?? [author ?? '', publishedAt ?? '', text.slice(0, 200), rating ?? ''].join('|'),
    author,
    publishedAt,
    link,
    language: textOf(review, 'inLanguage') || null,
    labels: [],
    body: {
      type: 'review',
      rating,
      title: title && !text.startsWith(title) ? title : '',
      text,
      authorPicture: pictureOf(thingAt(review, 'author'), base),
      pictures: picturesOf(review, base),
      reply: replyOf(review),
    },
  }
}

/** Some write markup into JSON. */
const plain = (text: string) => (/[<&]/.test(text) ? plainText(text) : text)

function ratingOf(review: Thing): number | null {
  const rating = thingAt(review, 'reviewRating', 'rating') ?? review
  const value = first(rating, 'ratingValue')
  if (value !== undefined) return toFive(value, first(rating, 'bestRating'), first(rating, 'worstRating'))
  const bare = first(review, 'reviewRating', 'rating')
  return isThing(bare) ? null : toFive(bare, undefined, undefined)
}

function aggregateOf(all: readonly Thing[]): MarkedUp['rating'] {
  for (const thing of all) {
    if (!thing.types.includes('AggregateRating')) continue
    const mean = toFive(first(thing, 'ratingValue'), first(thing, 'bestRating'), first(thing, 'worstRating'))
    const count = numberIn(first(thing, 'reviewCount', 'ratingCount') as string | number | undefined)
    if (mean !== null && count !== null && count > 0) return { mean, count: Math.round(count) }
  }
  return null
}

const thingAt = (thing: Thing, ...names: string[]): Thing | undefined => {
  const value = first(thing, ...names)
  return isThing(value) ? value : undefined
}

const addressOf = (value: Value | undefined): string =>
  value === undefined ? '' : isThing(value) ? textOf(value, 'url', 'contentUrl', '@id') : String(value)

function pictureOf(thing: Thing | undefined, base: string | null) {
  const url = absolute(addressOf(thing && first(thing, 'image')), base)
  return url ? { url, width: null, height: null, alt: '' } : null
}

const picturesOf = ({ properties }: Thing, base: string | null) =>
  (properties.image ?? []).flatMap((value) => {
    const url = absolute(addressOf(value), base)
    return url ? [{ url, width: null, height: null, alt: '' }] : []
  })

/** The first comment on a review is taken for the owner's answer. */
function replyOf(review: Thing) {
  const comment = thingAt(review, 'comment')
  const text = comment ? plain(textOf(comment, 'text', 'description')) : ''
  if (!comment || !text) return null
  return {
    author: plain(textOf(comment, 'author', 'creator')) || null,
    text,
    at: parseDate(textOf(comment, 'datePublished', 'dateCreated')),
  }
}
