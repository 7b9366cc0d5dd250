import { escapeAttribute, escapeText } from '../../markup'
import type { RenderContext } from '../kind'
import { choice } from '../setting'
import { dateFormat } from '../../words'
import { usualAround } from '../spoken'
import { localeGroup } from './locale'

const styles = {
  medium: { day: 'numeric', month: 'short', year: 'numeric' },
  long: { day: 'numeric', month: 'long', year: 'numeric' },
  weekday: { weekday: 'short', day: 'numeric', month: 'short' },
  numeric: { day: '2-digit', month: '2-digit', year: 'numeric' },
  ago: { day: 'numeric', month: 'short', year: 'numeric' },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>

export type DateStyle = keyof typeof styles
interface DateSettings {
  locale: string
  dateStyle: DateStyle
}

/** How dates are written. The kind says with `date` whether there are any. */
export const datesGroup = {
  /** Where numbers and words of a language are shown, and no dates. */
  localeShape: localeGroup.shape,
  shape: {
    ...localeGroup.shape,
    dateStyle: choice(
      {
        medium: '3 Nov 2026',
        long: '3 November 2026',
        weekday: 'Tue 3 Nov',
        numeric: '03/11/2026',
        ago: '3 weeks ago',
      },
      'medium',
      { label: 'Date style', paragraph: 'words', before: ', dates like ', when: (s) => s.date === true },
    ),
  },
  /** @param iso in UTC, as items carry it; the day is the site's */
  format: (s: DateSettings, iso: string, { around = usualAround }: Pick<RenderContext, 'around'>) =>
    dateFormat(s.locale, { ...styles[s.dateStyle], timeZone: around.timeZone }).format(new Date(iso)),
  /** How long ago it is changes while a page is open: a behaviour says it, and without a script the date stands there. */
  html: ({ dateStyle }: Pick<DateSettings, 'dateStyle'>, iso: string | null, words: string) =>
    `<time part="date" datetime="${escapeAttribute(iso ?? '')}"${dateStyle === 'ago' ? ' data-ago' : ''}>${escapeText(words)}</time>`,
  behaviours: ({ dateStyle }: Pick<DateSettings, 'dateStyle'>) => (dateStyle === 'ago' ? ['ago'] : []),
}
