import { readingOf, type Item, type Picture } from '../../items'
import { profileGroup, type ShownProfile } from '../groups'
import type { View } from '../kind'
import { sources, type ProfileCardSettings } from './settings'

export interface ShownPost {
  picture: Picture
  name: string
  link: string | null
}

export interface Card {
  /** Null where the source is nobody's, or none is chosen. */
  profile: ShownProfile | null
  posts: ShownPost[]
}

/** What is shown, every word as it will stand there; what is off is empty. A post without a picture is left out. */
export function cardOf({ settings, items, context }: View<ProfileCardSettings>): Card {
  const { bio, counts, locale, labels } = settings
  const profile = profileGroup.of(
    { headerBio: bio, headerCounts: counts, locale },
    labels,
    sources.sourceIds(settings),
    context,
  )
  return {
    profile: profile && {
      ...profile,
      name: settings.name ? profile.name : '',
      handle: settings.handle ? profile.handle : '',
      picture: settings.face ? profile.picture : null,
    },
    posts: items.flatMap((item) => postOf(item, settings) ?? []),
  }
}

function postOf({ link, body }: Item, { click, labels }: ProfileCardSettings): ShownPost | null {
  const reading = readingOf(body)
  const picture = reading.picture(body)
  if (!picture) return null
  const title = reading.title(body)
  return {
    picture: { ...picture, alt: picture.alt || title },
    name: `${labels.post}: ${title}`,
    link: click === 'original' ? link : null,
  }
}
