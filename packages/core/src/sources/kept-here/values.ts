/** In which order the parts of a date stand. */
export type DateOrder = 'year-first' | 'day-first' | 'month-first'

/** A number as people write it: "4.5", "4,5", "4 / 5", "★★★★☆", "80 %". Null for what is none. */
export function ratingIn(text: string, best: number): number | null {
  const value = text.trim()
  const stars = /^[★⭐]/u.test(value) ? [...value].filter((c) => c === '★' || c === '⭐').length : null
  if (stars !== null) return stars >= 1 && stars <= 5 ? stars : null
  const share = /^(\d+(?:[.,]\d+)?)\s*(?:\/|of|out of|von|sur|de|van)\s*(\d+)$/i.exec(value)
  if (share) return scaled(numberOf(share[1]!), Number(share[2]))
  const percent = /^(\d+(?:[.,]\d+)?)\s*%$/.exec(value)
  if (percent) return scaled(numberOf(percent[1]!), 100)
  const plain = /^(\d+(?:[.,]\d+)?)(?:\s*(?:stars?|sterne?|étoiles?|estrellas?|sterren))?$/i.exec(value)
  return plain ? scaled(numberOf(plain[1]!), best) : null
}

const numberOf = (text: string) => Number(text.replace(',', '.'))

/**
 * From a scale to ours of 1 to 5: a scale of five is taken as it is; others linearly from their worst, 1 for ten and 0 for a
 * hundred, to their best.
 */
function scaled(value: number, best: number): number | null {
  if (best === 5) return value >= 1 && value <= 5 ? value : null
  const worst = best > 10 ? 0 : 1
  if (best <= worst || value < worst || value > best) return null
  return Math.round((1 + ((value - worst) / (best - worst)) * 4) * 10) / 10
}

const MONTHS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ')

/** A day, at noon in UTC where no time is said, so that it is the same day nearly everywhere. Null for what is none. */
export function dateIn(text: string, order: DateOrder): string | null {
  const value = text.trim()
  const iso = /^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}(?::\d{2}(?:\.\d+)?)?(?:Z|[+-]\d{2}:?\d{2})?$/.exec(value)
  if (iso) return moment(/Z|[+-]\d{2}:?\d{2}$/.test(value) ? value.replace(' ', 'T') : `${value.replace(' ', 'T')}Z`)
  const parts = /^(\d{1,4})[./\- ](\d{1,2})[./\- ](\d{1,4})(?:,?\s+(\d{1,2}):(\d{2})(?::\d{2})?)?$/.exec(value)
  if (parts) return fromParts(parts.slice(1, 4).map(Number) as [number, number, number], order, parts[4], parts[5])
  const named = /^(?:(\d{1,2})\.?\s+)?([a-z]{3})[a-z]*\.?\s+(?:(\d{1,2})(?:st|nd|rd|th)?,?\s+)?(\d{4})$/i.exec(value)
  const month = named ? MONTHS.indexOf(named[2]!.toLowerCase()) + 1 : 0
  const day = named && Number(named[1] ?? named[3])
  return month && day ? calendarDay(Number(named[4]), month, day) : null
}

function fromParts(
  [a, b, c]: [number, number, number],
  order: DateOrder,
  hour: string | undefined,
  minute: string | undefined,
): string | null {
  const [year, month, day] = a > 31 ? [a, b, c] : order === 'month-first' ? [c, a, b] : [c, b, a]
  const whole = year < 100 ? 2000 + year : year
  return calendarDay(whole, month, day, Number(hour ?? 12), Number(minute ?? 0))
}

/** Null for a day that no calendar has: the 31st of April. */
function calendarDay(year: number, month: number, day: number, hour = 12, minute = 0): string | null {
  const at = new Date(Date.UTC(year, month - 1, day, hour, minute))
  const isThat = at.getUTCFullYear() === year && at.getUTCMonth() === month - 1 && at.getUTCDate() === day
  return isThat && year > 1970 ? at.toISOString() : null
}

function moment(text: string): string | null {
  const at = new Date(text)
  return Number.isNaN(at.getTime()) ? null : at.toISOString()
}
