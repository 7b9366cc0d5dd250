import { readingOf, type Item } from '../items'
import { shuffled } from './shuffle'

export type Order = 'newest' | 'oldest' | 'best' | 'longest' | 'shuffled' | 'as-given'

/**
 * Items in an order; equals stay as they came. Undated ones stay behind dated ones, unrated ones behind rated ones; of equal
 * ratings the newest comes first. Shuffled is another order each day (UTC) and the same within it.
 * @param now decides the day; the others need none
 */
export function inOrder(items: readonly Item[], order: Order, now = new Date(0)): Item[] {
  switch (order) {
    case 'as-given':
      return [...items]
    case 'shuffled':
      return shuffled(items, now.toISOString().slice(0, 10))
    case 'newest':
      return sortedBy(items, newest)
    case 'oldest':
      return sortedBy(items, ({ publishedAt }) => (publishedAt === null ? -Infinity : -Date.parse(publishedAt)))
    case 'best':
      return sortedBy(sortedBy(items, newest), ({ body }) => readingOf(body).rating(body) ?? 0)
    case 'longest':
      return sortedBy(items, ({ body }) => [...body.text].length)
  }
}

const newest = ({ publishedAt }: Item) => (publishedAt === null ? -Infinity : Date.parse(publishedAt))

/** The highest first, equals as they came; each height is worked out once. */
function sortedBy(items: readonly Item[], height: (item: Item) => number): Item[] {
  const heights = Float64Array.from(items, height)
  const places = Uint32Array.from(items, (_, at) => at)
  places.sort((a, b) => {
    const one = heights[a]!
    const other = heights[b]!
    return one === other ? a - b : other - one // two infinities have no difference
  })
  return Array.from(places, (at) => items[at]!)
}
