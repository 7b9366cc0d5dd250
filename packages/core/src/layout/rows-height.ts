/**
 * Px of a grid's height: each row as tall as its tallest cell, and a gap between rows (CSS Grid Layout, 12.5, rows sized by their content).
 * @param heights of its cells in their order, px
 */
export function rowsHeight(heights: readonly number[], columns: number, gap: number): number {
  const rows = Array.from({ length: Math.ceil(heights.length / columns) }, (_, row) =>
    Math.max(...heights.slice(row * columns, (row + 1) * columns)),
  )
  return rows.reduce((sum, one) => sum + one, 0) + gap * Math.max(0, rows.length - 1)
}
