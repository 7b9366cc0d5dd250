import { numberFormat } from '../words/formats'

/** What ratings from 1 to 5 come to. */
export interface RatingSummary {
  /** Arithmetic mean of those that are rated; null where none is. */
  mean: number | null
  /** How many are rated. */
  count: number
  /** How many have 1, 2, 3, 4 and 5 stars; halves count for the star above. */
  byStar: [number, number, number, number, number]
}

/** Sums up ratings; what is not rated (null) is not counted. */
export function summarise(ratings: readonly (number | null)[]): RatingSummary {
  const rated = ratings.filter((rating): rating is number => rating !== null)
  const byStar: RatingSummary['byStar'] = [0, 0, 0, 0, 0]
  for (const rating of rated) byStar[Math.min(5, Math.max(1, Math.round(rating))) - 1]!++
  const sum = rated.reduce((total, rating) => total + rating, 0)
  return { mean: rated.length ? sum / rated.length : null, count: rated.length, byStar }
}

/** To one decimal, halves away from zero, as people expect of 4.25: "4.3"; whole numbers keep their decimal ("4.0"). */
export const meanWords = (mean: number, locale: string) =>
  numberFormat(locale, { minimumFractionDigits: 1, maximumFractionDigits: 1 }).format(
    Math.round((mean + Number.EPSILON) * 10) / 10,
  )
