import { columnSteps, fit, type FitSpec } from '../../../layout'
import type { ArrangementSettings, Layout } from './settings'

const inColumns: readonly Layout[] = ['grid', 'masonry', 'large-first', 'carousel']

export const inOneRow = ({ layout }: Pick<ArrangementSettings, 'layout'>) => layout === 'carousel' || layout === 'one'

/** @param cell what one cell and the widget's edge need, px */
export function fitSpec(s: ArrangementSettings, cell: Pick<FitSpec, 'padding' | 'cellMin' | 'relief'>): FitSpec {
  if (!inColumns.includes(s.layout)) return { columns: 1, gap: s.gap, ...cell }
  const [tablet, phone] = [s.columnsTablet, s.columnsPhone].map((one) => (one === 'fit' ? undefined : Number(one)))
  return { columns: s.columns, narrower: { tablet, phone }, gap: s.gap, ...cell }
}

/** Cells' places that the first takes beside its own. */
export function extraOf({ layout }: Pick<ArrangementSettings, 'layout'>, columns: number): number {
  if (layout !== 'large-first' || columns === 1) return 0
  return columns === 2 ? 1 : 3
}

/**
 * How many cells are shown in so many columns, where only so many rows are wanted. With more to come by a button it is that
 * which says how many: rows would hide what it brings.
 */
export function shownIn(s: Pick<ArrangementSettings, 'layout' | 'rows' | 'more'>, columns: number): number {
  return hasRows(s) && s.rows !== 'all' ? Math.max(1, Number(s.rows) * columns - extraOf(s, columns)) : Infinity
}

/** Whether rows can be limited. */
export const hasRows = ({ layout, more = 'no' }: Pick<ArrangementSettings, 'layout' | 'more'>): boolean =>
  (layout === 'grid' || layout === 'large-first') && more === 'no'

/** Px: the width that decides which column of a wall is the least high, where a step begins at nothing. */
const USUAL = 340

/** From which width so many columns are shown, up to where the next step begins, and how wide a cell is about there. */
export const stepsOf = (spec: FitSpec) =>
  columnSteps(spec).map(({ from, columns }, at, all) => ({
    from,
    to: all[at + 1]?.from ?? Infinity,
    columns,
    cell: fit(Math.max(from, Math.min(USUAL, (all[at + 1]?.from ?? Infinity) - 1)), spec).cell,
  }))
