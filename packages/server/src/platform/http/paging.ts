import type { Paging } from '@pebblestrand/contract'

export interface Paged<T> {
  rows: T[]
  total: number
  page: number
  size: number
}

export const windowOf = ({ page, size }: Paging) => ({ limit: size, offset: (page - 1) * size })

/** One page of rows that each carry the total of all (`count(*) OVER ()`). */
export const paged = <R extends { total: number }>(rows: R[], { page, size }: Paging): Paged<Omit<R, 'total'>> => ({
  rows: rows.map(({ total: _total, ...row }) => row),
  total: rows[0]?.total ?? 0,
  page,
  size,
})
