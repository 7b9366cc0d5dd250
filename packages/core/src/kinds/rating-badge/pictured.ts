import { row, type Pictured } from '../../pictured'
import type { View } from '../kind'
import { directionOf } from '../spoken'
import type { RatingBadgeSettings } from './settings'
import { badgeOf } from './view'

/** What the badge says: its words, the mean, its stars, and how many there are. */
export function badgePictured(view: View<RatingBadgeSettings>): Pictured | null {
  const badge = badgeOf(view)
  if (!badge) return null
  const { label, mean, count, rating, starsWords } = badge
  const { stars, locale } = view.settings
  return {
    heading: label,
    rows: [
      row({
        lead: mean,
        stars: stars ? rating : null,
        text: count,
        said: [starsWords, count].filter(Boolean).join(', '),
      }),
    ],
    rightToLeft: directionOf(locale) === 'rtl',
  }
}
