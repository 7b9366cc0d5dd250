/** NUL, which no database text holds, and halves of surrogate pairs, which no UTF-8 and no JSON store holds. JSON feeds can carry both. */
export const isStorable = (text: string) => text.isWellFormed() && !text.includes('\0')

/** A value whose every text can be stored: NUL goes, half a pair becomes U+FFFD. */
export function storable<T>(value: T): T {
  if (typeof value === 'string') return (isStorable(value) ? value : value.toWellFormed().replaceAll('\0', '')) as T
  if (Array.isArray(value)) return value.map(storable) as T
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, storable(inner)])) as T
}
