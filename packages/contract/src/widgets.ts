import { z } from 'zod'
import { Id, IdParams, Json, line, paged, Paging, Time, wholeNumber, words } from './fields'
import { Thumbnail } from './look'
import { route } from './route'
import { Place } from './sites'
import { SourceInfo } from './sources'

const Name = line(80)
const Version = z.object({ version: wholeNumber(0, 2_147_483_647) })

export const Draft = z.object({ settings: Json, version: z.number(), savedAt: Time })

export const WidgetRow = z.object({
  id: z.uuid(),
  kind: z.string(),
  name: z.string(),
  draftSavedAt: Time,
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
})

export const WidgetDetail = z.object({
  id: z.uuid(),
  kind: z.string(),
  name: z.string(),
  starter: z.string().nullable(),
  draft: Draft,
  releases: z.array(Release),
  sources: z.array(SourceInfo),
  /** Where it stands, with the install. */
  places: z.array(Place.extend({ installId: z.uuid() })),
})

export const widgetRoutes = {
  list: route({
    method: 'GET',
    path: '/api/widgets',
    may: 'member',
    summary: 'Widgets, the last changed first',
    query: Paging.extend({ q: words }),
    answer: paged(WidgetRow),
  }),
  make: route({
    method: 'POST',
    path: '/api/widgets',
    may: 'member',
    summary: 'Make a widget from a starter',
    body: z.object({ kind: z.string(), starter: z.string().nullish(), name: Name.nullish() }),
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
    body: Version.extend({ settings: Json }),
    answer: Draft,
  }),
  publish: route({
    method: 'POST',
    path: '/api/widgets/:id/releases',
    may: 'member',
    summary: 'Make the draft the next release',
    params: IdParams,
    body: Version,
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
