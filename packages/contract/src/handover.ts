import { fileFormIds, type FileForm } from '@pebblestrand/core/handover/words'
import { methodIds } from '@pebblestrand/core/methods/words'
import { z } from 'zod'
import { MailAddress, SheetLanguage } from './contacts'
import { Id, IdParams, maybeId, Time, wholeNumber } from './fields'
import { Status } from './findings'
import { route } from './route'

/** What a sheet holds: one install, or all that are open of a page or a site. */
export const sheetScopes = ['install', 'page', 'site'] as const
export const purposes = ['paste', 'remove', 'kept'] as const

/** A private link for somebody without an account. */
export const SheetInfo = z.object({
  id: z.uuid(),
  purpose: z.enum(purposes),
  address: z.string(),
  siteId: z.uuid(),
  site: z.string(),
  contactId: z.uuid().nullable(),
  toName: z.string(),
  toMail: z.string(),
  language: z.string(),
  message: z.string(),
  madeAt: Time,
  by: z.string().nullable(),
  endsAt: Time,
  withdrawnAt: Time.nullable(),
  isOpen: z.boolean(),
  reminded: z.number(),
  remindAfter: z.number(),
  remindMost: z.number(),
  installs: z.array(
    z.object({
      id: z.uuid(),
      widget: z.string(),
      page: z.string(),
      status: Status,
      method: z.enum(methodIds),
      /** The very text that was handed over. */
      snippet: z.string(),
      trouble: z.string().nullable(),
      troubleAt: Time.nullable(),
    }),
  ),
  visits: z.array(z.object({ day: z.string(), visits: z.number() })),
  mails: z.array(
    z.object({
      id: z.uuid(),
      kind: z.string(),
      state: z.enum(['queued', 'sent', 'bounced', 'failed']),
      problem: z.string().nullable(),
      queuedAt: Time,
      sentAt: Time.nullable(),
    }),
  ),
})
export type SheetInfo = z.infer<typeof SheetInfo>

const done = z.object({ done: z.literal(true) })

const WantedSheet = z
  .object({
    purpose: z.enum(purposes),
    scope: z.enum(sheetScopes),
    /** Of the install, the page or the site. */
    id: z.uuid(),
    contactId: z.uuid().nullish(),
    toName: z.string().trim().max(100, 'must have 100 letters or fewer').default(''),
    toMail: z.union([z.literal(''), MailAddress], 'must be an address like name@example.org, or empty').default(''),
    /** Null: that of whoever gets it, else of the site. */
    language: SheetLanguage.nullish(),
    message: z.string().trim().max(2000, 'must have 2000 letters or fewer').default(''),
    days: wholeNumber(1, 366).default(30),
    /** Whether it is mailed at once. */
    mail: z.boolean().default(false),
  })
  .refine(({ mail, toMail, contactId }) => !mail || toMail !== '' || contactId, {
    path: ['toMail'],
    message: 'is missing: without it nothing can be mailed',
  })

export const handoverRoutes = {
  list: route({
    method: 'GET',
    path: '/api/sheets',
    may: 'member',
    summary: 'Sheets of an install or of a site, the newest first',
    query: z.object({ installId: maybeId, siteId: maybeId }),
    answer: z.object({ rows: z.array(SheetInfo) }),
  }),
  open: route({
    method: 'GET',
    path: '/api/installs/:id/open',
    may: 'member',
    summary: 'How many installs a sheet of it, its page, its site would hold',
    params: IdParams,
    answer: z.object({ purpose: z.enum(['paste', 'remove']), install: z.number(), page: z.number(), site: z.number() }),
  }),
  make: route({
    method: 'POST',
    path: '/api/sheets',
    may: 'member',
    summary: 'Make a sheet, and mail it where that is asked for',
    body: WantedSheet,
    answer: Id,
  }),
  withdraw: route({
    method: 'DELETE',
    path: '/api/sheets/:id',
    may: 'member',
    summary: 'Take a private link back',
    params: IdParams,
    answer: done,
  }),
  remind: route({
    method: 'POST',
    path: '/api/sheets/:id/remind',
    may: 'member',
    summary: 'Remind whoever has it now',
    params: IdParams,
    answer: done,
  }),
  file: route({
    method: 'GET',
    path: '/api/installs/:id/sheet-file',
    may: 'member',
    summary: 'What is to be pasted and how, as a file',
    params: IdParams,
    query: z.object({ form: z.enum(fileFormIds as [FileForm, ...FileForm[]]).default('txt') }),
    answer: z.any(),
    file: true,
  }),
}
