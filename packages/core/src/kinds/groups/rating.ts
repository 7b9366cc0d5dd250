import { readingOf, type Item } from '../../items'
import { escapeAttribute } from '../../markup'
import { meanWords, summarise, type RatingSummary } from '../../stats'
import type { View } from '../kind'

type Summary = Pick<RatingSummary, 'mean' | 'count'> & { byStar: RatingSummary['byStar'] | null }

/** What the ratings of some items come to. */
export const ratingsOf = (items: readonly Item[]): RatingSummary =>
  summarise(items.map(({ body }) => readingOf(body).rating(body)))

/** Half stars, as classes: 1.0 is `r2`, 5.0 `r10`. */
const halves = Array.from({ length: 10 }, (_, i) => i + 1)

/** Ratings: what they come to, and how they are drawn. */
export const ratingGroup = {
  /**
   * What the sources say their ratings come to, of all there are; where one of them says nothing, what the items that are
   * known come to. How many have how many stars is told only where all are known.
   */
  summary<S>(sourceIds: readonly string[], { items, ratings, context: { sources } }: View<S>): Summary {
    const own = ratings ?? ratingsOf(items)
    const stated = sourceIds.flatMap((id) => sources[id]?.rating ?? [])
    if (!stated.length || stated.length < sourceIds.length) return own
    const count = stated.reduce((sum, one) => sum + one.count, 0)
    const mean = stated.reduce((sum, one) => sum + one.mean * one.count, 0) / count
    return { mean, count, byStar: count <= own.count ? own.byStar : null }
  },

  /**
   * Five stars, so many of them full, to the nearest half.
   * @param words said in their place: "4.5 of 5 stars"
   */
  stars: (rating: number, words: string) =>
    `<span part="stars" class="s r${Math.max(1, Math.min(10, Math.round(rating * 2)))}" role="img" aria-label="${escapeAttribute(words)}"></span>`,

  /** "4.5 of 5 stars" from "{n} of 5 stars". */
  starsWords: (pattern: string, rating: number, locale: string) =>
    pattern.replaceAll('{n}', Number.isInteger(rating) ? String(rating) : meanWords(rating, locale)),

  /** A width of px a star; drawn from text so that no picture has to be loaded. */
  css: (size: number, colour: string) =>
    `.s{position:relative;display:inline-block;font-size:${size}px;line-height:1;letter-spacing:.08em;white-space:nowrap;font-family:sans-serif}` +
    `.s::before{content:"★★★★★";opacity:.25}.s::after{content:"★★★★★";position:absolute;inset-inline-start:0;top:0;overflow:hidden;color:${colour}}` +
    halves.map((n) => `.r${n}::after{width:${n * 10}%}`).join(''),
}
