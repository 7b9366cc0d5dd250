import { Picture } from '@pebblestrand/core/items'
import { z } from 'zod'
import { IdParams, line } from './fields'
import { route } from './route'
import { Address } from './site-fields'
import { Entry, SourceDetail } from './sources'

/** Letters of a bookmark file; icons within it weigh most. */
export const MOST_OF_BOOKMARKS = 6_000_000

const words = (most: number) =>
  z
    .string()
    .trim()
    .max(most, `must have ${most.toLocaleString('en')} letters or fewer`)

/** A pick as a person makes it. */
export const TypedPick = z
  .object({
    /** Of one that is there; null for a new one. */
    key: words(600).nullable().default(null),
    title: words(300).default(''),
    text: words(4000).default(''),
    /** Where it leads; empty for nowhere. */
    link: z.union([z.literal(''), Address]).default(''),
    site: words(300).default(''),
    picture: Picture.omit({ own: true }).nullable().default(null),
    labels: z.array(line(100)).max(30, 'may be 30 at most').default([]),
    /** YYYY-MM-DD; empty where it has none, and null for the day it is picked. */
    date: z
      .union([z.literal(''), z.iso.date('must be a day like 2026-03-05')])
      .nullable()
      .default(null),
    /** BCP 47, as its page says it; left out, it stays as it was. */
    language: words(35).nullish(),
    /** Place in the collection, from 0; left out, a new one stands first and another stays where it is. */
    at: z.number().int().min(0).max(100_000).nullish(),
  })
  .refine(({ title, link }) => title !== '' || link !== '', {
    path: ['title'],
    message: 'is empty, and so is the address',
  })
export type TypedPick = z.infer<typeof TypedPick>

/** What a page says of itself, each to be corrected. */
export const PageFacts = z.object({
  link: z.url(),
  title: z.string(),
  description: z.string(),
  site: z.string(),
  language: z.string().nullable(),
  publishedAt: z.string().nullable(),
  pictures: z.array(Picture),
})
export type PageFacts = z.infer<typeof PageFacts>

/** What a bookmark file comes to. */
export const ReadBookmarks = z.object({
  bookmarks: z.number(),
  /** Those without a web address. */
  skipped: z.number(),
  added: z.number(),
  /** Those that lead where a pick leads already. */
  there: z.number(),
  folders: z.array(z.object({ name: z.string(), count: z.number() })),
  sample: z.array(z.object({ title: z.string(), link: z.string(), labels: z.array(z.string()) })),
  kept: z.boolean(),
})
export type ReadBookmarks = z.infer<typeof ReadBookmarks>

const key = z.string().min(1).max(600)

export const pickRoutes = {
  begin: route({
    method: 'POST',
    path: '/api/sources/picks',
    may: 'member',
    summary: 'Begin a collection of picks',
    body: z.object({ title: line(200) }),
    answer: SourceDetail,
  }),
  put: route({
    method: 'PUT',
    path: '/api/sources/:id/picks',
    may: 'member',
    summary: 'Add a pick, or correct one',
    params: IdParams,
    body: TypedPick,
    answer: Entry,
  }),
  drop: route({
    method: 'POST',
    path: '/api/sources/:id/picks/drop',
    may: 'member',
    summary: 'Take a pick out; the answer is what it was, and its place',
    params: IdParams,
    body: z.object({ key }),
    answer: z.object({ entry: Entry, at: z.number() }),
  }),
  move: route({
    method: 'POST',
    path: '/api/sources/:id/picks/move',
    may: 'member',
    summary: 'Move a pick to another place in its collection, counted without it, from 0',
    params: IdParams,
    body: z.object({ key, to: z.number().int().min(0).max(100_000) }),
    answer: z.object({}),
  }),
  readPage: route({
    method: 'POST',
    path: '/api/pages/read',
    may: 'member',
    summary: 'What a page says of itself: title, words, site, pictures',
    often: { times: 60, seconds: 60 },
    body: z.object({ address: Address }),
    answer: PageFacts,
  }),
  readBookmarks: route({
    method: 'POST',
    path: '/api/sources/:id/bookmarks',
    may: 'member',
    summary: 'Read a bookmark file: what it comes to, and, where asked, keep it',
    often: { times: 60, seconds: 60 },
    big: MOST_OF_BOOKMARKS * 3,
    params: IdParams,
    body: z.object({
      text: z.string().min(1, 'is empty').max(MOST_OF_BOOKMARKS, 'is too long: export a folder of it alone'),
      /** Only what lies in one of these; all where left out. */
      folders: z.array(z.string().max(300)).max(2000).nullish(),
      keep: z.boolean().default(false),
    }),
    answer: ReadBookmarks,
  }),
  saveBookmarks: route({
    method: 'GET',
    path: '/api/sources/:id/bookmarks.html',
    may: 'member',
    summary: 'A collection as a bookmark file',
    params: IdParams,
    answer: z.string(),
    file: true,
  }),
}
