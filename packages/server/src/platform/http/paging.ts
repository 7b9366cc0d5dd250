import { z } from 'zod'

/** Every list is paged. */
export const Paging = z.object({
  page: z.coerce.number().int().min(1).max(10_000).default(1),
  size: z.coerce.number().int().min(1).max(200).default(50),
})

export interface Paged<T> {
  rows: T[]
  total: number
  page: number
  size: number
}

export const windowOf = ({ page, size }: z.infer<typeof Paging>) => ({ limit: size, offset: (page - 1) * size })

/** One page of rows that each carry the total of all (`count(*) OVER ()`). */
export const paged = <R extends { total: number }>(
  rows: R[],
  { page, size }: z.infer<typeof Paging>,
): Paged<Omit<R, 'total'>> => ({
  rows: rows.map(({ total: _total, ...row }) => row),
  total: rows[0]?.total ?? 0,
  page,
  size,
})

export const IdParams = z.object({ id: z.uuid('must be an id') })
