import { z } from 'zod'
import { Id, IdParams, Json, line, maybeId, paged, Paging, Time, wholeNumber, words } from './fields'
import { Thumbnail } from './look'
import { BrokenExpectation } from './rehearsals'
import { route } from './route'
import { Place } from './sites'
import { SourceInfo } from './sources'

const Name = line(80)
const Note = z.string().trim().max(300, 'must have 300 letters or fewer')
const Version = z.object({ version: wholeNumber(0, 2_147_483_647) })

/** What was typed and the kind cannot take yet, by setting: kept, and neither drawn nor published. */
const Unfinished = Json.refine(
  (typed) => JSON.stringify(typed).length <= 100_000,
  'must be smaller: shorten what you typed',
)

export const Draft = z.object({ settings: Json, unfinished: Json, version: z.number(), savedAt: Time })

export const WidgetRow = z.object({
  id: z.uuid(),
  kind: z.string(),
  name: z.string(),
  draftSavedAt: Time,
  away: z.boolean(),
  /** What was done with it last, and by whom. */
  last: z.object({ verb: z.string(), by: z.string().nullable(), at: Time }).nullable(),
  release: z.number().nullable(),
  publishedAt: Time.nullable(),
  /** Settings that differ between the draft and the newest release. */
  changes: z.number(),
  installs: z.number(),
  sites: z.number(),
  /** Of the newest release, else of the draft. */
  settings: Json,
  /** Drawn by the worker: null for a moment after a widget was made. */
  thumbnail: Thumbnail.nullable(),
  /** Whether that shows the kind's example, since there is nothing of its own to show. */
  example: z.boolean(),
  /** How many items it shows. */
  shown: z.number(),
  /** Px, at some usual widths: what a placement may expect. */
  heights: z.array(z.object({ width: z.number(), height: z.number() })),
})

export const Release = z.object({
  number: z.number(),
  /** What the widget was called then. */
  name: z.string(),
  settings: Json,
  publishedAt: Time,
  by: z.string().nullable(),
  note: z.string(),
})

export const WidgetDetail = z.object({
  id: z.uuid(),
  kind: z.string(),
  name: z.string(),
  /** Put away: out of the lists. */
  away: z.boolean(),
  starter: z.string().nullable(),
  /** Settings of the design it began from; what is not named is as usual. */
  starterSettings: Json,
  draft: Draft,
  releases: z.array(Release),
  sources: z.array(SourceInfo),
  /** Where it stands, with the install. */
  places: z.array(Place.extend({ installId: z.uuid() })),
  /** Sites it is installed on, over the page too, each with its pages. */
  sites: z.array(
    Place.pick({ siteId: true, site: true, look: true, language: true, timeZone: true }).extend({
      pages: z.array(z.object({ title: z.string(), path: z.string() })),
    }),
  ),
})

export const widgetRoutes = {
  list: route({
    method: 'GET',
    path: '/api/widgets',
    may: 'member',
    summary: 'Widgets, the last changed first',
    query: Paging.extend({
      q: words,
      kind: words,
      client: words,
      state: z.enum(['', 'draft', 'changed', 'published', 'away']).default(''),
      use: z.enum(['', 'used', 'unused']).default(''),
    }),
    answer: paged(WidgetRow),
  }),
  make: route({
    method: 'POST',
    path: '/api/widgets',
    may: 'member',
    summary: 'Make a widget from a starter',
    body: z.object({
      kind: z.string(),
      starter: z.string().max(60).nullish(),
      name: Name.nullish(),
      sources: z.array(z.uuid()).max(40).optional(),
    }),
    answer: Id,
  }),
  read: route({
    method: 'GET',
    path: '/api/widgets/:id',
    may: 'member',
    summary: 'A widget with its draft, releases, sources and places',
    params: IdParams,
    answer: WidgetDetail,
  }),
  rename: route({
    method: 'PATCH',
    path: '/api/widgets/:id',
    may: 'member',
    summary: 'Give a widget another name',
    params: IdParams,
    body: z.object({ name: Name }),
    answer: z.object({ name: z.string() }),
  }),
  saveDraft: route({
    method: 'PUT',
    path: '/api/widgets/:id/draft',
    may: 'member',
    summary: 'Save the draft over the version it was begun from',
    params: IdParams,
    body: Version.extend({ settings: Json, unfinished: Unfinished.default({}) }),
    answer: Draft,
  }),
  publish: route({
    method: 'POST',
    path: '/api/widgets/:id/releases',
    may: 'member',
    summary: 'Make the draft the next release',
    params: IdParams,
    /** `despite`: even where a visit that is kept with a site would no longer go as expected. */
    body: Version.extend({ note: Note.default(''), despite: z.boolean().default(false) }),
    answer: z.object({ number: z.number() }),
  }),
  restore: route({
    method: 'POST',
    path: '/api/widgets/:id/draft/restore',
    may: 'member',
    summary: 'Make an older release the draft again',
    params: IdParams,
    body: Version.extend({ release: z.number().int() }),
    answer: Draft,
  }),
  publishing: route({
    method: 'GET',
    path: '/api/widgets/:id/publishing',
    may: 'member',
    summary: 'What publishing the draft as it is saved would change',
    params: IdParams,
    answer: z.object({
      /** Installs that would show it, by site. */
      sites: z.array(z.object({ id: z.uuid(), name: z.string(), installs: z.number() })),
      /** Installs that stay at a release they are held at. */
      held: z.number(),
      /** Those that fit now and would not fit any more. */
      misfits: z.array(
        z.object({
          installId: z.uuid(),
          site: z.string(),
          page: z.string(),
          placement: z.string(),
          width: z.number(),
          says: z.string(),
        }),
      ),
      /** Visits kept with sites that would no longer go as expected. */
      broken: z.array(BrokenExpectation),
    }),
  }),
  noteRelease: route({
    method: 'PUT',
    path: '/api/widgets/:id/releases/:number/note',
    may: 'member',
    summary: 'Put words with a release',
    params: IdParams.extend({ number: z.coerce.number().int().min(1) }),
    body: z.object({ note: Note }),
    answer: z.object({ note: z.string() }),
  }),
  copy: route({
    method: 'POST',
    path: '/api/widgets/:id/copy',
    may: 'member',
    summary: 'Make another widget like it: its draft, no releases and no installs',
    params: IdParams,
    answer: Id,
  }),
  away: route({
    method: 'PUT',
    path: '/api/widgets/:id/away',
    may: 'member',
    summary: 'Put it away, or take it back; where it stands it is shown all the same',
    params: IdParams,
    body: z.object({ away: z.boolean() }),
    answer: z.object({ away: z.boolean() }),
  }),
  named: route({
    method: 'GET',
    path: '/api/widgets/named',
    may: 'member',
    summary: 'A widget of exactly this name, whatever its letters’ case',
    query: z.object({ name: words, except: maybeId }),
    answer: z.object({ widget: z.object({ id: z.uuid(), name: z.string(), kind: z.string() }).nullable() }),
  }),
  filters: route({
    method: 'GET',
    path: '/api/widgets/filters',
    may: 'member',
    summary: 'What the list’s filters can be set to',
    answer: z.object({ clients: z.array(z.string()), kinds: z.array(z.string()) }),
  }),
  kinds: route({
    method: 'GET',
    path: '/api/kinds',
    may: 'member',
    summary: 'Kinds of widgets and their starters',
    answer: z.object({
      rows: z.array(
        z.object({
          id: z.string(),
          name: z.string(),
          purpose: z.string(),
          starters: z.array(z.object({ id: z.string(), name: z.string(), settings: Json })),
        }),
      ),
    }),
  }),
}
