import { withoutTrailing } from '../text'

/** What a naming pattern may name, and what each stands for. */
export const namingWords = {
  client: 'who it is for',
  site: 'the site it is for',
  page: 'the page it is for',
  kind: 'what it is',
  starter: 'the design it begins from',
  month: 'the month, 2026-11',
  year: 'the year, 2026',
} as const
export type NamingWord = keyof typeof namingWords

export type NamingFacts = Partial<Record<NamingWord, string>>

/** The longest name a widget may have. */
const MOST = 80

/**
 * The name that a pattern gives. What is not known yet is left out, with the marks that would only divide it from the rest:
 * "{client}: {kind}, {month}" without a client is "Reviews, 2026-11".
 */
export function nameBy(pattern: string, facts: NamingFacts): string {
  const filled = pattern.replace(/\{(\w+)\}/g, (_, word: string) => facts[word as NamingWord]?.trim() || UNKNOWN)
  const led = filled.replace(new RegExp(`${UNKNOWN}${DIVIDER}*`, 'g'), UNKNOWN)
  const known = led.endsWith(UNKNOWN) ? withoutTrailing(led.slice(0, -1), (letter) => isDivider.test(letter)) : led
  return known.replaceAll(UNKNOWN, '').replace(/\s+/g, ' ').trim().slice(0, MOST).trim()
}

/** Stands where nothing is known yet: a letter of the private use area, which no name has. */
const UNKNOWN = '\uE000'
/** Marks that divide one word of a pattern from the next. */
const DIVIDER = '[\\s,;:·|/_–—-]'
const isDivider = new RegExp(DIVIDER)

/** What a month and a year are called, in the time zone of whoever makes it. */
export function namingDates(now: Date, timeZone: string): Pick<Required<NamingFacts>, 'month' | 'year'> {
  const parts = new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit' }).formatToParts(now)
  const part = (type: string) => parts.find((one) => one.type === type)!.value
  return { month: `${part('year')}-${part('month')}`, year: part('year') }
}
