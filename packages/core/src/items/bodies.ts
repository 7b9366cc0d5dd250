import { z } from 'zod'
import { cutAtWord } from '../text'

/** A picture that belongs to an item; sizes in CSS px where the source says them. */
export const Picture = z.object({
  url: z.url(),
  width: z.number().int().positive().nullable(),
  height: z.number().int().positive().nullable(),
  alt: z.string(),
  /** Where we serve it ourselves, and in which widths of px; left out while it has not been fetched. */
  own: z.object({ base: z.url(), widths: z.array(z.number().int().positive()).min(1) }).optional(),
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

/** What somebody said of a place or a thing. `text` is plain. */
export const ReviewBody = z.object({
  type: z.literal('review'),
  /** On a scale from 1, the worst, to 5, the best; null where only words were left. */
  rating: z.number().min(1).max(5).nullable(),
  title: z.string(),
  text: z.string(),
  authorPicture: Picture.nullable(),
  pictures: z.array(Picture),
  /** What the owner answered. */
  reply: z.object({ author: z.string().nullable(), text: z.string(), at: z.iso.datetime().nullable() }).nullable(),
})
export type ReviewBody = z.infer<typeof ReviewBody>

/** Pictures or a clip that somebody shared; `text` is the caption, plain, its tags and mentions in it. */
export const PostBody = z.object({
  type: z.literal('post'),
  /** '' where the service knows none. */
  title: z.string(),
  text: z.string(),
  /** In their order; of a clip what stands for it. */
  pictures: z.array(Picture),
  isClip: z.boolean(),
  /** Null where the service does not say. */
  likes: z.number().int().min(0).nullable(),
  comments: z.number().int().min(0).nullable(),
})
export type PostBody = z.infer<typeof PostBody>

/** A film that a service plays. `text` is its description, plain. */
export const VideoBody = z.object({
  type: z.literal('video'),
  title: z.string(),
  text: z.string(),
  picture: Picture.nullable(),
  seconds: z.number().min(0).nullable(),
  /** A page that plays it within a frame; null where there is none. */
  player: z.url().nullable(),
})
export type VideoBody = z.infer<typeof VideoBody>

/** Something chosen by hand. `text` is the note beside it, plain. */
export const PickBody = z.object({
  type: z.literal('pick'),
  title: z.string(),
  text: z.string(),
  /** What the site it leads to calls itself; '' where that is not known. */
  site: z.string(),
  picture: Picture.nullable(),
})
export type PickBody = z.infer<typeof PickBody>

/** What an item holds beside its head. A new type: its schema here, and its reading below. */
export const ItemBody = z.discriminatedUnion('type', [ArticleBody, ReviewBody, PostBody, VideoBody, PickBody])
export type ItemBody = z.infer<typeof ItemBody>
export type BodyType = ItemBody['type']

export const bodyTypes = ItemBody.options.map(({ shape }) => shape.type.value) as [BodyType, ...BodyType[]]

/** Of whom or what a picture is. */
export type PictureRole = 'author' | 'item'

/** How a body of one type answers what may be asked of any. */
interface BodyReading<B extends ItemBody> {
  /** One line that names the item in a list. */
  title(body: B): string
  /** All words that keywords are looked for in. */
  words(body: B): string
  hasText(body: B): boolean
  picture(body: B): Picture | null
  /** From 1 to 5; null for what is not rated. */
  rating(body: B): number | null
  /** The body with each of its pictures as `change` gives it; null leaves it out. */
  withPictures(body: B, change: (picture: Picture, role: PictureRole) => Picture | null): B
}

/** Of what has a title, a text and a picture. */
const titled = {
  title: (body: Titled) => body.title,
  words: (body: Titled) => `${body.title}\n${body.text}`,
  hasText: (body: Titled) => body.text.length > 0,
  picture: (body: Titled) => body.picture,
  rating: () => null,
  withPictures: <B extends Titled>(body: B, change: (picture: Picture, role: PictureRole) => Picture | null): B => ({
    ...body,
    picture: body.picture && change(body.picture, 'item'),
  }),
}
interface Titled {
  title: string
  text: string
  picture: Picture | null
}

const readings: { [T in BodyType]: BodyReading<Extract<ItemBody, { type: T }>> } = {
  article: titled,
  review: {
    title: (body) =>
      body.title || beginning(body.text) || (body.rating === null ? 'Without words' : `${body.rating} of 5`),
    words: (body) => `${body.title}\n${body.text}`,
    hasText: (body) => body.text.length > 0,
    picture: (body) => body.pictures[0] ?? null,
    rating: (body) => body.rating,
    withPictures: (body, change) => ({
      ...body,
      authorPicture: body.authorPicture && change(body.authorPicture, 'author'),
      pictures: body.pictures.flatMap((one) => change(one, 'item') ?? []),
    }),
  },
  post: {
    title: (body) => body.title || beginning(body.text) || 'Without a caption',
    words: (body) => [body.title, body.text, ...body.pictures.map(({ alt }) => alt)].join('\n'),
    hasText: (body) => body.text.length > 0,
    picture: (body) => body.pictures[0] ?? null,
    rating: () => null,
    withPictures: (body, change) => ({ ...body, pictures: body.pictures.flatMap((one) => change(one, 'item') ?? []) }),
  },
  video: titled,
  pick: { ...titled, words: (body) => `${body.title}\n${body.text}\n${body.site}` },
}

/** The first words of a text, for a line. */
const beginning = (text: string) => (text.length <= 80 ? text : `${cutAtWord(text, 80)}…`)

/** The reading of a body's own type. */
export const readingOf = (body: ItemBody): BodyReading<ItemBody> => readings[body.type] as BodyReading<ItemBody>
