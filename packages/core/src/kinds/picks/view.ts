import type { Item, Picture, PickBody } from '../../items'
import { datesGroup, headingGroup } from '../groups'
import type { RenderContext, View } from '../kind'
import { sources, type PicksSettings } from './settings'

export interface ShownPick {
  title: string
  note: string
  /** Where it leads to and when it was picked, each '' where it is not shown. */
  site: string
  date: string
  iso: string | null
  picture: Picture | null
  /** Stands on a cover without a picture. */
  initial: string
  language: string | null
  link: string | null
}

/** What is shown, every word as it will stand there. */
export const picksOf = ({ settings, items, context }: View<PicksSettings>) => ({
  heading: headingGroup.heading(settings, sources.sourceIds(settings), context),
  description: settings.description,
  link: headingGroup.link(sources.sourceIds(settings), context),
  picks: items.map((item) => shownPick(item, settings, context)),
})

function shownPick(
  { link, publishedAt, language, body }: Item,
  settings: PicksSettings,
  context: RenderContext,
): ShownPick {
  const { title, text, site, picture } = body as PickBody
  return {
    title,
    note: text,
    site: settings.site ? (site ?? '') : '',
    date: settings.date && publishedAt ? datesGroup.format(settings, publishedAt, context) : '',
    iso: publishedAt,
    picture,
    initial: firstLetter(title),
    language,
    link: settings.click === 'original' ? link : null,
  }
}

/** What a reader takes for the first letter or digit (UAX 29); '' where there is none. */
function firstLetter(text: string): string {
  const words = text.replace(/^[^\p{L}\p{N}]+/u, '')
  const [first] = new Intl.Segmenter('und', { granularity: 'grapheme' }).segment(words)
  return first?.segment.toUpperCase() ?? ''
}
