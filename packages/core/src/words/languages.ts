import type { LabelLanguage } from './labels'
import { languageTag } from './language-tag'

/** A language that widgets speak: what it is called, and what numbers and dates follow where no region is named. */
interface Language {
  name: string
  labels: LabelLanguage
  direction: 'ltr' | 'rtl'
}

const language = (name: string, labels: LabelLanguage, direction: Language['direction'] = 'ltr'): Language => ({
  name,
  labels,
  direction,
})

/** Languages to choose from, by the tag (BCP 47) that their numbers and dates follow. */
export const languages = {
  'en-GB': language('English (UK)', 'en'),
  'en-US': language('English (US)', 'en'),
  'de-DE': language('German', 'de'),
  'fr-FR': language('French', 'fr'),
  'es-ES': language('Spanish', 'es'),
  'pt-PT': language('Portuguese', 'pt'),
  'it-IT': language('Italian', 'it'),
  'nl-NL': language('Dutch', 'nl'),
  'da-DK': language('Danish', 'da'),
  'nb-NO': language('Norwegian', 'nb'),
  'sv-SE': language('Swedish', 'sv'),
  'pl-PL': language('Polish', 'pl'),
  'uk-UA': language('Ukrainian', 'uk'),
  'el-GR': language('Greek', 'el'),
  'tr-TR': language('Turkish', 'tr'),
  'ja-JP': language('Japanese', 'ja'),
  ar: language('Arabic', 'ar', 'rtl'),
} as const satisfies Record<string, Language>
export type LanguageTag = keyof typeof languages

/** The languages that labels are written in, without their texts. */
export const labelLanguages = [...new Set(Object.values(languages).map(({ labels }) => labels))] as [
  LabelLanguage,
  ...LabelLanguage[],
]
export type { LabelLanguage } from './labels'

/** Where nobody says which. */
export const usualLanguage: LanguageTag = 'en-GB'

/** Other names that pages give these languages. */
const ALIASES: Record<string, LabelLanguage> = { no: 'nb', nn: 'nb' }

export interface SpokenLanguage {
  /** For numbers and dates, with the region that was named. */
  tag: string
  labels: LabelLanguage
  direction: 'ltr' | 'rtl'
}

/**
 * What is spoken where a page's `lang` says so; the usual language where nobody speaks that here, or nothing is said. Where no
 * region is named, the first of the language.
 */
export function spokenLanguage(lang: string | null | undefined): SpokenLanguage {
  const tag = languageTag(lang)
  const named = tag ? new Intl.Locale(tag) : null
  const wanted = named && (ALIASES[named.language] ?? named.language)
  for (const [first, { labels, direction }] of Object.entries(languages) as [string, Language][])
    if (labels === wanted)
      return { tag: named!.region && !ALIASES[named!.language] ? named!.baseName : first, labels, direction }
  const { labels, direction } = languages[usualLanguage]
  return { tag: usualLanguage, labels, direction }
}
