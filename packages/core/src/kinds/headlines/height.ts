import { textHeight } from '../../layout'
import { THUMB, THUMB_GAP } from './fit-spec'
import type { Headline, HeadlinesPayload } from './payload'

// The sizes that packages/widget/src/kinds/headlines/css.ts sets, px and multiples; e2e/fit.spec.ts holds the two together.
const TITLE = { size: 16, line: 1.3 }
const TEXT = { size: 14, line: 1.45 }
const META = { size: 12.5, line: 1.4 }
const HEADING = { size: 20, line: 1.2, below: 12 }
const INNER_GAP = 4
const PICTURE_RATIO = 9 / 16

/** Height in px of the widget in a width: the space its snippet reserves. */
export function headlinesHeight(payload: HeadlinesPayload, width: number): number {
  const { gap, padding, steps, picture } = payload.layout
  const columns = steps.filter((step) => width >= step.from).at(-1)?.columns ?? 1
  const cell = (width - 2 * padding - gap * (columns - 1)) / columns
  const heights = payload.items.map((item) => cellHeight(item, cell, picture))
  const rows = Array.from({ length: Math.ceil(heights.length / columns) }, (_, row) =>
    Math.max(...heights.slice(row * columns, (row + 1) * columns)),
  )
  const body = rows.reduce((sum, height) => sum + height, 0) + gap * Math.max(0, rows.length - 1)
  const heading = payload.heading
    ? textHeight(payload.heading.length, width - 2 * padding, HEADING.size, HEADING.line) + HEADING.below
    : 0
  return Math.ceil(heading + body + 2 * padding)
}

function cellHeight(item: Headline, cell: number, picture: HeadlinesPayload['layout']['picture']): number {
  const beside = picture === 'left' && item.picture
  const width = beside ? cell - THUMB - THUMB_GAP : cell
  const meta = [item.author, item.date].filter(Boolean).join(' · ')
  const parts = [
    textHeight(item.title.length, width, TITLE.size, TITLE.line),
    textHeight(meta.length, width, META.size, META.line),
    textHeight(item.excerpt.length, width, TEXT.size, TEXT.line),
  ].filter((height) => height > 0)
  const words = parts.reduce((sum, height) => sum + height, 0) + INNER_GAP * Math.max(0, parts.length - 1)
  if (beside) return Math.max(THUMB, words)
  return words + (picture === 'top' && item.picture ? cell * PICTURE_RATIO + 8 : 0)
}
