import { meanWords } from '../../stats'
import { ratingGroup } from '../groups'
import type { View } from '../kind'
import { counted } from '../reviews/view'
import { sources, type RatingBadgeSettings } from './settings'

export interface Badge {
  rating: number
  label: string
  /** Each '' where it is left out. */
  mean: string
  count: string
  starsWords: string
}

/** What is said; null where no rating is known. */
export function badgeOf(view: View<RatingBadgeSettings>): Badge | null {
  const { settings } = view
  const { mean, count } = ratingGroup.summary(sources.sourceIds(settings), view)
  if (mean === null) return null
  return {
    rating: mean,
    label: settings.label,
    mean: settings.mean ? meanWords(mean, settings.locale) : '',
    count: settings.count ? counted(settings.labels.count, count, settings.locale) : '',
    starsWords: ratingGroup.starsWords(settings.labels.stars, Math.round(mean * 10) / 10, settings.locale),
  }
}
