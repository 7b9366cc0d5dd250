import { sourceOf, type Item, type Picture, type PostBody } from '../../items'
import { counted } from '../../words'
import { headingGroup, profileGroup, type ShownProfile } from '../groups'
import type { View } from '../kind'
import { ownLinks, sources, type PhotoWallSettings } from './settings'

export interface ShownPost {
  pictures: Picture[]
  /** The first, which stands for all. */
  picture: Picture
  caption: string
  /** Likes and comments, in words; empty where the service tells none. */
  counts: string[]
  /** What it is beside one picture, said aloud; '' for nothing else. */
  sort: string
  /** Said aloud of a post that leads somewhere. */
  name: string
  /** Where it comes from, and the link that was set for it instead. */
  original: string | null
  own: string | null
}

export interface PhotoWall {
  heading: string
  description: string
  /** Where its first source is found. */
  link: string | null
  profile: ShownProfile | null
  posts: ShownPost[]
}

/** What is shown, every word as it will stand there. A post whose pictures could not be had is left out. */
export function wallOf({ settings, items, context }: View<PhotoWallSettings>): PhotoWall {
  const ids = sources.sourceIds(settings)
  return {
    heading: headingGroup.heading(settings, ids, context),
    description: settings.description,
    link: headingGroup.link(ids, context),
    profile: settings.header === 'none' ? null : profileGroup.of(settings, settings.labels, ids, context),
    posts: items.flatMap((item) => shownPost(item, settings) ?? []),
  }
}

function shownPost(item: Item, settings: PhotoWallSettings): ShownPost | null {
  const { labels, locale } = settings
  const { pictures, text, likes, comments, isClip } = item.body as PostBody
  const [picture] = pictures
  if (!picture) return null
  const said = (pattern: string, n: number | null) => (n === null || !pattern ? [] : [counted(pattern, n, locale)])
  const alt = picture.alt || text.slice(0, 140)
  return {
    pictures,
    picture: { ...picture, alt },
    caption: text,
    counts: [...said(labels.likes, likes), ...said(labels.comments, comments)],
    sort: isClip ? labels.clip : pictures.length > 1 ? counted(labels.several, pictures.length, locale) : '',
    name: labels.by.replaceAll('{name}', item.author ?? sourceOf(item.id)),
    original: item.link,
    own: ownLinks.linkOf(settings, item.id),
  }
}
