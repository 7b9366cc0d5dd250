import { Item } from '@pebblestrand/core/items'
import { givenNames, SourceFacts } from '@pebblestrand/core/sources/facts'
import { z } from 'zod'
import { IdParams, line, paged, Paging, Time, wholeNumber, words } from './fields'
import { route } from './route'

/** Names with slashes between them; white space and empty names around them gone. */
export const Folder = z
  .string()
  .max(300, 'must have 300 letters or fewer')
  .transform((text) =>
    text
      .split('/')
      .map((name) => name.trim())
      .filter(Boolean)
      .join('/'),
  )

const Problem = z.object({ code: z.string(), message: z.string(), remedy: z.string(), at: z.string() })

/** A source as a widget's bench knows it. */
export const SourceInfo = SourceFacts.extend({
  id: z.uuid(),
  kind: z.string(),
  /** What its items are, and which of its facts a widget can be made of. */
  gives: z.array(z.enum(givenNames)),
  title: z.string(),
  link: z.string().nullable(),
  url: z.string(),
  problem: Problem.nullable(),
  okAt: Time.nullable(),
  intervalMinutes: z.number(),
  /** A person has stopped it. */
  paused: z.boolean(),
  /** The account it is read by; null where anyone may read it. */
  account: z.string().nullable(),
  /** Whether its service gives an owner more than anyone. */
  connects: z.boolean(),
  /** Names with slashes between them, the outermost first: "News/Islands"; '' for none. */
  folder: z.string(),
  /** It is written here: nothing is asked for elsewhere. */
  keptHere: z.boolean(),
  /** What else there is to know of its health, as sentences. */
  notes: z.array(z.string()),
})

export const SourceDetail = SourceInfo.extend({
  format: z.string(),
  fetchedAt: Time.nullable(),
  nextFetchAt: Time,
  failures: z.number(),
  count: z.number(),
  /** What shows its items. */
  widgets: z.array(z.object({ id: z.uuid(), name: z.string() })),
})

export const FoundSource = z.object({
  /** Its sort: core/sources. */
  kind: z.string(),
  url: z.string(),
  title: z.string(),
  /** Of a place: where it is, in words. */
  address: z.string().nullable(),
  format: z.string(),
  count: z.number(),
  how: z.enum(['given', 'declared', 'linked', 'usual']),
  rating: SourceFacts.shape.rating,
  /** When the place is open. */
  hours: SourceFacts.shape.hours,
  newest: z.array(z.object({ title: z.string(), publishedAt: z.string().nullable(), link: z.string().nullable() })),
})
export type FoundSource = z.infer<typeof FoundSource>

export const Tried = z.object({ url: z.string(), outcome: z.string() })
export type Tried = z.infer<typeof Tried>

/** An item without its source: `key` is stable within it. */
export const Entry = Item.omit({ id: true }).extend({ key: z.string() })

export const sourceRoutes = {
  find: route({
    method: 'POST',
    path: '/api/sources/find',
    may: 'member',
    summary: 'The sources behind an address, each with its newest items',
    body: z.object({
      address: line(2000),
      /** What it is wanted for; anything where left out. */
      gives: z.array(z.enum(givenNames)).max(10).optional(),
    }),
    often: { times: 30, seconds: 60 },
    step: Tried,
    answer: z.object({ found: z.array(FoundSource), tried: z.array(Tried) }),
  }),
  add: route({
    method: 'POST',
    path: '/api/sources',
    may: 'member',
    summary: 'Add a source, or get the one that is there',
    often: { times: 60, seconds: 60 },
    body: z.object({
      kind: z.string().max(40).default('feed'),
      url: z.url('must be the address of a feed').max(2000, 'must have 2000 letters or fewer'),
    }),
    answer: SourceDetail,
  }),
  list: route({
    method: 'GET',
    path: '/api/sources',
    may: 'member',
    summary: 'Known sources',
    query: Paging.extend({
      q: z.string().trim().max(200).default(''),
      /** Only those that give such; several with commas between them. */
      gives: z
        .string()
        .default('')
        .transform((text) => text.split(',').filter(Boolean))
        .pipe(z.array(z.enum(givenNames))),
    }),
    answer: paged(SourceDetail),
  }),
  read: route({
    method: 'GET',
    path: '/api/sources/:id',
    may: 'member',
    summary: 'A source and how it is',
    params: IdParams,
    answer: SourceDetail,
  }),
  items: route({
    method: 'GET',
    path: '/api/sources/:id/items',
    may: 'member',
    summary: 'What is stored of a source, as it lists it',
    params: IdParams,
    query: Paging.extend({ size: z.coerce.number().int().min(1).max(1000).default(50), q: words }),
    answer: paged(Entry),
  }),
  change: route({
    method: 'PATCH',
    path: '/api/sources/:id',
    may: 'member',
    summary: 'How often a source is read, whether at all, what it is called, and in which folder it lies',
    params: IdParams,
    body: z.object({
      intervalMinutes: wholeNumber(5, 10_080).optional(),
      paused: z.boolean().optional(),
      title: line(200).optional(),
      folder: Folder.optional(),
    }),
    answer: SourceDetail,
  }),
  refresh: route({
    method: 'POST',
    path: '/api/sources/:id/refresh',
    may: 'member',
    summary: 'Read a source now',
    often: { times: 30, seconds: 60 },
    params: IdParams,
    step: z.object({ read: z.number(), of: z.number() }),
    answer: SourceDetail,
  }),
  connect: route({
    method: 'POST',
    path: '/api/sources/:id/connect',
    may: 'member',
    summary: 'The page on which an owner lets us read all of a source',
    often: { times: 30, seconds: 60 },
    params: IdParams,
    answer: z.object({ address: z.url() }),
  }),
  connected: route({
    method: 'POST',
    path: '/api/sources/connected',
    may: 'member',
    summary: 'Hand in what the service sent along with the person who came back',
    often: { times: 30, seconds: 60 },
    body: z.object({ state: line(300), code: line(500) }),
    answer: SourceDetail,
  }),
  disconnect: route({
    method: 'POST',
    path: '/api/sources/:id/disconnect',
    may: 'member',
    summary: 'Read a source as anyone may, without an account',
    params: IdParams,
    answer: SourceDetail,
  }),
}
