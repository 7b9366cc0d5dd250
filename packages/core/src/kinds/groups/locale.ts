import { languages, type LanguageTag } from '../../words'
import { choice } from '../setting'

const names = Object.fromEntries(Object.entries(languages).map(([tag, { name }]) => [tag, name])) as Record<
  LanguageTag,
  string
>

/** The language of labels, dates and numbers. `page` is never seen by a kind: what it renders is spoken already (spoken.ts). */
export const localeGroup = {
  shape: {
    locale: choice({ page: 'the language of the page', ...names }, 'page', {
      label: 'Language',
      paragraph: 'words',
      before: '; in ',
    }),
  },
}
