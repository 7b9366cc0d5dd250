import { filled, paragraphsLetter, type Letter } from '../letter'
import type { SheetWordId, SheetWords } from './sheet-words'

/** A mail's subject and text, with blanks. */
export interface Wording {
  subject: string
  body: string
}

/** What is mailed about sheets, and where its own words stand. */
export const mailKinds = {
  paste: { name: 'Asks to paste', subject: 'mailSubject', body: 'mailBody' },
  remove: { name: 'Asks to take out', subject: 'removeSubject', body: 'removeBody' },
  reminder: { name: 'Reminds', subject: 'reminderSubject', body: 'reminderBody' },
} as const satisfies Record<string, { name: string; subject: SheetWordId; body: SheetWordId }>
export type MailKind = keyof typeof mailKinds
export const mailKindIds = Object.keys(mailKinds) as [MailKind, ...MailKind[]]

/** What can be filled in, by its name in braces. */
export const blanks = {
  name: 'who gets it',
  site: 'the site',
  list: 'what it is about, a line each',
  link: 'the address of the sheet',
  sender: 'who sends it',
  agency: 'the agency',
} as const satisfies Record<string, string>
export type Blank = keyof typeof blanks

/** The words that a kind of mail has by itself. */
export const ownWording = (words: SheetWords, kind: MailKind): Wording => ({
  subject: words[mailKinds[kind].subject],
  body: words[mailKinds[kind].body],
})

/** What is wrong with a wording, by its field: a blank that nothing fills, no way to the sheet, lines in a subject. */
export function wordingFaults({ subject, body }: Wording): { field: keyof Wording; message: string }[] {
  const faults: { field: keyof Wording; message: string }[] = []
  for (const [field, text] of Object.entries({ subject, body }) as [keyof Wording, string][])
    for (const [, name] of text.matchAll(/\{(\w+)\}/g))
      if (!Object.hasOwn(blanks, name!))
        faults.push({
          field,
          message: `has {${name}}, which nothing fills; take ${Object.keys(blanks)
            .map((one) => `{${one}}`)
            .join(', ')}`,
        })
  if (!subject.trim()) faults.push({ field: 'subject', message: 'must not be empty' })
  if (/[\r\n]/.test(subject)) faults.push({ field: 'subject', message: 'must be one line' })
  if (!body.includes('{link}'))
    faults.push({ field: 'body', message: 'must have {link}: without it nobody finds the sheet' })
  return faults
}

/**
 * A wording with its blanks filled.
 * @param list what it is about, a line each
 * @param direction of the language it is written in
 */
export function letter(
  wording: Wording,
  given: Record<Exclude<Blank, 'list'>, string>,
  list: readonly string[],
  { lang, direction }: { lang: string; direction: 'ltr' | 'rtl' },
): Letter {
  const fill = { ...given, list: list.map((line) => `– ${line}`).join('\n') }
  return paragraphsLetter(filled(wording.subject, fill), filled(wording.body, fill), { lang, direction })
}
