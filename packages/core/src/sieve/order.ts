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
      return sortedBy(items, (item) => (item.publishedAt === null ? -Infinity : -timeOf(item.publishedAt, item)))
    case 'best':
      return sortedBy(sortedBy(items, newest), ({ body }) => readingOf(body).rating(body) ?? 0)
    case 'longest':
      return sortedBy(items, ({ body }) => [...body.text].length)
  }
}

const newest = (item: Item) => (item.publishedAt === null ? -Infinity : timeOf(item.publishedAt, item))

/** Dates are read once: the same items are put in order again with every rule that is changed. */
const times = new WeakMap<Item, number>()
function timeOf(publishedAt: string, item: Item): number {
  const known = times.get(item)
  if (known !== undefined) return known
  const time = Date.parse(publishedAt)
  times.set(item, time)
  return time
}

/**
 * The highest first, equals as they came; each height is worked out once. Numbers alone are sorted by the engine many times
 * faster than by a comparison of ours: from them each height's first place is known, and then every item's.
 */
function sortedBy(items: readonly Item[], height: (item: Item) => number): Item[] {
  const heights = new Float64Array(items.length)
  items.forEach((item, at) => (heights[at] = height(item)))
  const placeOf = new Map<number, number>()
  heights
    .slice()
    .sort()
    .reverse()
    .forEach((one, place) => placeOf.has(one) || placeOf.set(one, place))
  const sorted = new Array<Item>(items.length)
  items.forEach((item, at) => {
    const place = placeOf.get(heights[at]!)!
    placeOf.set(heights[at]!, place + 1)
    sorted[place] = item
  })
  return sorted
}
