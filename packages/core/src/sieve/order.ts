import type { Item } from '../items'

export type Order = 'newest' | 'oldest' | 'as-given'

/** Undated items stay behind dated ones, in the order they came. */
export function inOrder(items: readonly Item[], order: Order): Item[] {
  if (order === 'as-given') return [...items]
  const sign = order === 'newest' ? -1 : 1
  return [...items].sort((a, b) => {
    if (a.publishedAt === b.publishedAt) return 0
    if (a.publishedAt === null) return 1
    if (b.publishedAt === null) return -1
    return a.publishedAt < b.publishedAt ? -sign : sign
  })
}
