import { labels, spokenLanguage, type LabelLanguage } from '../words'
import { settingsOf } from './brief'
import type { Control } from './controls'
import type { Around, Kind, Settings } from './kind'

/** Where nobody says where a widget stands. */
export const usualAround: Around = { language: null, timeZone: 'UTC', credit: null }

/** Which way the words of a widget run. */
export const directionOf = (locale: string) => spokenLanguage(locale).direction

/**
 * Settings in the language that is spoken: `locale` is a tag, and a label nobody has reworded says what that language says. Of one
 * that names a control to who cannot see it, an empty one is no name: it says it too.
 */
export function spoken<S>(kind: Pick<Kind<S>, 'settings'>, settings: S, { language }: Around): S {
  const given = settings as Settings
  if (typeof given.locale !== 'string') return settings
  const { tag, labels: id } = spokenLanguage(given.locale === 'page' ? language : given.locale)
  const worded = settingsOf(kind as Pick<Kind, 'settings'>).flatMap(({ key, meta }) =>
    meta.control.type === 'object'
      ? [[key, wordsOf(given[key] as Record<string, string | null>, meta.control.parts, id)] as const]
      : [],
  )
  return { ...settings, locale: given.locale === 'page' ? tag : given.locale, ...Object.fromEntries(worded) }
}

type Parts = Record<string, { control: Control }>

const wordsOf = (own: Record<string, string | null>, parts: Parts, language: LabelLanguage) =>
  Object.fromEntries(
    Object.entries(own).map(([key, words]) => {
      const control = parts[key]?.control
      if (control?.type !== 'label') return [key, words]
      return [key, words === null || (control.names && words === '') ? labels[language][control.says] : words]
    }),
  )
