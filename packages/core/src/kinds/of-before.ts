import { labels } from '../words'
import type { Settings } from './kind'

const usualForms = new Set(Object.values(labels.en).map((label) => label.split('|').at(-1)!.trim()))

/** Languages that were offered once, and the nearest of those that are. */
const FORMER = new Map([
  ['fo-FO', 'da-DK'],
  ['is-IS', 'en-GB'],
])

/**
 * Settings from before widgets spoke languages and wore themes: their colours were their own, an accent among them, and labels
 * that nobody had reworded were stored in English.
 * @param key of the labels
 */
export function sinceThemesAndLanguages(stored: Settings, key = 'labels'): Settings {
  const own = (stored[key] ?? {}) as Record<string, unknown>
  const worded = Object.entries(own).map(([name, words]) => [name, usualForms.has(words as string) ? null : words])
  const locale = (stored.locale as string) ?? 'en-GB'
  return {
    accent: '#17665A',
    ...stored,
    theme: 'own',
    locale: FORMER.get(locale) ?? locale,
    [key]: Object.fromEntries(worded),
  }
}
