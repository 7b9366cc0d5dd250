import { choice } from '../setting'
import { localeGroup } from './locale'

const styles = {
  medium: { day: 'numeric', month: 'short', year: 'numeric' },
  long: { day: 'numeric', month: 'long', year: 'numeric' },
  weekday: { weekday: 'short', day: 'numeric', month: 'short' },
  numeric: { day: '2-digit', month: '2-digit', year: 'numeric' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>

interface DateSettings {
  locale: string
  dateStyle: keyof typeof styles
}

/** How dates are written. The kind says with `date` whether there are any. */
export const datesGroup = {
  /** Where numbers and words of a language are shown, and no dates. */
  localeShape: localeGroup('Language of numbers').shape,
  shape: {
    ...localeGroup('Language of dates').shape,
    dateStyle: choice(
      { medium: '3 Nov 2026', long: '3 November 2026', weekday: 'Tue 3 Nov', numeric: '03/11/2026' },
      'medium',
      { label: 'Date style', paragraph: 'words', before: ', dates like ', when: (s) => s.date === true },
    ),
  },
  /** @param iso in UTC, as items carry it */
  format: (s: DateSettings, iso: string) =>
    new Intl.DateTimeFormat(s.locale, { ...styles[s.dateStyle], timeZone: 'UTC' }).format(new Date(iso)),
}
