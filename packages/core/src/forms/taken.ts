import type { DeliverySettings } from './delivery'
import { fieldsOf } from './fields-of'
import type { FormDefinition } from './form'
import type { Responses } from './responses'

/** What somebody agreed to: its exact words, in which release of the widget, and when. */
export interface Consent {
  field: string
  words: string
  help: string
  link: string
  release: number
  at: string
}

/** What was agreed to in a form that was sent. */
export const consentsOf = (
  form: FormDefinition,
  responses: Responses,
  { release, at }: { release: number; at: Date },
): Consent[] =>
  fieldsOf(form).flatMap((field) =>
    field.is === 'consent' && responses[field.name] === true
      ? [{ field: field.name, words: field.label, help: field.help, link: field.link, release, at: at.toISOString() }]
      : [],
  )

/** That somebody followed the link in a mail of ours and said that the address is theirs: its exact words, and both times. */
export interface Confirmation {
  subject: string
  text: string
  /** ISO 8601. */
  sentAt: string
  confirmedAt: string | null
}

/** Whether a reply waits for a confirmation of the address. */
export const needsConfirmation = (
  { confirm }: Pick<DeliverySettings, 'confirm'>,
  consents: readonly Consent[],
): boolean => confirm === 'always' || (confirm === 'without-consent' && !consents.length)

/** Mail addresses that somebody gave, the first where a reply goes. */
export const mailsIn = (form: FormDefinition, responses: Responses): string[] =>
  fieldsOf(form).flatMap(({ is, name }) =>
    is === 'email' && typeof responses[name] === 'string' ? [responses[name]] : [],
  )
