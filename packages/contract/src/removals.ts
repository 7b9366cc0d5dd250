import { z } from 'zod'
import { IdParams, paged, Paging, Time } from './fields'
import { Status } from './findings'
import { route } from './route'

/** What can be taken out. */
export const removables = ['site', 'page', 'placement', 'widget', 'install'] as const
export const Removable = z.enum(removables)
export type Removable = z.infer<typeof Removable>

const Counts = z.partialRecord(z.enum(['pages', 'placements', 'releases', 'installs']), z.number())

export const Removal = z.object({
  id: z.uuid(),
  what: Removable,
  name: z.string(),
  place: z.string(),
  counts: Counts,
  removedAt: Time,
  by: z.string().nullable(),
})

/** What a removal takes along, and where visitors may still see it: the data of the error `still-standing`. */
export const Foresight = z.object({
  what: Removable,
  name: z.string(),
  standing: z.object({
    total: z.number(),
    rows: z.array(
      z.object({
        id: z.uuid(),
        status: Status,
        widget: z.string(),
        site: z.string(),
        page: z.string(),
        placement: z.string().nullable(),
      }),
    ),
  }),
  daysKept: z.number(),
})
export type Foresight = z.infer<typeof Foresight>

export const removalRoutes = {
  list: route({
    method: 'GET',
    path: '/api/removals',
    may: 'member',
    summary: 'What was taken out lately',
    query: Paging,
    answer: paged(Removal).extend({ daysKept: z.number() }),
  }),
  remove: route({
    method: 'POST',
    path: '/api/removals',
    may: 'member',
    summary: 'Take something out, with all that belongs to it',
    body: z.object({ what: Removable, id: z.uuid(), standing: z.number().int().min(0).default(0) }),
    answer: z.object({ id: z.uuid(), name: z.string() }),
  }),
  bringBack: route({
    method: 'DELETE',
    path: '/api/removals/:id',
    may: 'member',
    summary: 'Undo a removal',
    params: IdParams,
    answer: z.object({ what: Removable, id: z.uuid(), siteId: z.uuid().nullable(), name: z.string() }),
  }),
}
