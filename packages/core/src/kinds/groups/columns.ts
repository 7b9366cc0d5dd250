import type { FitSpec } from '../../layout'
import { choice, number } from '../setting'

interface ColumnSettings {
  layout: 'list' | 'grid'
  columns: number
  gap: number
}

/** List or grid, and what lies between the cells. */
export const columnsGroup = {
  shape: {
    layout: choice({ list: 'list', grid: 'grid' }, 'list', { label: 'Layout', paragraph: 'layout', before: 'In a ' }),
    columns: number(
      { min: 1, max: 6, byDefault: 3 },
      {
        label: 'Columns on desktop',
        paragraph: 'layout',
        before: ' of ',
        after: ' columns',
        hints: ['cell', 'rows'],
        when: (s) => s.layout === 'grid',
      },
    ),
    gap: number(
      { min: 0, max: 48, step: 4, unit: 'px', byDefault: 16 },
      { label: 'Gap', paragraph: 'layout', before: ', ', after: ' apart' },
    ),
  },
  /** @param cell what one cell and the widget's edge need, px */
  fit: (s: ColumnSettings, cell: Pick<FitSpec, 'padding' | 'cellMin' | 'relief'>): FitSpec => ({
    columns: s.layout === 'grid' ? s.columns : 1,
    gap: s.gap,
    ...cell,
  }),
}
