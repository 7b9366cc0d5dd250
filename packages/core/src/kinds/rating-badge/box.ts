import { lineCount } from '../../layout'
import type { Box, View } from '../kind'
import type { RatingBadgeSettings } from './settings'
import { badgeOf } from './view'

/** Px and multiples that css.ts sets. */
export const SIZE = { text: 15, line: 1.45, star: 16, mean: 20, meanLine: 1.2, border: 1 }
export const PADDING = { line: [0, 0], pill: [6, 14], tile: [14, 16] } as const

/** The narrowest place it works in: its words then stand under one another. */
const NARROWEST = 90

const padding = (s: RatingBadgeSettings) => PADDING[s.shape]

export const box: Box<RatingBadgeSettings> = {
  one: 'the badge',
  fit: () => ({ columns: 1, gap: 0, padding: 0, cellMin: NARROWEST }),
  height,
}

function height(view: View<RatingBadgeSettings>, width: number): number {
  const badge = badgeOf(view)
  if (!badge) return 0
  const { settings } = view
  const [block, side] = padding(settings)
  const border = settings.shape === 'line' ? 0 : 2 * SIZE.border
  const letters = [badge.label, badge.mean, settings.stars ? '★★★★★★★★★★' : '', badge.count]
    .filter(Boolean)
    .join(' ').length
  if (settings.shape === 'tile') {
    const lines = [badge.label, badge.count].filter(Boolean).length
    return Math.ceil(
      2 * block + border + (badge.mean ? 29 : 0) + (settings.stars ? 22 : 0) + lines * SIZE.text * SIZE.line,
    )
  }
  const lines = lineCount(letters, width - 2 * side, SIZE.text)
  const first = Math.max(SIZE.text * SIZE.line, badge.mean ? SIZE.mean * SIZE.meanLine : 0)
  return Math.ceil(2 * block + border + first + (lines - 1) * SIZE.text * SIZE.line)
}
