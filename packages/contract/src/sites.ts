import { methodIds } from '@pebblestrand/core/methods'
import { fontFamilies } from '@pebblestrand/core/look'
import { profiles, regionIds } from '@pebblestrand/core/platforms'
import { z } from 'zod'
import { Id, IdParams, Json, line, paged, Paging, Time, wholeNumber, words } from './fields'
import { Status } from './findings'
import { SiteLook, Thumbnail } from './look'
import { route } from './route'

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

export const Page = z.object({ id: z.uuid(), title: z.string(), path: z.string() })

export const Placement = z.object({
  id: z.uuid(),
  pageId: z.uuid().nullable(),
  name: z.string(),
  region: z.enum(regionIds),
  width: z.number(),
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
  platform: z.object({ id: z.string(), name: z.string() }),
  cacheMinutes: z.number(),
  timeZone: z.string(),
  look: SiteLook.nullable(),
  lookedAt: Time.nullable(),
  keeper: z.string().nullable(),
  pages: z.array(Page),
  placements: z.array(Placement),
  installs: z.array(InstallOnSite),
  /** By widget; by install as well where each of a widget's looks different. */
  thumbnails: z.record(z.string(), Thumbnail),
})

/** A placement of any site, with what is around it. */
export const Place = z.object({
  siteId: z.uuid(),
  site: z.string(),
  /** Null where all pages of the site share it. */
  page: z.string().nullable(),
  /** The page to show it on: its own, or the first that has been looked at. */
  pageId: z.uuid().nullable(),
  placementId: z.uuid(),
  placement: z.string(),
  region: z.enum(regionIds),
  width: z.number(),
  look: SiteLook.nullable(),
})

const SCHEME = /^[a-z][a-z0-9+.-]*:/i
/** `ferries.example:8080` has a port and no scheme. */
const withScheme = (value: string) => (SCHEME.test(value) && !/^[\w.-]+:\d/.test(value) ? value : `https://${value}`)

const Origin = line(300)
  .transform(withScheme)
  .refine((value) => /^https?:\/\//i.test(value), 'must be an http or https address')
  .refine((value) => URL.canParse(value), 'must be an address like https://ferries.example')
  .transform((value) => new URL(value).origin)

/** Every name of the IANA database counts, older spellings too; a list of supported values has only one of each. */
function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

/** Without defaults: in a change, what is not named stays as it is. */
const facts = {
  name: line(80),
  origin: Origin,
  platform: z.enum(Object.keys(profiles) as [string, ...string[]], {
    error: `must be one of ${Object.keys(profiles).join(', ')}`,
  }),
  cacheMinutes: wholeNumber(0, 43_200),
  timeZone: z.string().refine(isTimeZone, 'must be an IANA time zone like Atlantic/Faroe'),
}

const NewSite = z.object({
  client: line(80),
  ...facts,
  cacheMinutes: facts.cacheMinutes.default(0),
  timeZone: facts.timeZone.default('UTC'),
})

const Font = line(200).refine(
  (value) => fontFamilies(value) !== null,
  'must be a list of fonts as CSS has it: Cabin, sans-serif; names with digits in quotes',
)
const Colour = z.string('is missing').regex(/^#(?:[0-9a-f]{3}|[0-9a-f]{6})$/i, 'must be a colour like #1f5f99')

/** A look as a person notes it; the files of its fonts stay as they were. */
const NotedLook = z.object({
  bodyFont: Font,
  headingFont: Font,
  text: Colour,
  background: Colour,
  accent: Colour,
  contentWidth: wholeNumber(200, 4000),
})

const SiteChange = z.object({ ...facts, look: NotedLook.nullable() }).partial()

/** A path from the root, or one that ends in /* for all pages below. */
export const PagePath = z
  .string('is missing')
  .trim()
  .max(500, 'must have 500 letters or fewer')
  .regex(/^\/[^\s?#]*$/, 'must begin with / and have no spaces, ? or #')
  .refine((path) => !path.slice(0, -1).includes('*'), 'may have a * at its end only')

const NewPage = z.object({ title: line(80), path: PagePath })

const NewPlacement = z.object({
  pageId: z.uuid().nullish(),
  name: line(60),
  region: z.enum(regionIds),
  width: wholeNumber(40, 4000),
  selector: z
    .string()
    .trim()
    .max(300, 'must have 300 letters or fewer')
    .nullish()
    .transform((value) => value || null),
})

export const siteRoutes = {
  platforms: route({
    method: 'GET',
    path: '/api/platforms',
    may: 'member',
    summary: 'Platform profiles',
    answer: z.object({
      rows: z.array(
        z.object({
          id: z.string(),
          name: z.string(),
          words: z.object({ publish: z.string(), cache: z.string(), codeBox: z.string() }),
        }),
      ),
    }),
  }),
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
