import { readingOf, type Item, type Picture } from '../../items'
import { datesGroup, headingGroup } from '../groups'
import { excerptOf } from '../excerpt'
import type { View } from '../kind'
import { sources, type HeadlinesSettings } from './settings'

export interface Headline {
  title: string
  link: string | null
  excerpt: string
  /** Author and date as shown, each '' where it is left out. */
  author: string
  date: string
  /** Machine-readable date for `<time datetime>`. */
  iso: string | null
  picture: Picture | null
}

/** What is said: the heading and each headline, every word as it will stand there. */
export const headlinesOf = ({ settings, items, context }: View<HeadlinesSettings>) => ({
  heading: headingGroup.heading(settings, sources.sourceIds(settings), context),
  description: settings.description,
  items: items.map((item) => headline(item, settings)),
})

function headline({ author, publishedAt, link, body }: Item, settings: HeadlinesSettings): Headline {
  const picture = readingOf(body).picture(body)
  return {
    title: body.title,
    link,
    excerpt: excerptOf(body.text, settings.excerpt),
    author: settings.author ? (author ?? '') : '',
    date: settings.date && publishedAt ? datesGroup.format(settings, publishedAt) : '',
    iso: publishedAt,
    picture: settings.picture === 'none' ? null : picture,
  }
}
