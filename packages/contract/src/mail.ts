import { blanks, mailKindIds, mailKinds, type MailKind } from '@pebblestrand/core/handover/words'
import { labelLanguages } from '@pebblestrand/core/words/languages'
import { z } from 'zod'
import { paged, Paging, Time, wholeNumber } from './fields'
import { route } from './route'

export const MailWording = z.object({
  subject: z.string().trim().max(200, 'must have 200 letters or fewer'),
  body: z.string().trim().max(5000, 'must have 5000 letters or fewer'),
})
const Kind = z.enum(mailKindIds as [MailKind, ...MailKind[]])

/** How the agency's mails about sheets are worded, by kind and language where that is not as usual; and how often it reminds. */
export const MailSettings = z.object({
  wording: z.partialRecord(Kind, z.partialRecord(z.enum(labelLanguages), MailWording)),
  /** Working days after a mail; 0 for never. */
  remindAfter: wholeNumber(0, 30),
  remindMost: wholeNumber(0, 10),
})
export type MailSettings = z.infer<typeof MailSettings>

export const mailBlanks = blanks
export const mailKindNames = mailKinds

export const mailRoutes = {
  read: route({
    method: 'GET',
    path: '/api/agency/mail',
    may: 'member',
    summary: 'How mails about sheets are worded; whether this installation can send any',
    answer: MailSettings.extend({ sends: z.boolean() }),
  }),
  change: route({
    method: 'PUT',
    path: '/api/agency/mail',
    may: 'owner',
    summary: 'Word them otherwise, remind more or less',
    body: MailSettings,
    answer: MailSettings,
  }),
  list: route({
    method: 'GET',
    path: '/api/mails',
    may: 'member',
    summary: 'Mails that went out or are about to, the newest first',
    query: Paging,
    answer: paged(
      z.object({
        id: z.uuid(),
        kind: z.string(),
        toName: z.string(),
        toMail: z.string(),
        subject: z.string(),
        text: z.string(),
        state: z.enum(['queued', 'sent', 'bounced', 'failed']),
        problem: z.string().nullable(),
        queuedAt: Time,
        sentAt: Time.nullable(),
      }),
    ),
  }),
}
