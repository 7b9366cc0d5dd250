import { methodIds } from '@pebblestrand/core/methods'
import { regionIds } from '@pebblestrand/core/platforms'
import { statusIds } from '@pebblestrand/core/verify/words'
import { z } from 'zod'
import { Id, IdParams, Json, maybeId, paged, Paging, Time, words } from './fields'
import { CheckState, Facts, Finding, LookInfo, Status } from './findings'
import { route } from './route'

const any = z.literal('')
const day = z
  .union([any, z.iso.date('must be a date like 2026-11-03')])
  .default('')
  .transform((value) => value || null)

export const registerSorts = ['widget', 'site', 'page', 'placement', 'status', 'checked', 'planned'] as const

export const RegisterQuery = Paging.extend({
  q: words,
  client: words,
  kind: words,
  siteId: maybeId,
  pageId: maybeId,
  widgetId: maybeId,
  /** Who planned it, and the days from and to which it was planned. */
  by: maybeId,
  from: day,
  to: day,
  finding: words,
  status: z.union([any, z.enum(statusIds)]).default(''),
  region: z.union([any, z.enum(regionIds)]).default(''),
  method: z.union([any, z.enum(methodIds)]).default(''),
  retired: z
    .enum(['0', '1'])
    .default('0')
    .transform((v) => v === '1'),
  sort: z.enum(registerSorts).default('site'),
  dir: z.enum(['up', 'down']).default('up'),
})
export type RegisterQuery = z.infer<typeof RegisterQuery>

/** One line of the register. Without a placement: over the page. */
export const RegisterRow = z.object({
  id: z.uuid(),
  status: Status,
  retiring: z.boolean(),
  method: z.enum(methodIds),
  plannedAt: Time,
  pastedAt: Time.nullable(),
  checkedAt: Time.nullable(),
  widgetId: z.uuid(),
  widget: z.string(),
  kind: z.string(),
  pageId: z.uuid(),
  page: z.string(),
  path: z.string(),
  siteId: z.uuid(),
  site: z.string(),
  origin: z.string(),
  client: z.string(),
  placementId: z.uuid().nullable(),
  placement: z.string().nullable(),
  region: z.enum(regionIds).nullable(),
  width: z.number().nullable(),
  release: z.number().nullable(),
  finding: z.string().nullable(),
  findingTitle: z.string().nullable(),
})
export type RegisterRow = z.infer<typeof RegisterRow>

const Named = z.array(z.object({ id: z.string(), name: z.string() }))
export const FilterValues = z.object({
  clients: Named,
  sites: Named,
  /** Of the chosen site. */
  pages: Named,
  widgets: Named,
  people: Named,
  findings: z.array(z.string()),
})

const MethodAdvice = z.object({
  method: z.enum(methodIds),
  box: z.object({ id: z.string(), name: z.string() }).nullable(),
  why: z.string(),
})

export const InstallDetail = RegisterRow.extend({
  url: z.string(),
  stepsDone: z.array(z.string()),
  confirmedAt: Time.nullable(),
  retiredAt: Time.nullable(),
  platform: z.string(),
  cacheMinutes: z.number(),
  advice: z.object({ best: MethodAdvice, others: z.array(MethodAdvice) }),
  /** The text to paste, by method. */
  snippets: z.record(z.enum(methodIds), z.string()),
  /** The same with one version of the script, held against its integrity value. */
  pinned: z.record(z.enum(methodIds), z.string()),
  steps: z.array(z.object({ id: z.string(), parts: z.array(z.object({ text: z.string(), strong: z.boolean() })) })),
  check: z
    .object({
      id: z.uuid(),
      cause: z.string(),
      at: Time.nullable(),
      facts: Facts.nullable(),
      statusAfter: Status.nullable(),
      findings: z.array(Finding),
      looks: z.array(LookInfo),
    })
    .nullable(),
  running: z.object({ id: z.uuid(), state: CheckState }).nullable(),
  timeLine: z.array(z.object({ id: z.uuid(), at: Time, verb: z.string(), by: z.string().nullable(), data: Json })),
})

const CheckAsked = z.object({ checkId: z.uuid() })

export const installRoutes = {
  list: route({
    method: 'GET',
    path: '/api/installs',
    may: 'member',
    summary: 'The register: filtered, sorted, paged',
    query: RegisterQuery,
    answer: paged(RegisterRow),
  }),
  ids: route({
    method: 'GET',
    path: '/api/installs/ids',
    may: 'member',
    summary: 'The ids alone, in the register’s order',
    query: RegisterQuery,
    answer: z.object({ ids: z.array(z.uuid()) }),
  }),
  filters: route({
    method: 'GET',
    path: '/api/installs/filters',
    may: 'member',
    summary: 'What the register’s filters can be set to',
    query: z.object({ siteId: maybeId }),
    answer: FilterValues,
  }),
  plan: route({
    method: 'POST',
    path: '/api/installs',
    may: 'member',
    summary: 'Plan a widget for a page and placement; without a page, for the whole site',
    body: z.object({
      widgetId: z.uuid(),
      siteId: z.uuid().nullish(),
      pageId: z.uuid().nullish(),
      /** Left out only by kinds that stand over the page. */
      placementId: z.uuid().nullish(),
      method: z.enum(methodIds).optional(),
    }),
    answer: Id,
  }),
  read: route({
    method: 'GET',
    path: '/api/installs/:id',
    may: 'member',
    summary: 'An install: what to paste, where and how, what was seen',
    params: IdParams,
    answer: InstallDetail,
  }),
  change: route({
    method: 'PATCH',
    path: '/api/installs/:id',
    may: 'member',
    summary: 'Choose another method, tick steps',
    params: IdParams,
    body: z.object({
      method: z.enum(methodIds).optional(),
      stepsDone: z.array(z.string().max(20)).max(20).optional(),
    }),
    answer: InstallDetail,
  }),
  pasted: route({
    method: 'POST',
    path: '/api/installs/:id/pasted',
    may: 'member',
    summary: 'Say that it is pasted',
    params: IdParams,
    answer: InstallDetail,
  }),
  unpasted: route({
    method: 'DELETE',
    path: '/api/installs/:id/pasted',
    may: 'member',
    summary: 'Take that back, where nothing was seen of it yet',
    params: IdParams,
    answer: InstallDetail,
  }),
  check: route({
    method: 'POST',
    path: '/api/installs/:id/checks',
    may: 'member',
    summary: 'Check an install',
    params: IdParams,
    answer: CheckAsked,
  }),
  retire: route({
    method: 'POST',
    path: '/api/installs/:id/retire',
    may: 'member',
    summary: 'Mean it to be gone; a check proves it',
    params: IdParams,
    answer: CheckAsked,
  }),
  keep: route({
    method: 'DELETE',
    path: '/api/installs/:id/retire',
    may: 'member',
    summary: 'Keep it after all',
    params: IdParams,
    answer: CheckAsked,
  }),
}
