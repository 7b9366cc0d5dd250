import { z } from 'zod'

/** A picture that belongs to an item; sizes in CSS px where the source says them. */
export const Picture = z.object({
  url: z.url(),
  width: z.number().int().positive().nullable(),
  height: z.number().int().positive().nullable(),
  alt: z.string(),
})
export type Picture = z.infer<typeof Picture>

/** An entry of a feed. `html` is sanitised; `text` is its plain text. */
export const ArticleBody = z.object({
  type: z.literal('article'),
  title: z.string(),
  text: z.string(),
  html: z.string(),
  picture: Picture.nullable(),
})
export type ArticleBody = z.infer<typeof ArticleBody>

/** What an item holds beside its head. A new type: its schema here, and its reading below. */
export const ItemBody = z.discriminatedUnion('type', [ArticleBody])
export type ItemBody = z.infer<typeof ItemBody>
export type BodyType = ItemBody['type']

/** How a body of one type answers what may be asked of any. */
interface BodyReading<B extends ItemBody> {
  /** One line that names the item in a list. */
  title(body: B): string
  /** All words that keywords are looked for in. */
  words(body: B): string
  hasText(body: B): boolean
  picture(body: B): Picture | null
}

const readings: { [T in BodyType]: BodyReading<Extract<ItemBody, { type: T }>> } = {
  article: {
    title: (body) => body.title,
    words: (body) => `${body.title}\n${body.text}`,
    hasText: (body) => body.text.length > 0,
    picture: (body) => body.picture,
  },
}

/** The reading of a body's own type. */
export const readingOf = (body: ItemBody): BodyReading<ItemBody> => readings[body.type] as BodyReading<ItemBody>
