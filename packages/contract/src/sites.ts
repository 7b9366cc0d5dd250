import { methodIds } from '@pebblestrand/core/methods/words'
import { regionIds } from '@pebblestrand/core/platforms/schema'
import { z } from 'zod'
import { Id, IdParams, Json, line, paged, Paging, Time, wholeNumber, words } from './fields'
import { Status } from './findings'
import { SiteLook, Thumbnail } from './look'
import { route } from './route'
import { NotedLook } from './noted-look'
import { SiteRead } from './site-readings'
import { Address, PagePath, pasting, siteFacts } from './site-fields'

export const siteOrders = ['name', 'attention'] as const

export const Pebble = z.object({
  id: z.uuid(),
  status: Status,
  retiring: z.boolean(),
  widget: z.string(),
  page: z.string(),
  /** Null for one that stands over the page. */
  placement: z.string().nullable(),
})

export const SiteRow = z.object({
  id: z.uuid(),
  name: z.string(),
  origin: z.string(),
  platform: z.string(),
  client: z.string(),
  keeper: z.string().nullable(),
  pages: z.number(),
  checkedAt: Time.nullable(),
  pebbles: z.array(Pebble),
})

export const Page = z.object({ id: z.uuid(), title: z.string(), path: z.string(), previewUrl: z.string().nullable() })

/** How a placement's widths are known: a person wrote them, a browser measured them, or they are as on most sites. */
export const placementKnown = ['noted', 'read', 'assumed'] as const
export type PlacementKnown = (typeof placementKnown)[number]

export const Placement = z.object({
  id: z.uuid(),
  pageId: z.uuid().nullable(),
  name: z.string(),
  region: z.enum(regionIds),
  width: z.number(),
  widthTablet: z.number().nullable(),
  widthPhone: z.number().nullable(),
  known: z.enum(placementKnown),
  /** Px that a browser last saw it to be, where that is not what is noted. */
  widthSeen: z.number().nullable(),
  selector: z.string().nullable(),
})

export const InstallOnSite = z.object({
  id: z.uuid(),
  status: Status,
  retiring: z.boolean(),
  method: z.enum(methodIds),
  pageId: z.uuid(),
  placementId: z.uuid().nullable(),
  widgetId: z.uuid(),
  widget: z.string(),
  kind: z.string(),
  /** Of the newest release, as its kind has them now. */
  settings: Json.nullable(),
  height: z.number().nullable(),
  findingTitle: z.string().nullable(),
})

export const SiteDetail = z.object({
  id: z.uuid(),
  name: z.string(),
  origin: z.string(),
  client: z.string(),
  /** Whether the agency's line stands below what is installed for the client. */
  credited: z.boolean(),
  /** What of its look is no longer as it is noted. */
  lookChanges: z.array(z.object({ piece: z.string(), before: z.string(), after: z.string() })),
  platform: z.object({ id: z.string(), name: z.string(), connector: z.boolean() }),
  /** Whether a connector of ours on the site replaces shortcodes. */
  connector: z.boolean(),
  /** What the agency notes for whoever pastes there. */
  pasteNotes: z.string(),
  cacheMinutes: z.number(),
  timeZone: z.string(),
  language: z.string().nullable(),
  /** The newest reading of it. */
  reading: z.object({ id: z.uuid(), at: Time.nullable(), read: SiteRead.nullable() }).nullable(),
  look: SiteLook.nullable(),
  lookedAt: Time.nullable(),
  keeper: z.string().nullable(),
  pages: z.array(Page),
  placements: z.array(Placement),
  installs: z.array(InstallOnSite),
  /** Its tag, where it has one; of the pages that were looked at, how many load it. */
  tag: z
    .object({ installId: z.uuid(), status: Status, retiring: z.boolean(), on: z.number(), of: z.number() })
    .nullable(),
  /** By widget; by install as well where each of a widget's looks different. */
  thumbnails: z.record(z.string(), Thumbnail),
})

/** A placement of any site, with what is around it. */
export const Place = z.object({
  siteId: z.uuid(),
  site: z.string(),
  client: z.string(),
  /** Null where all pages of the site share it. */
  page: z.string().nullable(),
  /** The page to show it on: its own, or the first that has been looked at. */
  pageId: z.uuid().nullable(),
  placementId: z.uuid(),
  placement: z.string(),
  region: z.enum(regionIds),
  /** Px in a wide window, and in narrower ones where that is known. */
  width: z.number(),
  widthTablet: z.number().nullable(),
  widthPhone: z.number().nullable(),
  look: SiteLook.nullable(),
  /** What words there hang on: the site's language, its time zone, and the agency's line below where its client has it. */
  language: z.string().nullable(),
  timeZone: z.string(),
  credited: z.boolean(),
})

