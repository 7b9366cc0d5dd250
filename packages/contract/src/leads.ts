import { z } from 'zod'
import { MailAddress } from './contacts'
import { IdParams, maybeId, paged, Paging, Time, words } from './fields'
import { deliveryKinds, deliveryStates, type DeliveryWhat } from './forms'
import { heldReasons, leadStates, type HeldFor, type LeadState } from './lead-states'
import { route } from './route'

export { heldReasons, leadStates, type HeldFor, type LeadState }

const stateIds = Object.keys(leadStates) as [LeadState, ...LeadState[]]
const State = z.enum(stateIds)
const Held = z.enum(Object.keys(heldReasons) as [HeldFor, ...HeldFor[]])

const Day = z.union([z.literal(''), z.iso.date()]).default('')

/** Which leads are meant. */
const Filter = z.object({
  q: words,
  widgetId: maybeId,
  siteId: maybeId,
  /** Path of a page. */
  path: z.string().trim().max(1000).default(''),
  /** '' for all that wait or are done. */
  state: z.union([z.literal(''), State]).default(''),
  /** Days, each within. */
  from: Day,
  until: Day,
  tests: z.enum(['', '1']).default(''),
})
export type LeadFilter = z.output<typeof Filter>

const Said = z.object({ label: z.string(), says: z.string() })

export const LeadRow = z.object({
  id: z.uuid(),
  at: Time,
  state: State,
  heldFor: Held.nullable(),
  isTest: z.boolean(),
  widgetId: z.uuid(),
  widget: z.string(),
  siteId: z.uuid().nullable(),
  site: z.string(),
  path: z.string(),
  /** Its first answers. */
  says: z.array(Said),
})
export type LeadRow = z.infer<typeof LeadRow>

export const LeadWhole = LeadRow.extend({
  installId: z.uuid().nullable(),
  release: z.number(),
  from: z.string(),
  language: z.string(),
  timeZone: z.string(),
  consents: z.array(
    z.object({
      field: z.string(),
      words: z.string(),
      help: z.string(),
      link: z.string(),
      release: z.number(),
      at: z.string(),
    }),
  ),
  /** The mail that asked whether the address is theirs, and when they said so. */
  confirmation: z
    .object({ subject: z.string(), text: z.string(), sentAt: z.string(), confirmedAt: z.string().nullable() })
    .nullable(),
  deliveries: z.array(
    z.object({
      what: z.enum(Object.keys(deliveryKinds) as [DeliveryWhat, ...DeliveryWhat[]]),
      state: z.enum(deliveryStates),
      problem: z.string().nullable(),
      at: Time,
    }),
  ),
  coupon: z.string().nullable(),
})
export type LeadWhole = z.infer<typeof LeadWhole>

/** How much was, or would be, deleted. */
export const ErasureCounts = z.object({
  leads: z.number(),
  mails: z.number(),
  /** In what was removed and could still be brought back. */
  archived: z.number(),
})
export type ErasureCounts = z.infer<typeof ErasureCounts>

export const Receipt = z.object({ id: z.uuid(), at: Time, by: z.string().nullable(), counts: ErasureCounts })

export const leadRoutes = {
  list: route({
    method: 'GET',
    path: '/api/leads',
    may: 'member',
    summary: 'What visitors sent, the newest first',
    query: Paging.extend(Filter.shape),
    answer: paged(LeadRow).extend({
      held: z.number(),
      /** Where they came from: what can be narrowed to. */
      forms: z.array(z.object({ id: z.uuid(), name: z.string() })),
      sites: z.array(z.object({ id: z.uuid(), name: z.string() })),
    }),
  }),
  read: route({
    method: 'GET',
    path: '/api/leads/:id',
    may: 'member',
    summary: 'One of them, whole',
    params: IdParams,
    answer: LeadWhole,
  }),
  change: route({
    method: 'PATCH',
    path: '/api/leads/:id',
    may: 'member',
    summary: 'Mark it done, spam, or new again; one that was held back is let through',
    params: IdParams,
    body: z.object({ state: z.enum(['new', 'done', 'spam']) }),
    answer: z.object({ done: z.literal(true) }),
  }),
  file: route({
    method: 'GET',
    path: '/api/leads-file',
    may: 'member',
    summary: 'All that are meant, as CSV or JSON',
    query: Filter.extend({ form: z.enum(['csv', 'json']).default('csv') }),
    answer: z.any(),
    file: true,
  }),
  foreseeErasure: route({
    method: 'POST',
    path: '/api/erasures/foresee',
    may: 'member',
    summary: 'How much is held of a mail address',
    body: z.object({ mail: MailAddress }),
    answer: ErasureCounts,
  }),
  erase: route({
    method: 'POST',
    path: '/api/erasures',
    may: 'member',
    summary: 'Delete all that is held of a mail address, everywhere, for good',
    body: z.object({ mail: MailAddress }),
    answer: Receipt,
  }),
  erasures: route({
    method: 'GET',
    path: '/api/erasures',
    may: 'member',
    summary: 'What was deleted by request, without whom it was of',
    query: Paging,
    answer: paged(Receipt),
  }),
}
