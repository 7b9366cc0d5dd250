import { lineCount } from '../../layout'

/** A text in whole lines: its size and the height of one line, px. */
export interface LineSize {
  size: number
  line: number
}

/** Px: a cell as most are; it decides how many lines a text is kept, in whatever width it then stands. */
export const usualCell = ({ layout, columns }: { layout: string; columns: number }) =>
  layout === 'list' || layout === 'one' ? 480 : Math.max(160, Math.min(480, 900 / columns))

/**
 * Texts that keep room for as many whole lines as they need in a usual cell, up to a most: then how high a cell is does not hang
 * on how its words happen to break, and nothing beside it moves.
 */
export const keptLines = {
  count: (text: string, most: number, cell: number, { size }: LineSize) =>
    Math.min(most, lineCount(text.length, cell, size)),
  /** Of elements `.x.x2`, say: a class for each number of lines. */
  css: (name: string, { size, line }: LineSize, most: number) =>
    `.w .${name}{font-size:${size}px;line-height:${line}px;overflow:hidden;overflow-wrap:anywhere;display:-webkit-box;-webkit-box-orient:vertical}` +
    Array.from(
      { length: most },
      (_, i) => `.w .${name}${i + 1}{height:${(i + 1) * line}px;-webkit-line-clamp:${i + 1}}`,
    ).join(''),
}
