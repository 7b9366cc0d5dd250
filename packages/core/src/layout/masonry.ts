/** How high something is in a cell of any width: `ratio` times the cell's width, and `fixed` px. */
export interface Height {
  ratio: number
  fixed: number
}

/** Where a cell stands: its column from 0, and how far below the top. */
export interface MasonryPlace {
  column: number
  top: Height
}

export interface Masonry {
  places: MasonryPlace[]
  /** Of each column, the gap below its last cell left off. The tallest is the whole's. */
  columns: Height[]
}

export const heightAt = ({ ratio, fixed }: Height, cell: number): number => ratio * cell + fixed

/**
 * Each cell goes to the column that is the least high so far; of columns nearly as high, to the first, so that reading order is
 * kept as far as it can be. Which is the least high is decided at one width; where the cells then stand holds for every width.
 * @param cells how high each is, in reading order
 * @param gap px between cells
 * @param cell px that a cell is wide where it is decided
 */
export function masonry(cells: readonly Height[], columns: number, gap: number, cell: number): Masonry {
  const bottoms: Height[] = Array.from({ length: columns }, () => ({ ratio: 0, fixed: 0 }))
  const places = cells.map(({ ratio, fixed }) => {
    const least = Math.min(...bottoms.map((one) => heightAt(one, cell)))
    const column = bottoms.findIndex((one) => heightAt(one, cell) <= least + cell * NEARLY)
    const top = bottoms[column]!
    bottoms[column] = { ratio: top.ratio + ratio, fixed: top.fixed + fixed + gap }
    return { column, top }
  })
  return { places, columns: bottoms.map(({ ratio, fixed }) => ({ ratio, fixed: Math.max(0, fixed - gap) })) }
}

/** Columns whose heights differ by less than this share of a cell's width are as good as equal. */
const NEARLY = 0.1
