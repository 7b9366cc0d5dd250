/**
 * The counts nearest to `count` that fill the last row: six in a row wants multiples of six (common practice in the trade).
 * Gives nothing when the last row is full already.
 */
export function wholeRows(count: number, columns: number, most: number): number[] {
  if (columns < 2 || count % columns === 0) return []
  const below = Math.floor(count / columns) * columns
  return [below, below + columns].filter((n) => n > 0 && n <= most)
}
