/** So many columns, and so many cells' places that are taken beside the items' own, by a large one. */
export interface Rows {
  columns: number
  extra: number
}

/**
 * The counts nearest to `count`, one below and one above, that fill the last row at every width: six in a row wants
 * multiples of six (common practice in the trade).
 * @param shapes how the rows are at the various widths
 * @returns them; none where `count` fills all of them as it is; null where no count up to `most` does
 */
export function wholeRows(count: number, shapes: readonly Rows[], most: number): number[] | null {
  const fills = (n: number) => shapes.every(({ columns, extra }) => n === 0 || (n + extra) % columns === 0)
  if (fills(count)) return []
  const all = Array.from({ length: most }, (_, i) => i + 1).filter(fills)
  const near = [all.filter((n) => n < count).at(-1), all.find((n) => n > count)].filter((n) => n !== undefined)
  return near.length ? near : null
}
