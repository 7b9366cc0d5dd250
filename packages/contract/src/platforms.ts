import { PlatformProfile } from '@pebblestrand/core/platforms/schema'
import { z } from 'zod'
import { line } from './fields'
import { route } from './route'

/** Which platform: one of those that ship, or one of the agency's own. */
export const PlatformKey = z.string('is missing').regex(/^[a-z][a-z0-9-]{0,39}$/, 'must be a platform of the list')

const Key = z.object({ key: PlatformKey })

/** A platform in a list. */
export const PlatformRow = z.object({
  id: PlatformKey,
  name: z.string(),
  /** Null for one that ships. */
  own: z
    .object({
      /** Name of the one it was copied from. */
      from: z.string(),
      /** The only site that may be built with it; null for all. */
      siteId: z.uuid().nullable(),
      site: z.string().nullable(),
    })
    .nullable(),
  /** Sites that are built with it. */
  sites: z.number(),
  words: PlatformProfile.shape.words,
})

export const PlatformDetail = PlatformRow.extend({ profile: PlatformProfile })

const Done = z.object({ done: z.literal(true) })

/** What is corrected of a copy; its id stays. */
const Changed = z.object({
  profile: PlatformProfile,
  siteId: z.uuid().nullish(),
})

export const platformRoutes = {
  list: route({
    method: 'GET',
    path: '/api/platforms',
    may: 'member',
    summary: 'Platform profiles: those that ship, and the agency’s own',
    query: z.object({ siteId: z.uuid().optional() }),
    answer: z.object({ rows: z.array(PlatformRow) }),
  }),
  read: route({
    method: 'GET',
    path: '/api/platforms/:key',
    may: 'member',
    summary: 'A platform profile, whole',
    params: Key,
    answer: PlatformDetail,
  }),
  copy: route({
    method: 'POST',
    path: '/api/platforms',
    may: 'member',
    summary: 'Copy a profile, to be reworded; for all sites, or for one',
    body: z.object({ from: PlatformKey, name: line(60), siteId: z.uuid().nullish() }),
    answer: Key,
  }),
  change: route({
    method: 'PUT',
    path: '/api/platforms/:key',
    may: 'member',
    summary: 'Correct a profile of one’s own',
    params: Key,
    body: Changed,
    answer: PlatformDetail,
  }),
  drop: route({
    method: 'DELETE',
    path: '/api/platforms/:key',
    may: 'member',
    summary: 'Drop a profile of one’s own; its sites go back to the one it was copied from',
    params: Key,
    answer: Done,
  }),
  file: route({
    method: 'GET',
    path: '/api/platforms/:key/file',
    may: 'member',
    summary: 'A profile as a file, JSON by a published schema',
    params: Key,
    answer: z.any(),
    file: true,
  }),
  bring: route({
    method: 'POST',
    path: '/api/platforms/file',
    may: 'member',
    summary: 'Bring in a profile from its file',
    body: z.object({ text: z.string().max(200_000, 'is larger than a profile is'), siteId: z.uuid().nullish() }),
    answer: Key,
  }),
}
