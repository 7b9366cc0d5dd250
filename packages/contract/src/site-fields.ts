import { patternProblem } from '@pebblestrand/core/page-patterns'
import { z } from 'zod'
import { line, wholeNumber } from './fields'
import { PlatformKey } from './platforms'

// Fields of a site, with words that can stand after the field's label.

const SCHEME = /^[a-z][a-z0-9+.-]*:/i
/** `ferries.example:8080` has a port and no scheme. */
const withScheme = (value: string) => (SCHEME.test(value) && !/^[\w.-]+:\d/.test(value) ? value : `https://${value}`)

/** Where a page is; without a scheme it is taken for https. */
export const Address = line(600)
  .transform(withScheme)
  .refine((value) => /^https?:\/\//i.test(value), 'must be an http or https address')
  .refine((value) => URL.canParse(value), 'must be an address like https://ferries.example')
  .transform((value) => new URL(value).href)

export const Origin = Address.transform((value) => new URL(value).origin)

/** Every name of the IANA database counts, older spellings too; a list of supported values has only one of each. */
function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

function isLanguage(tag: string): boolean {
  try {
    return Intl.getCanonicalLocales(tag).length === 1
  } catch {
    return false
  }
}

/** Without defaults: in a change, what is not named stays as it is. */
export const siteFacts = {
  name: line(80),
  origin: Origin,
  platform: PlatformKey,
  cacheMinutes: wholeNumber(0, 43_200),
  timeZone: z.string().refine(isTimeZone, 'must be an IANA time zone like Atlantic/Faroe'),
  /** BCP 47; empty where it is not known. */
  language: z
    .string()
    .trim()
    .max(35, 'must have 35 letters or fewer')
    .refine((tag) => tag === '' || isLanguage(tag), 'must be a language tag like en or pt-BR')
    .transform((tag) => (tag ? Intl.getCanonicalLocales(tag)[0]! : null)),
}

/** How one pastes there, beside what the platform says. */
export const pasting = {
  connector: z.boolean(),
  pasteNotes: z.string().trim().max(1000, 'must have 1000 letters or fewer'),
}

/** A path from the root, or a pattern of paths as WHATWG URL Pattern writes a pathname, without expressions of its own. */
export const PagePath = z
  .string('is missing')
  .trim()
  .max(500, 'must have 500 letters or fewer')
  .superRefine((path, context) => {
    const problem = patternProblem(path)
    if (problem) context.addIssue({ code: 'custom', message: `must ${problem}` })
  })
