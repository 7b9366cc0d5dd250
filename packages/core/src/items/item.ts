import { z } from 'zod'
import { ItemBody } from './bodies'

/** What every item has, whatever it came from. */
export const ItemHead = z.object({
  /** `source:item`, the same wherever the item is met. */
  id: z.string().min(3),
  author: z.string().nullable(),
  /** ISO 8601 in UTC, or null where the source gives no readable date. */
  publishedAt: z.iso.datetime().nullable(),
  link: z.url().nullable(),
  /** BCP 47, as the source says it; null where it says none. */
  language: z.string().nullable(),
  labels: z.array(z.string()),
})

/** One normalised record: a head that all share, and a body of one type. */
export const Item = ItemHead.extend({ body: ItemBody })
export type Item = z.infer<typeof Item>

/** An item as its source knows it: named by a key that is stable within the source, not yet by the source itself. */
export type Entry = Omit<Item, 'id'> & { key: string }

export const itemId = (sourceId: string, key: string) => `${sourceId}:${key}`

/** The source an item came from. Ids of sources hold no colon; keys may. */
export const sourceOf = (itemId: string) => itemId.slice(0, itemId.indexOf(':'))
