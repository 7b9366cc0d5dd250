import { DeliverySettings } from '@pebblestrand/core/forms/delivery'
import { z } from 'zod'
import { MailAddress } from './contacts'
import { Id, IdParams, Time } from './fields'
import { route } from './route'

/** What is done with a lead beyond keeping it. */
export const deliveryKinds = {
  reply: 'Reply to who wrote',
  'note-agency': 'Note to the agency',
  'note-client': 'Note to the client',
  webhook: 'Webhook',
} as const
export type DeliveryWhat = keyof typeof deliveryKinds
/**
 * `waiting` for a code or for the day's one mail; `unconfirmed` until the visitor says that the address is theirs; `limited` until the
 * next hour, since the form has sent as many mails as it may in one.
 */
export const deliveryStates = ['waiting', 'unconfirmed', 'limited', 'queued', 'sent', 'failed'] as const
export type DeliveryState = (typeof deliveryStates)[number]

/** What a test submission goes through, in this order. */
export const testStages = {
  reach: 'The form’s address answers',
  take: 'It takes what is filled in',
  store: 'It is kept',
  reply: 'The reply goes out',
  'note-agency': 'The note to the agency goes out',
  'note-client': 'The note to the client goes out',
  webhook: 'The webhook is answered',
} as const
export type TestStage = keyof typeof testStages

export const FormTestStep = z.object({
  stage: z.enum(Object.keys(testStages) as [TestStage, ...TestStage[]]),
  well: z.boolean(),
  says: z.string(),
})
export type FormTestStep = z.infer<typeof FormTestStep>

export const FormTestInfo = z.object({
  id: z.uuid(),
  publicId: z.string(),
  toMail: z.string(),
  state: z.enum(['running', 'well', 'stopped']),
  steps: z.array(FormTestStep),
  beganAt: Time,
  endedAt: Time.nullable(),
})
export type FormTestInfo = z.infer<typeof FormTestInfo>

/** All there is to know of what becomes of a form's answers. */
export const FormInfo = z.object({
  delivery: DeliverySettings,
  webhookSecret: z.string(),
  /** Whether this installation can send mail. */
  sends: z.boolean(),
  isEncrypted: z.boolean(),
  coupons: z.object({ left: z.number(), given: z.number(), waiting: z.number() }),
  /** Replies that wait: for a confirmation, and for the next hour. */
  replies: z.object({ unconfirmed: z.number(), limited: z.number() }),
  counts: z.object({ new: z.number(), done: z.number(), spam: z.number(), held: z.number() }),
  /** Caught as robots within a day and not kept, beyond those that are held back. */
  notKept: z.number(),
  tests: z.array(FormTestInfo),
})
export type FormInfo = z.infer<typeof FormInfo>

const done = z.object({ done: z.literal(true) })

export const formRoutes = {
  read: route({
    method: 'GET',
    path: '/api/widgets/:id/form',
    may: 'member',
    summary: 'What becomes of what a widget’s form is sent',
    params: IdParams,
    answer: FormInfo,
  }),
  change: route({
    method: 'PUT',
    path: '/api/widgets/:id/form',
    may: 'member',
    summary: 'Decide otherwise; it holds at once',
    params: IdParams,
    body: DeliverySettings,
    answer: done,
  }),
  newSecret: route({
    method: 'POST',
    path: '/api/widgets/:id/webhook-secret',
    may: 'member',
    summary: 'Another secret that the webhook is signed with',
    params: IdParams,
    answer: z.object({ webhookSecret: z.string() }),
  }),
  addCoupons: route({
    method: 'POST',
    path: '/api/widgets/:id/coupons',
    may: 'member',
    summary: 'More codes, a line each; those that are there already are left out',
    params: IdParams,
    body: z.object({ codes: z.string().max(1_000_000, 'takes a million letters at most') }),
    answer: z.object({ added: z.number(), doubles: z.number(), left: z.number() }),
  }),
  dropCoupons: route({
    method: 'DELETE',
    path: '/api/widgets/:id/coupons',
    may: 'member',
    summary: 'Take out the codes that nobody has been given',
    params: IdParams,
    answer: z.object({ dropped: z.number() }),
  }),
  test: route({
    method: 'POST',
    path: '/api/widgets/:id/form-tests',
    may: 'member',
    summary: 'Send a test submission; its mails go to whoever asks, or to the address given',
    params: IdParams,
    body: z.object({ installId: z.uuid().nullish(), toMail: MailAddress.nullish() }),
    answer: Id,
  }),
  readTest: route({
    method: 'GET',
    path: '/api/form-tests/:id',
    may: 'member',
    summary: 'How far a test submission is',
    params: IdParams,
    answer: FormTestInfo,
  }),
}
