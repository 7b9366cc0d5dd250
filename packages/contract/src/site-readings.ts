import { regionIds } from '@pebblestrand/core/platforms/schema'
import { z } from 'zod'
import { Id, IdParams, Time } from './fields'
import { route } from './route'
import { Address } from './site-fields'

/** What a reading of a site goes through, in this order. */
export const readingSteps = ['page', 'cache', 'pages', 'rooms'] as const
export type ReadingStep = (typeof readingSteps)[number]

/** A value and where it was read; without that it is assumed. */
const Told = <T extends z.ZodType>(value: T) => z.object({ value, from: z.string().nullable() })

const Width = z.number().nullable()
export const Widths = z.object({ phone: Width, tablet: Width, desktop: z.number() })

export const ReadRoom = z.object({
  region: z.enum(regionIds),
  name: z.string(),
  widths: Widths,
  /** Where it is drawn in the picture, px; null where it was not seen. */
  box: z.object({ x: z.number(), y: z.number(), width: z.number(), height: z.number() }).nullable(),
  mark: z.string().nullable(),
  /** Paths of the pages it is on; null where most have it. */
  on: z.array(z.string()).nullable(),
  /** Measured, or assumed to be as on most sites. */
  measured: z.boolean(),
})
export type ReadRoom = z.infer<typeof ReadRoom>

/** What a site says of itself. */
export const SiteRead = z.object({
  origin: z.string(),
  name: Told(z.string()),
  platform: Told(z.string()),
  cacheMinutes: Told(z.number()),
  language: Told(z.string()).nullable(),
  pages: z.array(z.object({ path: z.string(), title: z.string(), from: z.string() })),
  rooms: z.array(ReadRoom),
  /** Paths that rooms were measured on. */
  measuredOn: z.array(z.string()),
  /** The first page in a wide window, px; null where no browser looked. */
  picture: z.object({ width: z.number(), height: z.number() }).nullable(),
  /** What could not be read, as sentences. */
  notes: z.array(z.string()),
})
export type SiteRead = z.infer<typeof SiteRead>

export const SiteReading = z.object({
  id: z.uuid(),
  siteId: z.uuid().nullable(),
  state: z.enum(['queued', 'running', 'done', 'failed', 'stopped']),
  step: z.enum(readingSteps).nullable(),
  /** Within the step: how many are done, of how many. */
  done: z.number(),
  total: z.number(),
  askedAt: Time,
  finishedAt: Time.nullable(),
  /** Why it failed. */
  problem: z.string().nullable(),
  read: SiteRead.nullable(),
})

const Stated = z.object({ reading: SiteReading })

export const siteReadingRoutes = {
  start: route({
    method: 'POST',
    path: '/api/site-readings',
    may: 'member',
    summary: 'Read a site: what it is called, its pages, its regions and their widths, its cache',
    often: { times: 60, seconds: 3600 },
    body: z.object({
      address: Address,
      /** Of a site that is read again. */
      siteId: z.uuid().nullish(),
    }),
    answer: Id,
  }),
  read: route({
    method: 'GET',
    path: '/api/site-readings/:id',
    may: 'member',
    summary: 'How far a reading is, and what was read',
    params: IdParams,
    answer: Stated,
  }),
  stop: route({
    method: 'DELETE',
    path: '/api/site-readings/:id',
    may: 'member',
    summary: 'Stop a reading',
    params: IdParams,
    answer: Stated,
  }),
  picture: route({
    method: 'GET',
    path: '/api/site-readings/:id/picture',
    may: 'member',
    summary: 'The first page as a browser drew it, a JPEG',
    params: IdParams,
    answer: z.any(),
    file: true,
  }),
}
