import { fit, heightAt, masonry, rowsHeight, type FitSpec, type Height } from '../../../layout'
import { CONTROLS } from './css'
import { inOneRow, shownIn, stepsOf } from './columns'
import type { ArrangementSettings } from './settings'

/**
 * Px that cells take in a width, all of them together.
 * @param cellsAt how high each is where a cell is so many px wide
 */
export function arrangedHeight(
  s: ArrangementSettings,
  spec: FitSpec,
  width: number,
  cellsAt: (cell: number) => readonly Height[],
): number {
  const { columns, cell } = fit(width, spec)
  const cells = cellsAt(cell).slice(0, shownIn(s, columns))
  const heights = cells.map((one) => heightAt(one, cell))
  if (!heights.length) return 0
  if (inOneRow(s)) return Math.max(...heights) + CONTROLS
  if (s.layout === 'masonry') {
    const step = stepsOf(spec).find(({ from, to }) => width >= from && width < to)!
    const wall = masonry(cellsAt(step.cell), columns, spec.gap, step.cell)
    return Math.max(...wall.columns.map((one) => heightAt(one, cell)))
  }
  if (s.layout === 'large-first' && columns > 1) {
    const large = 2 * cell + spec.gap
    return withLarge(heights.slice(1), heightAt(cellsAt(large)[0]!, large), columns, spec.gap)
  }
  return rowsHeight(heights, columns, spec.gap)
}

/** The large one takes a row of two columns, or the corner of two rows by two columns where there are more. */
function withLarge(others: readonly number[], large: number, columns: number, gap: number): number {
  const after = (rest: readonly number[]) => (rest.length ? gap + rowsHeight(rest, columns, gap) : 0)
  if (columns === 2) return large + after(others)
  const beside = columns - 2
  const two = rowsHeight(others.slice(0, 2 * beside), beside, gap)
  return Math.max(large, two) + after(others.slice(2 * beside))
}
