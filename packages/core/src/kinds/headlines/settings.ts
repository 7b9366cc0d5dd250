import { z } from 'zod'
import { shippedFonts } from '../../look'
import { choice, colour, number, onOff, sources, text, wordList } from '../setting'

const fontNames = Object.fromEntries(Object.entries(shippedFonts).map(([id, font]) => [id, font.name])) as Record<
  keyof typeof shippedFonts,
  string
>

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

const isGrid = (s: Record<string, unknown>) => s.layout === 'grid'

/** Settings of the kind headlines. The order here is the order of the brief. */
export const HeadlinesSettings = z.strictObject({
  count: number({ min: 1, max: 20, byDefault: 5 }, { label: 'How many', paragraph: 'shows', before: 'Up to ' }),
  sources: sources(10, { label: 'Sources', paragraph: 'shows', before: ' headlines from ' }),
  onlyWithPicture: onOff({ on: 'only with a picture', off: 'with or without a picture' }, false, {
    label: 'Only with a picture',
    paragraph: 'shows',
    before: ', ',
  }),
  include: wordList('anything', { label: 'Keywords to include', paragraph: 'shows', before: ', mentioning ' }),
  exclude: wordList('nothing', { label: 'Keywords to exclude', paragraph: 'shows', before: ', leaving out ' }),
  order: choice({ newest: 'newest first', oldest: 'oldest first' }, 'newest', {
    label: 'Order',
    paragraph: 'shows',
    before: ', ',
  }),

  layout: choice({ list: 'list', grid: 'grid' }, 'list', { label: 'Layout', paragraph: 'layout', before: 'In a ' }),
  columns: number(
    { min: 1, max: 6, byDefault: 3 },
    { label: 'Columns on desktop', paragraph: 'layout', before: ' of ', after: ' columns', when: isGrid },
  ),
  gap: number(
    { min: 0, max: 48, step: 4, unit: 'px', byDefault: 16 },
    { label: 'Gap', paragraph: 'layout', before: ', ', after: ' apart' },
  ),
  picture: choice({ none: 'no picture', left: 'picture at the left', top: 'picture on top' }, 'left', {
    label: 'Picture',
    paragraph: 'layout',
    before: '; ',
  }),
  excerpt: number(
    { min: 0, max: 400, step: 20, unit: 'letters', byDefault: 100 },
    { label: 'Excerpt length', paragraph: 'layout', before: ', excerpt of ' },
  ),
  author: onOff({ on: 'shown', off: 'off' }, false, { label: 'Author', paragraph: 'layout', before: '; author ' }),
  date: onOff({ on: 'shown', off: 'off' }, true, { label: 'Date', paragraph: 'layout', before: ', date ' }),

  font: choice({ site: "the site's own font", ...fontNames }, 'site', {
    label: 'Font',
    paragraph: 'look',
    before: 'In ',
  }),
  accent: colour('#17665A', "the site's own", { label: 'Accent colour', paragraph: 'look', before: ', accent ' }),
  text: colour('', "the site's own", { label: 'Text colour', paragraph: 'look', before: ', text ' }),
  background: colour('', 'no background', { label: 'Background colour', paragraph: 'look', before: ', on ' }),
  radius: number(
    { min: 0, max: 24, step: 2, unit: 'px', byDefault: 4 },
    { label: 'Corner radius', paragraph: 'look', before: ', corners ' },
  ),

  target: choice({ same: 'the same tab', new: 'a new tab' }, 'same', {
    label: 'Where a click opens',
    paragraph: 'click',
    before: 'It opens the original in ',
  }),

  title: choice({ source: "the feed's title", own: 'own words', none: 'nothing' }, 'source', {
    label: 'Heading',
    paragraph: 'words',
    before: 'Headed by ',
  }),
  titleText: text(80, 'nothing yet', {
    label: 'Own heading',
    paragraph: 'words',
    before: ', ',
    when: (s) => s.title === 'own',
  }),
  locale: choice(locales, 'en-GB', { label: 'Language of dates', paragraph: 'words', before: '; in ' }),
  dateStyle: choice(
    { medium: '3 Nov 2026', long: '3 November 2026', weekday: 'Tue 3 Nov', numeric: '03/11/2026' },
    'medium',
    { label: 'Date style', paragraph: 'words', before: ', dates like ', when: (s) => s.date === true },
  ),
})

export type HeadlinesSettings = z.infer<typeof HeadlinesSettings>
