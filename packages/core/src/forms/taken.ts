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

/** Mail addresses that somebody gave, the first where a reply goes. */
export const mailsIn = (form: FormDefinition, responses: Responses): string[] =>
  fieldsOf(form).flatMap(({ is, name }) =>
    is === 'email' && typeof responses[name] === 'string' ? [responses[name]] : [],
  )
