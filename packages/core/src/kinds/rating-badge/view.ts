import type { Item, Picture, ReviewBody } from '../../items'
import { meanWords } from '../../stats'
import { counted } from '../../words'
import { excerptOf } from '../excerpt'
import { ratingGroup } from '../groups'
import type { View } from '../kind'
import { authorName } from '../reviews/author'
import { sources, type RatingBadgeSettings } from './settings'

export interface Badge {
  rating: number
  label: string
  /** Each '' where it is left out. */
  mean: string
  count: string
  starsWords: string
  /** Of the place. */
  picture: Picture | null
  /** In the panel; none where there is no panel. */
  said: { author: string; rating: number | null; ratingWords: string; text: string; language: string | null }[]
}

/** Letters of a review in the panel. */
const MOST_LETTERS = 220

/** What is said; null where no rating is known. */
export function badgeOf(view: View<RatingBadgeSettings>): Badge | null {
  const { settings, items, context } = view
  const ids = sources.sourceIds(settings)
  const { mean, count } = ratingGroup.summary(ids, view)
  if (mean === null) return null
  const picture = ids.map((id) => context.sources[id]?.picture).find(Boolean) ?? null
  return {
    rating: mean,
    label: settings.label,
    mean: settings.mean ? meanWords(mean, settings.locale) : '',
    count: settings.count ? counted(settings.labels.count, count, settings.locale) : '',
    starsWords: ratingGroup.starsWords(settings.labels.stars, Math.round(mean * 10) / 10, settings.locale),
    picture: settings.picture ? picture : null,
    said: settings.click === 'panel' ? items.map((item) => said(item, settings)) : [],
  }
}

function said({ author, language, body }: Item, { labels, locale }: RatingBadgeSettings): Badge['said'][number] {
  const { rating, text } = body as ReviewBody
  return {
    author: authorName(author, 'short'),
    rating,
    ratingWords: rating === null ? '' : ratingGroup.starsWords(labels.stars, rating, locale),
    text: excerptOf(text, MOST_LETTERS),
    language,
  }
}
