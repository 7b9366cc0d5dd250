import type { Item } from '../../items'
import { datesGroup, headingGroup } from '../groups'
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
  picture: { url: string; alt: string } | null
}

/** What is said: the heading and each headline, every word as it will stand there. */
export const headlinesOf = ({ settings, items, context }: View<HeadlinesSettings>) => ({
  heading: headingGroup.heading(settings, sources.sourceIds(settings), context),
  items: items.map((item) => headline(item, settings)),
})

function headline({ author, publishedAt, link, body }: Item, settings: HeadlinesSettings): Headline {
  return {
    title: body.title,
    link,
    excerpt: excerptOf(body.text, settings.excerpt),
    author: settings.author ? (author ?? '') : '',
    date: settings.date && publishedAt ? datesGroup.format(settings, publishedAt) : '',
    iso: publishedAt,
    picture: settings.picture === 'none' || !body.picture ? null : { url: body.picture.url, alt: body.picture.alt },
  }
}

/** Cuts at a word's end; an ellipsis says that there is more. */
export function excerptOf(text: string, most: number): string {
  if (most === 0) return ''
  if (text.length <= most) return text
  const cut = text.slice(0, most + 1)
  const space = cut.lastIndexOf(' ')
  return `${(space > most / 2 ? cut.slice(0, space) : text.slice(0, most)).replace(/[\s,;:.–—-]+$/, '')}…`
}
