/** Whatever a page writes as a number: 4.5, "4,5", "4.5 / 5"; null where that is none. */
export function numberIn(value: unknown): number | null {
  if (typeof value === 'number') return Number.isFinite(value) ? value : null
  if (typeof value !== 'string') return null
  const found = /-?\d+(?:[.,]\d+)?/.exec(value)
  return found ? Number(found[0].replace(',', '.')) : null
}

/**
 * A rating on a scale from 1 to 5 (schema.org Rating: `worstRating` is 1 and `bestRating` 5 where they are not given). Null for
 * what lies outside its own scale.
 */
export function toFive(value: unknown, best: unknown, worst: unknown): number | null {
  const rating = numberIn(value)
  if (rating === null) return null
  const [high, low] = [numberIn(best) ?? 5, numberIn(worst) ?? (rating === 0 ? 0 : 1)]
  if (high <= low || rating < low || rating > high) return null
  const share = (rating - low) / (high - low)
  return Math.round((1 + share * 4) * 100) / 100
}
