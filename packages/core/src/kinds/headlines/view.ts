import { readingOf, sourceOf, type Item, type Picture } from '../../items'
import { datesGroup, headingGroup } from '../groups'
import { excerptOf } from '../excerpt'
import type { RenderContext, View } from '../kind'
import { sources, type HeadlinesSettings } from './settings'

export interface Headline {
  title: string
  link: string | null
  excerpt: string
  /** Author, source and date as shown, each '' where it is left out. */
  author: string
  source: string
  date: string
  /** Machine-readable date for `<time datetime>`. */
  iso: string | null
  picture: Picture | null
}

/** What is said: the heading and each headline, every word as it will stand there. */
export const headlinesOf = ({ settings, items, context }: View<HeadlinesSettings>) => ({
  heading: headingGroup.heading(settings, sources.sourceIds(settings), context),
  description: settings.description,
  link: headingGroup.link(sources.sourceIds(settings), context),
  items: items.map((item) => headline(item, settings, context)),
})

function headline(
  { id, author, publishedAt, link, body }: Item,
  settings: HeadlinesSettings,
  context: RenderContext,
): Headline {
  const picture = readingOf(body).picture(body)
  return {
    title: body.title,
    link,
    excerpt: excerptOf(body.text, settings.excerpt),
    author: settings.author ? (author ?? '') : '',
    source: settings.from ? (context.sources[sourceOf(id)]?.title ?? '') : '',
    date: settings.date && publishedAt ? datesGroup.format(settings, publishedAt, context) : '',
    iso: publishedAt,
    picture: settings.picture === 'none' ? null : picture,
  }
}
