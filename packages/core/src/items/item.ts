import { z } from 'zod'

/** A picture that belongs to an item; sizes in CSS px where the source says them. */
export const Picture = z.object({
  url: z.url(),
  width: z.number().int().positive().nullable(),
  height: z.number().int().positive().nullable(),
  alt: z.string(),
})
export type Picture = z.infer<typeof Picture>

/** One normalised record, whatever it came from. `html` is sanitised; `text` is its plain text. */
export const Item = z.object({
  /** Stable within its source: the feed's guid or id, else the link, else a hash of title and date. */
  id: z.string().min(1),
  title: z.string(),
  text: z.string(),
  html: z.string(),
  author: z.string().nullable(),
  /** ISO 8601 in UTC, or null where the source gives no readable date. */
  publishedAt: z.iso.datetime().nullable(),
  link: z.url().nullable(),
  picture: Picture.nullable(),
  labels: z.array(z.string()),
})
export type Item = z.infer<typeof Item>

export type FeedFormat = 'rss' | 'rdf' | 'atom' | 'json'

/** A feed document after normalising. `link` is the page the feed belongs to. */
export interface Feed {
  format: FeedFormat
  title: string
  link: string | null
  language: string | null
  items: Item[]
}
