import { filled, paragraphsLetter, stretchesOf, type Letter, type Stretch } from '../letter'
import { spokenLanguage } from '../words'
import { sayAnswer } from './answer-words'
import type { DeliverySettings } from './delivery'
import { fieldsOf } from './fields-of'
import type { FormDefinition } from './form'
import { confirmationWords } from './confirmation-words'
import { sayInReply } from './reply-words'
import type { Responses } from './responses'
import { mailsIn } from './taken'

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
  const toMail = mailsIn(form, responses)[0] ?? ''
  const answers = Object.fromEntries(
    fieldsOf(form).map((field) => [
      field.name,
      Object.hasOwn(responses, field.name) ? sayInReply(field, responses[field.name]!, spoken.lang, toMail) : '',
    ]),
  )
  const subject = filled(replySubject, { ...answers, ...given })
  return paragraphsLetter(subject, stretchesOf(withoutBlanksInAddresses(replyText, answers), given, answers), spoken)
}

/** A blank that a visitor fills cannot be part of an address: it would lead where the visitor wants. */
const withoutBlanksInAddresses = (text: string, answers: Readonly<Record<string, string>>) =>
  text.replace(/https?:\/\/[^\s<>"]+/g, (address) =>
    address.replace(/\{([\w-]+)\}/g, (whole, name: string) => (Object.hasOwn(answers, name) ? '' : whole)),
  )

/** Whether an answer stands in an address of a reply, where it would be left out. */
export const blanksInAddresses = (
  { replyText }: Pick<DeliverySettings, 'replyText'>,
  form: FormDefinition,
): string[] => {
  const names = new Set(fieldsOf(form).map(({ name }) => name))
  return [...replyText.matchAll(/https?:\/\/[^\s<>"]+/g)]
    .flatMap(([address]) => [...address.matchAll(/\{([\w-]+)\}/g)].map(([, name]) => name!))
    .filter((name) => names.has(name))
}

/**
 * The mail that asks whether an address is whose it was given as: with nothing in it that a visitor wrote.
 * @param confirmSubject, confirmText the agency's own; '' for the usual words in the form's language. `{link}` is where it is confirmed.
 */
export function confirmationLetter(
  { confirmSubject, confirmText }: Pick<DeliverySettings, 'confirmSubject' | 'confirmText'>,
  given: { link: string; site: string; form: string },
  spoken: Spoken,
): Letter {
  const words = confirmationWords[spokenLanguage(spoken.lang).labels]
  const usual = [words.given, `${words.open}\n{link}`, words.ignore].join('\n\n')
  return paragraphsLetter(filled(confirmSubject || words.subject, given), filled(confirmText || usual, given), spoken)
}

/** What the mail that asks for confirmation can have in braces. */
export const confirmationBlanks = {
  link: 'where it is confirmed',
  site: 'the site',
  form: 'the name of the form',
} as const

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
  const body: Stretch[] = [
    ...(about.isTest ? [{ text: 'This is a test. Nobody filled it in.\n\n' }] : []),
    ...leads.flatMap(({ at, page, lines }) => [
      { text: at },
      ...(page ? [{ text: ', on ' }, { text: page, isForeign: true }] : []),
      ...lines.flatMap(({ label, says }) => [{ text: `\n${label}: ` }, { text: says, isForeign: true }]),
      { text: '\n\n' },
    ]),
    ...(about.link ? [{ text: `All of them: ${about.link}` }] : []),
  ]
  return paragraphsLetter(subject, body, { lang: 'en', direction: 'ltr' })
}