const NewPage = z.object({
  title: line(80),
  path: PagePath,
  /** Where an editor's preview can be seen without signing in; empty where there is none. */
  previewUrl: z.union([z.literal('').transform(() => null), Address]).nullish(),
})

const width = wholeNumber(40, 4000)
/** Px at narrower windows; null where the region is not shown then, or nobody knows. */
const narrower = { widthTablet: width.nullish(), widthPhone: width.nullish() }

const NewPlacement = z.object({
  pageId: z.uuid().nullish(),
  name: line(60),
  region: z.enum(regionIds),
  width,
  ...narrower,
  selector: z
    .string()
    .trim()
    .max(300, 'must have 300 letters or fewer')
    .nullish()
    .transform((value) => value || null),
})

/** A room that was read, to be kept as a placement. */
const TakenRoom = NewPlacement.omit({ pageId: true, selector: true }).extend({
  /** The placement it corrects. */
  placementId: z.uuid().nullish(),
  /** Paths of the pages it is on; null where most have it. */
  on: z.array(PagePath).max(20).nullish(),
  /** Measured in a browser, or assumed. */
  known: z.enum(placementKnown).default('noted'),
})

const NewSite = z.object({
  client: line(80),
  ...siteFacts,
  cacheMinutes: siteFacts.cacheMinutes.default(0),
  timeZone: siteFacts.timeZone.default('UTC'),
  language: siteFacts.language.nullish(),
  /** What it was read from, for the pictures of it. */
  readingId: z.uuid().nullish(),
  /** Where it was read; the home page alone where none is named. */
  pages: z.array(NewPage).max(200, 'may be 200 at most').optional(),
  rooms: z.array(TakenRoom).max(20).optional(),
})

/** What of a new reading is taken over. */
const Taken = z.object({
  ...z.object(siteFacts).pick({ name: true, platform: true, cacheMinutes: true, language: true }).partial().shape,
  readingId: z.uuid(),
  pages: z.array(NewPage).max(200, 'may be 200 at most').default([]),
  rooms: z.array(TakenRoom).max(20).default([]),
})

/** `credited`: whether the agency's line stands below whatever is installed for its client. */
const SiteChange = z.object({ ...siteFacts, ...pasting, look: NotedLook.nullable(), credited: z.boolean() }).partial()

export const siteRoutes = {
  list: route({
    method: 'GET',
    path: '/api/sites',
    may: 'member',
    summary: 'Sites, each with its installs in page order',
    query: Paging.extend({ q: words, order: z.enum(siteOrders).default('name') }),
    answer: paged(SiteRow),
  }),
  add: route({
    method: 'POST',
    path: '/api/sites',
    may: 'member',
    summary: 'Add a client’s site',
    body: NewSite,
    answer: Id,
  }),
  read: route({
    method: 'GET',
    path: '/api/sites/:id',
    may: 'member',
    summary: 'A site with its pages, placements and installs',
    params: IdParams,
    answer: SiteDetail,
  }),
  change: route({
    method: 'PATCH',
    path: '/api/sites/:id',
    may: 'member',
    summary: 'Correct what is noted of a site',
    params: IdParams,
    body: SiteChange,
    answer: SiteDetail,
  }),
  take: route({
    method: 'POST',
    path: '/api/sites/:id/take',
    may: 'member',
    summary: 'Take over what a new reading of a site says',
    params: IdParams,
    body: Taken,
    answer: SiteDetail,
  }),
  addPage: route({
    method: 'POST',
    path: '/api/sites/:id/pages',
    may: 'member',
    summary: 'Add a page or a pattern of pages',
    params: IdParams,
    body: NewPage,
    answer: Id,
  }),
  changePage: route({
    method: 'PATCH',
    path: '/api/pages/:id',
    may: 'member',
    summary: 'Correct a page’s title or path',
    params: IdParams,
    body: NewPage.partial(),
    answer: SiteDetail,
  }),
  addPlacement: route({
    method: 'POST',
    path: '/api/sites/:id/placements',
    may: 'member',
    summary: 'Add a placement, to one page or to all of the site',
    params: IdParams,
    body: NewPlacement,
    answer: Id,
  }),
  changePlacement: route({
    method: 'PATCH',
    path: '/api/placements/:id',
    may: 'member',
    summary: 'Change a placement',
    params: IdParams,
    body: NewPlacement.omit({ pageId: true }).partial(),
    answer: SiteDetail,
  }),
  places: route({
    method: 'GET',
    path: '/api/places',
    may: 'member',
    summary: 'Placements of all sites, by the words of site, page and placement, or one by its id',
    query: Paging.extend({ q: words, id: z.uuid().optional() }),
    answer: paged(Place),
  }),
}
