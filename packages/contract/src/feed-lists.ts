import { z } from 'zod'
import { route } from './route'

/** Letters of a list of feeds. */
const MOST_OF_A_LIST = 2_000_000
/** Feeds that are taken at once. */
export const MOST_FEEDS = 100

const Listed = z.object({
  url: z.string(),
  title: z.string(),
  folder: z.string(),
  /** It is among the sources already. */
  known: z.boolean(),
})

/** What a list of feeds holds. */
export const ReadFeedList = z.object({
  title: z.string(),
  feeds: z.array(Listed),
  /** Entries that lead to no feed. */
  skipped: z.number(),
})
export type ReadFeedList = z.infer<typeof ReadFeedList>

const urls = z
  .array(z.url({ protocol: /^https?$/, error: 'must be addresses of feeds' }).max(2000))
  .min(1, 'are none: choose some')
  .max(MOST_FEEDS, `may be ${MOST_FEEDS} at once`)

/** What became of each feed of a list. */
export const BroughtFeeds = z.object({
  sources: z.array(z.object({ id: z.uuid(), title: z.string() })),
  failed: z.array(z.object({ url: z.string(), title: z.string(), message: z.string() })),
})
export type BroughtFeeds = z.infer<typeof BroughtFeeds>

export const feedListRoutes = {
  read: route({
    method: 'POST',
    path: '/api/feed-lists/read',
    may: 'member',
    summary: 'Read a list of feeds (OPML)',
    often: { times: 60, seconds: 60 },
    big: MOST_OF_A_LIST * 3,
    body: z.object({
      text: z.string().min(1, 'is empty').max(MOST_OF_A_LIST, 'is too long: export a folder of it alone'),
    }),
    answer: ReadFeedList,
  }),
  bring: route({
    method: 'POST',
    path: '/api/feed-lists/bring',
    may: 'member',
    summary:
      'Add feeds of a list as sources, in its folders; those that are there already take the folder where they have none',
    often: { times: 10, seconds: 60 },
    big: MOST_OF_A_LIST * 3,
    body: z.object({ text: z.string().min(1, 'is empty').max(MOST_OF_A_LIST, 'is too long'), urls }),
    step: z.object({ done: z.number(), of: z.number() }),
    answer: BroughtFeeds,
  }),
  save: route({
    method: 'GET',
    path: '/api/feed-lists/feeds.opml',
    may: 'member',
    summary: 'Feeds among the sources as OPML 2.0, with their folders: all, or those named',
    query: z.object({
      /** Ids with commas between them. */
      ids: z
        .string()
        .default('')
        .transform((text) => text.split(',').filter(Boolean))
        .pipe(z.array(z.uuid('must be ids of sources')).max(500)),
    }),
    answer: z.string(),
    file: true,
  }),
}
