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
    case 'oldest':
      return [...items].sort(byDate(order === 'newest' ? -1 : 1))
    case 'best':
      return sortedBy([...items].sort(byDate(-1)), ({ body }) => readingOf(body).rating(body) ?? 0)
    case 'longest':
      return sortedBy(items, ({ body }) => [...body.text].length)
  }
}

const byDate = (sign: 1 | -1) => (a: Item, b: Item) => {
  if (a.publishedAt === b.publishedAt) return 0
  if (a.publishedAt === null) return 1
  if (b.publishedAt === null) return -1
  return a.publishedAt < b.publishedAt ? -sign : sign
}

/** The highest first; each is worked out once. */
const sortedBy = (items: readonly Item[], height: (item: Item) => number) =>
  items
    .map((item) => ({ item, at: height(item) }))
    .sort((a, b) => b.at - a.at)
    .map(({ item }) => item)
