import type { Paging } from '@pebblestrand/contract'

export interface Paged<T> {
  rows: T[]
  total: number
  page: number
  size: number
}

export const windowOf = ({ page, size }: Paging) => ({ limit: size, offset: (page - 1) * size })

/**
 * One page of rows that each carry the total of all (`count(*) OVER ()`). Where the list has become shorter than that page, its last
 * one: nobody is left with an empty list that has no way back.
 */
export async function paged<R extends { total: number }>(
  asked: Paging,
  read: (window: ReturnType<typeof windowOf>) => Promise<R[]>,
): Promise<Paged<Omit<R, 'total'>>> {
  const rows = await read(windowOf(asked))
  if (rows.length || asked.page === 1) return withTotal(rows, asked)
  const [first] = await read({ limit: 1, offset: 0 })
  const last = { ...asked, page: Math.max(1, Math.ceil((first?.total ?? 0) / asked.size)) }
  return withTotal(first ? await read(windowOf(last)) : [], last)
}

const withTotal = <R extends { total: number }>(rows: R[], { page, size }: Paging): Paged<Omit<R, 'total'>> => ({
  rows: rows.map(({ total: _total, ...row }) => row),
  total: rows[0]?.total ?? 0,
  page,
  size,
})
