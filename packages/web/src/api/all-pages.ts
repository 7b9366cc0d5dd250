/** All rows of a paged list, page after page. */
export async function allPages<R>(read: (page: number) => Promise<{ rows: R[]; total: number }>): Promise<R[]> {
  const rows: R[] = []
  for (let page = 1; ; page++) {
    const next = await read(page)
    rows.push(...next.rows)
    if (!next.rows.length || rows.length >= next.total) return rows
  }
}
