import { filled, paragraphsLetter, type Letter } from '../letter'
import { sayAnswer } from './answer-words'
import type { DeliverySettings } from './delivery'
import { fieldsOf } from './fields-of'
import type { FormDefinition } from './form'
import type { Responses } from './responses'

/** What fills the blanks of a reply beside the answers themselves. */
export const replyBlanks = { coupon: 'the code', site: 'the site', form: 'the name of the form' } as const

/** What a reply can have in braces: these, and the names of the form's fields. */
export const blanksOf = (form: FormDefinition): string[] => [
  ...Object.keys(replyBlanks),
  ...fieldsOf(form).map(({ name }) => name),
]

/** Blanks in a reply that nothing fills. */
export const strangeBlanks = (
  { replySubject, replyText }: Pick<DeliverySettings, 'replySubject' | 'replyText'>,
  form: FormDefinition,
): string[] => {
  const known = new Set(blanksOf(form))
  return [...`${replySubject} ${replyText}`.matchAll(/\{([\w-]+)\}/g)]
    .map(([, name]) => name!)
    .filter((name) => !known.has(name))
}

export interface Spoken {
  lang: string
  direction: 'ltr' | 'rtl'
}

/** The mail that who sent a form gets. */
export function replyLetter(
  { replySubject, replyText }: Pick<DeliverySettings, 'replySubject' | 'replyText'>,
  form: FormDefinition,
  responses: Responses,
  given: Record<keyof typeof replyBlanks, string>,
  spoken: Spoken,
): Letter {
  const answers = Object.fromEntries(
    fieldsOf(form).map((field) => [
      field.name,
      Object.hasOwn(responses, field.name) ? sayAnswer(field, responses[field.name]!, spoken.lang) : '',
    ]),
  )
  const fill = { ...answers, ...given }
  return paragraphsLetter(filled(replySubject, fill), filled(replyText, fill), spoken)
}

/** One lead as lines: what was asked, and what was answered. */
export const leadLines = (
  form: FormDefinition,
  responses: Responses,
  locale: string,
): { label: string; says: string }[] =>
  fieldsOf(form)
    .filter(({ name }) => Object.hasOwn(responses, name))
    .map((field) => ({
      label: 'label' in field ? field.label : field.name,
      says: sayAnswer(field, responses[field.name]!, locale),
    }))

/** Kinds of fields that say who somebody is, and those that a list can do without. */
const WHO = new Set<string>(['short', 'email', 'telephone'])
const APART = new Set<string>(['tick', 'consent', 'hidden'])

/** The same for a list: who it is first, and without what was merely ticked. */
export const listLines: typeof leadLines = (form, responses, locale) => {
  const shown = fieldsOf(form).filter(({ is }) => !APART.has(is))
  const ordered = [...shown.filter(({ is }) => WHO.has(is)), ...shown.filter(({ is }) => !WHO.has(is))]
  return leadLines({ steps: [{ title: '', fields: ordered }] }, responses, locale)
}

/** What agency or client are told of leads. */
export function noteLetter(
  about: { form: string; site: string; isTest: boolean; link: string },
  leads: readonly { at: string; page: string; lines: readonly { label: string; says: string }[] }[],
): Letter {
  const what = leads.length === 1 ? about.form : `${leads.length} answers to ${about.form}`
  const subject = `${about.isTest ? 'Test: ' : ''}${what}${about.site && ` (${about.site})`}`
  const text = [
    about.isTest ? 'This is a test. Nobody filled it in.' : '',
    ...leads.map(({ at, page, lines }) =>
      [`${at}${page && `, on ${page}`}`, ...lines.map(({ label, says }) => `${label}: ${says}`)].join('\n'),
    ),
    about.link && `All of them: ${about.link}`,
  ]
    .filter(Boolean)
    .join('\n\n')
  return paragraphsLetter(subject, text, { lang: 'en', direction: 'ltr' })
}
