import {
  endings,
  losses,
  methodIds,
  openerLooks,
  textForms,
  type Ending,
  type LossId,
  type OpenerLook,
  type TextForm,
} from '@pebblestrand/core/methods/words'
import { regionIds } from '@pebblestrand/core/platforms/schema'
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
  /** Only those held at a release, or only those that follow the newest. */
  held: z.enum(['', '0', '1']).default(''),
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
  /** What it shows: the newest, or the one it is held at. */
  release: z.number().nullable(),
  newestRelease: z.number().nullable(),
  held: z.boolean(),
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

/** A swap for a time, in the site's own time. */
export const PlannedSwap = z.object({
  id: z.uuid(),
  widgetId: z.uuid(),
  widget: z.string(),
  from: Time,
  until: Time.nullable(),
  state: z.enum(['planned', 'on', 'over', 'failed']),
  problem: z.string().nullable(),
})

/** How a snippet is written, where that is not as usual. */
export const SnippetOptions = z
  .strictObject({
    form: z.enum(Object.keys(textForms) as [TextForm, ...TextForm[]]),
    /** Without the comment that says what it is. */
    unsigned: z.boolean(),
    /** With one version of the script, held against its integrity value. */
    pinned: z.boolean(),
    /** A frame is as high as what is in it, by the script beside it. */
    grows: z.boolean(),
    /** A picture as a drawing (SVG). */
    drawing: z.boolean(),
    /** What opens a widget, what it says, and its picture. */
    opens: z.strictObject({
      by: z.enum(Object.keys(openerLooks) as [OpenerLook, ...OpenerLook[]]),
      words: z.string().trim().max(100, 'must have 100 letters or fewer').optional(),
      picture: z
        .union([z.literal(''), z.url({ protocol: /^https?$/, error: 'must be an address like https://…' })])
        .optional(),
    }),
    /** The page behind its address may stand in search engines. */
    indexed: z.boolean(),
    /** For our script: what the site's own templates write where a nonce belongs; '' for none. */
    nonce: z
      .string()
      .trim()
      .max(100, 'must have 100 letters or fewer')
      .regex(/^[^<>&"'\r\n]*$/, 'must be written without < > & and quotes, as {{ nonce }}'),
  })
  .partial()
export type SnippetOptions = z.infer<typeof SnippetOptions>

const MethodAdvice = z.object({
  method: z.enum(methodIds),
  box: z.object({ id: z.string(), name: z.string(), note: z.string().nullable() }).nullable(),
  ends: z.enum(Object.keys(endings) as [Ending, ...Ending[]]),
  losses: z.array(z.enum(Object.keys(losses) as [LossId, ...LossId[]])),
  why: z.string(),
  rule: z.string().nullable(),
})

export const InstallDetail = RegisterRow.extend({
  url: z.string(),
  /** As the snippet carries it. */
  publicId: z.string(),
  /** Whether visitors are asked for something there. */
  asks: z.boolean(),
  stepsDone: z.array(z.string()),
  confirmedAt: Time.nullable(),
  retiredAt: Time.nullable(),
  platform: z.string(),
  cacheMinutes: z.number(),
  /** For whoever pastes at this site, as the agency notes it. */
  pasteNotes: z.string(),
  advice: z.object({ best: MethodAdvice, others: z.array(MethodAdvice), ask: z.string().nullable() }),
  /** What a policy that only reports so far would have to be given, once it counts. */
  ruleOneDay: z.string().nullable(),
  /** What the site's permissions policy has to say for its films to fill the screen; null where nothing keeps them from it. */
  permission: z.string().nullable(),
  /** The living tag of its site. */
  siteTag: z.object({ id: z.uuid(), status: Status }).nullable(),
  /** The text to paste, by method; by the tag, the tag's own, empty where the site has none. */
  snippets: z.record(z.enum(methodIds), z.string()),
  snippetOptions: SnippetOptions,
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
  /** Releases it can be held at, the newest first. */
  releases: z.array(z.object({ number: z.number(), note: z.string(), publishedAt: Time })),
  /** The widget that stood here before the last swap. */
  swappedFrom: z.object({ id: z.uuid(), name: z.string() }).nullable(),
  /** The site's, for times that are planned. */
  timeZone: z.string(),
  plannedSwaps: z.array(PlannedSwap),
  timeLine: z.array(z.object({ id: z.uuid(), at: Time, verb: z.string(), by: z.string().nullable(), data: Json })),
})

const localTime = z.string().regex(/^\d{4}-\d\d-\d\dT\d\d:\d\d$/, 'must be a day and a time, as 2026-12-01T08:00')

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
      snippetOptions: SnippetOptions.optional(),
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
  hold: route({
    method: 'PUT',
    path: '/api/installs/:id/held',
    may: 'member',
    summary: 'Hold it at a release, or let it follow the newest again',
    params: IdParams,
    body: z.object({ release: z.number().int().min(1).nullable() }),
    answer: InstallDetail,
  }),
  swap: route({
    method: 'POST',
    path: '/api/installs/:id/swap',
    may: 'member',
    summary: 'Exchange its widget without touching the client’s page',
    params: IdParams,
    body: z.object({ widgetId: z.uuid() }),
    answer: InstallDetail,
  }),
  planSwap: route({
    method: 'POST',
    path: '/api/installs/:id/planned-swaps',
    may: 'member',
    summary: 'Exchange its widget from a time on, and back again at another; both in the site’s time zone',
    params: IdParams,
    body: z.object({ widgetId: z.uuid(), from: localTime, until: localTime.nullish() }),
    answer: InstallDetail,
  }),
  dropSwap: route({
    method: 'DELETE',
    path: '/api/installs/:id/planned-swaps/:swapId',
    may: 'member',
    summary: 'Drop a planned swap; one that has begun stays as it is',
    params: IdParams.extend({ swapId: z.uuid() }),
    answer: InstallDetail,
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
