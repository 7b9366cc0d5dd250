import { z } from 'zod'
import type { Entry } from '../../items'
import { plainText } from '../sanitise'

// What the service's API answers. Only what is used is asked for; the rest may change.

/** In UTC, so that two of them compare as texts. */
const Moment = z.iso.datetime({ offset: true }).transform((moment) => new Date(moment).toISOString())
const Count = z.number().int().min(0).nullish()

export const ProfileAnswer = z.object({
  /** Stays when the handle changes. */
  id: z.string(),
  handle: z.string(),
  name: z.string(),
  bio: z.string().default(''),
  private: z.boolean().default(false),
  /** Of its page for people, from the service's root. */
  page: z.string(),
  picture: z.url().nullish(),
  counts: z.object({ posts: Count, followers: Count, following: Count }).default({}),
})
export type ProfileAnswer = z.infer<typeof ProfileAnswer>

export const ProfilesAnswer = z.object({ profiles: z.array(ProfileAnswer).max(100) })

export const ServicePost = z.object({
  id: z.string().min(1),
  by: z.object({ handle: z.string(), name: z.string() }),
  caption: z.string().default(''),
  tags: z.array(z.string()).default([]),
  created: Moment,
  kind: z.enum(['picture', 'pictures', 'clip']),
  pictures: z
    .array(
      z.object({
        address: z.url(),
        width: z.number().int().positive().nullish(),
        height: z.number().int().positive().nullish(),
        alt: z.string().nullish(),
      }),
    )
    .min(1),
  likes: Count,
  comments: Count,
  page: z.string(),
})
export type ServicePost = z.infer<typeof ServicePost>

/** One page of posts, the newest first. */
export const PostsAnswer = z.object({
  posts: z.array(ServicePost),
  total: z.number().int().min(0),
  /** After which post the next page begins. */
  next: z.string().nullable(),
})

/** Of one caption that are looked at: more than any service takes. */
const MOST_LETTERS = 20_000

/** A post as an entry of its stream. */
export function entryOf(
  { id, by, caption, tags, created, kind, pictures, likes, comments, page }: ServicePost,
  origin: string,
): Entry {
  const text = caption.slice(0, MOST_LETTERS)
  return {
    key: id,
    author: by.name.trim() || by.handle,
    publishedAt: created,
    link: `${origin}${page}`,
    language: null,
    labels: [...new Set(tags.map((tag) => tag.toLowerCase()))],
    body: {
      type: 'post',
      title: '',
      text: /<[a-z/]|&[a-z#]/i.test(text) ? plainText(text) : text.trim(),
      pictures: pictures.map(({ address, width, height, alt }) => ({
        url: address,
        width: width ?? null,
        height: height ?? null,
        alt: alt ?? '',
      })),
      isClip: kind === 'clip',
      likes: likes ?? null,
      comments: comments ?? null,
    },
  }
}
