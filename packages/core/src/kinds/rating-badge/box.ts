import { lineCount } from '../../layout'
import type { Box, View } from '../kind'
import type { RatingBadgeSettings } from './settings'
import { badgeOf } from './view'

/** Px and multiples that css.ts sets. */
export const SIZE = { text: 15, line: 1.45, star: 16, mean: 20, meanLine: 1.2, border: 1, picture: 32 }
export const PADDING = { line: [0, 0], pill: [6, 14], tile: [14, 16], stone: [22, 26] } as const
/** Px from the edges of the window, of one that stands over the page. */
export const ASIDE = 16

/** The narrowest place it works in: its words then stand under one another. */
const LEAST = 90

const padding = ({ shape }: RatingBadgeSettings) => PADDING[shape]

export const box: Box<RatingBadgeSettings> = {
  one: 'the badge',
  fit: () => ({ columns: 1, gap: 0, padding: 0, cellMin: LEAST }),
  height,
}

function height(view: View<RatingBadgeSettings>, width: number): number {
  const badge = badgeOf(view)
  const { settings } = view
  if (!badge || settings.stands !== 'here') return 0
  const [block, side] = padding(settings)
  const border = settings.shape === 'line' ? 0 : 2 * SIZE.border
  const picture = badge.picture ? SIZE.picture : 0
  if (settings.shape === 'tile' || settings.shape === 'stone') {
    const words = [badge.label, badge.count].filter(Boolean)
    const inner = width - 2 * side
    const lines = words.reduce((sum, text) => sum + lineCount(text.length, inner, SIZE.text), 0)
    const rows = words.length + [badge.picture, badge.mean, settings.stars].filter(Boolean).length
    const parts = picture + (badge.mean ? SIZE.mean * SIZE.meanLine : 0) + (settings.stars ? 20 : 0)
    return Math.ceil(2 * block + border + parts + lines * SIZE.text * SIZE.line + 2 * Math.max(0, rows - 1))
  }
  const letters = [
    badge.label,
    badge.mean,
    settings.stars ? '★★★★★★★★★★' : '',
    badge.count,
    badge.picture ? '■■■■' : '',
  ]
    .filter(Boolean)
    .join(' ').length
  const lines = lineCount(letters, width - 2 * side, SIZE.text)
  const first = Math.max(SIZE.text * SIZE.line, picture, badge.mean ? SIZE.mean * SIZE.meanLine : 0)
  return Math.ceil(2 * block + border + first + (lines - 1) * SIZE.text * SIZE.line)
}
