import { choice, number } from '../../setting'
import { hasRows } from './columns'

const layouts = {
  list: 'list',
  grid: 'grid',
  masonry: 'wall of bricks',
  'large-first': 'grid whose first is large',
  carousel: 'row to move along',
  one: 'slideshow, one at a time',
} as const
export type Layout = keyof typeof layouts

export interface ArrangementSettings {
  layout: Layout
  columns: number
  columnsTablet: Given
  columnsPhone: Given
  rows: Rows
  /** How many come by a button, of a kind that has one (groups/more.ts). */
  more?: string
  gap: number
  moves: 'no' | '5' | '8' | '12'
  align: 'start' | 'centre' | 'end'
  radius: number
}

const given = {
  fit: 'as many as fit',
  '1': '1 column',
  '2': '2 columns',
  '3': '3 columns',
  '4': '4 columns',
} as const
type Given = keyof typeof given

const rows = {
  all: 'all rows',
  '1': 'one row',
  '2': 'two rows',
  '3': 'three rows',
  '4': 'four rows',
  '5': 'five rows',
  '6': 'six rows',
} as const
type Rows = keyof typeof rows

const oneOf =
  (...some: Layout[]) =>
  (settings: Record<string, unknown>) =>
    some.includes(settings.layout as Layout)
export const isMoved = oneOf('carousel', 'one')
const hasColumns = oneOf('grid', 'masonry', 'large-first', 'carousel')

/**
 * How cells are laid out and what lies between them.
 * @param offered the layouts there are to choose from
 * @param byDefault one of them
 */
export function arrangementShape<const L extends Layout>(
  offered: readonly L[],
  byDefault: NoInfer<L>,
  numbers: { columns?: number; gap?: number } = {},
) {
  const options = Object.fromEntries(offered.map((id) => [id, layouts[id]])) as unknown as Record<L, string>
  return {
    layout: choice(options, byDefault, { label: 'Layout', paragraph: 'layout', before: 'In a ' }),
    columns: number(
      { min: 1, max: 6, byDefault: numbers.columns ?? 3 },
      {
        label: 'Columns on desktop',
        paragraph: 'layout',
        before: ' of ',
        after: ' columns',
        hints: ['cell', 'rows'],
        when: hasColumns,
      },
    ),
    columnsTablet: choice(given, 'fit', {
      label: 'Columns on a tablet',
      paragraph: 'layout',
      before: ', ',
      after: ' on a tablet',
      hints: ['cell', 'rows'],
      when: hasColumns,
    }),
    columnsPhone: choice(given, 'fit', {
      label: 'Columns on a phone',
      paragraph: 'layout',
      before: ' and ',
      after: ' on a phone',
      hints: ['cell', 'rows'],
      when: hasColumns,
    }),
    rows: choice(rows, 'all', {
      label: 'Rows at most',
      paragraph: 'layout',
      before: ', ',
      hints: ['rows'],
      when: (s) => hasRows(s as never),
    }),
    moves: choice(
      {
        no: 'that stands still',
        '5': 'that moves every 5 seconds',
        '8': 'that moves every 8 seconds',
        '12': 'that moves every 12 seconds',
      },
      'no',
      { label: 'Moving by itself', paragraph: 'layout', before: ' ', when: isMoved },
    ),
    gap: number(
      { min: 0, max: 48, step: 4, unit: 'px', byDefault: numbers.gap ?? 16 },
      { label: 'Gap', paragraph: 'layout', before: ', ', after: ' apart' },
    ),
    align: choice({ start: 'set at the start', centre: 'centred', end: 'set at the end' }, 'start', {
      label: 'Alignment',
      paragraph: 'layout',
      before: ', ',
    }),
  }
}
