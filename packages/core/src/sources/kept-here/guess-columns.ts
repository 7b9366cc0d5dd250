import { folded } from '../../sieve/keywords'
import { reviewFieldIds, reviewFields, type Columns, type ReviewField } from './fields'
import type { Table } from './read-table'
import { dateIn, ratingIn, type DateOrder } from './values'

/** How a file is read: which column is what, how dates are written, and what the best rating is. */
export interface Reading {
  columns: Columns
  dates: DateOrder
  best: 5 | 10 | 100
}

const LOOKED_AT = 200

/** What the columns of a file are, by their names and then by what stands in them. */
export function guessReading(table: Table): Reading {
  const rows = table.rows.slice(0, LOOKED_AT)
  const cellsOf = (column: number) => rows.map(({ cells }) => cells[column]?.trim() ?? '').filter(Boolean)
  const columns: Columns = {}
  const taken = new Set<number>()
  const take = (field: ReviewField, column: number) => {
    columns[field] = column
    taken.add(column)
  }
  const heads = table.heads.map((head) =>
    folded(head)
      .replace(/[_\-.]+/g, ' ')
      .trim(),
  )
  for (const matches of [isHead, holdsHead])
    for (const field of reviewFieldIds) {
      if (columns[field] !== undefined) continue
      const column = heads.findIndex((head, at) => !taken.has(at) && matches(field, head) && suits(field, cellsOf(at)))
      if (column >= 0) take(field, column)
    }
  for (const field of ['date', 'rating', 'text'] as const) {
    if (columns[field] !== undefined) continue
    const free = heads.map((_, at) => at).filter((at) => !taken.has(at) && suits(field, cellsOf(at), 'by values'))
    const column = field === 'text' ? longest(free, cellsOf) : free[0]
    if (column !== undefined) take(field, column)
  }
  return {
    columns,
    dates: columns.date === undefined ? 'day-first' : orderOf(cellsOf(columns.date)),
    best: columns.rating === undefined ? 5 : bestOf(cellsOf(columns.rating)),
  }
}

const isHead = (field: ReviewField, head: string) => (reviewFields[field].heads as readonly string[]).includes(head)
const holdsHead = (field: ReviewField, head: string) =>
  reviewFields[field].heads.some((known) => known.length > 3 && ` ${head} `.includes(` ${known} `))

const share = (cells: string[], holds: (cell: string) => boolean) =>
  cells.length ? cells.filter(holds).length / cells.length : 0
const isDate = (cell: string) => (['day-first', 'month-first'] as const).some((order) => dateIn(cell, order) !== null)
const isRating = (cell: string) => ratingIn(cell, 100) !== null || ratingIn(cell, 5) !== null

/** Whether what stands in a column can be such a field; a faulty cell here and there does not speak against it. */
function suits(field: ReviewField, cells: string[], how: 'by name' | 'by values' = 'by name'): boolean {
  const most = how === 'by name' ? 0.5 : 0.7
  if (!cells.length) return how === 'by name'
  if (field === 'rating') return share(cells, isRating) >= most
  if (field === 'date') return share(cells, isDate) >= most
  if (field === 'text') return share(cells, (cell) => !isRating(cell) && !isDate(cell)) >= 0.5
  return true
}

function longest(columns: number[], cellsOf: (column: number) => string[]): number | undefined {
  const mean = (column: number) => {
    const cells = cellsOf(column)
    return cells.reduce((sum, cell) => sum + cell.length, 0) / Math.max(1, cells.length)
  }
  return columns.filter((column) => mean(column) > 20).sort((a, b) => mean(b) - mean(a))[0]
}

/** By a part over 12, which is no month. */
function orderOf(cells: string[]): DateOrder {
  const parts = cells.flatMap((cell) => {
    const found = /^(\d{1,4})[./\- ](\d{1,2})[./\- ]\d{1,4}/.exec(cell)
    return found ? [[Number(found[1]), Number(found[2])] as const] : []
  })
  if (parts.some(([first]) => first > 31)) return 'year-first'
  return parts.some(([, second]) => second > 12) ? 'month-first' : 'day-first'
}

function bestOf(cells: string[]): Reading['best'] {
  const numbers = cells.map((cell) => Number(cell.replace(',', '.'))).filter((value) => !Number.isNaN(value))
  const most = Math.max(0, ...numbers)
  return most > 10 ? 100 : most > 5 ? 10 : 5
}
