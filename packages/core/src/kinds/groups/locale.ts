import { choice } from '../setting'

export const locales = {
  'en-GB': 'English (UK)',
  'en-US': 'English (US)',
  'de-DE': 'German',
  'fr-FR': 'French',
  'es-ES': 'Spanish',
  'it-IT': 'Italian',
  'nl-NL': 'Dutch',
  'da-DK': 'Danish',
  'nb-NO': 'Norwegian',
  'sv-SE': 'Swedish',
  'fo-FO': 'Faroese',
  'is-IS': 'Icelandic',
  'pl-PL': 'Polish',
  'pt-PT': 'Portuguese',
} as const

/** The language in which dates and numbers are written. */
export const localeGroup = (label: string) => ({
  shape: { locale: choice(locales, 'en-GB', { label, paragraph: 'words', before: '; in ' }) },
})
