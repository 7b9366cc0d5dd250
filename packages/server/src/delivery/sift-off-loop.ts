import { readingOf, type Item } from '@pebblestrand/core/items'
import { sift, type Order, type Rule } from '@pebblestrand/core/sieve'
import type { Threads } from '../platform/threads/threads'

/** Characters: what is sifted in a few milliseconds, faster than it is handed to a thread. */
const FEW = 200_000

interface Sifting {
  items: readonly Item[]
  rules: readonly Rule[]
  order: Order
  now: Date
}

/** What a sieve leaves. Much text is sifted in a thread, so that nobody else waits for it. */
export async function siftOffLoop(threads: Threads, { items, rules, order, now }: Sifting): Promise<Item[]> {
  const letters = items.reduce((sum, { body }) => sum + readingOf(body).words(body).length, 0)
  if (letters < FEW) return sift(items, rules, order, now).items
  const byId = new Map(items.map((item) => [item.id, item]))
  const ids = await threads.run('sift', { items: [...items], rules: [...rules], order, now })
  return ids.map((id) => byId.get(id)!)
}
