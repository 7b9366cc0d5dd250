import type { Box, View } from '../kind'
import type { RatingBadgeSettings } from './settings'
import { badgeOf, type Badge } from './view'

/** Px and multiples that css.ts sets. */
export const SIZE = { text: 15, line: 1.45, star: 16, mean: 20, meanLine: 1.2, border: 1, picture: 32 }
export const PADDING = { line: [0, 0], pill: [6, 14], tile: [14, 16], stone: [22, 26] } as const
/** How many of their own size five stars are wide: 4.7 to 5.4, by the visitor's fonts. */
export const STARS_WIDE = 5.1
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

/** Px that the letters of our sizes are wide, about. */
const LETTER = { text: 7.4, mean: 11, count: 6.7 }
const GAP = { between: 8, rows: 2 }

/** A part of the badge: px it would like to be wide, and how tall one line of it is. */
interface Part {
  width: number
  line: number
}

function partsOf(badge: Badge, { stars }: RatingBadgeSettings, inner: number): Part[] {
  const text = SIZE.text * SIZE.line
  return [
    ...(badge.picture ? [{ width: SIZE.picture, line: SIZE.picture }] : []),
    ...(badge.label ? [{ width: badge.label.length * LETTER.text, line: text }] : []),
    ...(badge.mean ? [{ width: badge.mean.length * LETTER.mean, line: SIZE.mean * SIZE.meanLine }] : []),
    ...(stars
      ? [{ width: Math.min(STARS_WIDE * SIZE.star, inner), line: Math.min(SIZE.star, inner / STARS_WIDE) }]
      : []),
    ...(badge.count ? [{ width: badge.count.length * LETTER.count, line: 13.5 * SIZE.line }] : []),
  ]
}

/** Px of parts one below the other, or side by side as far as they fit, as a flex box that wraps lays them. */
function stacked(parts: readonly Part[], inner: number, sideBySide: boolean): number {
  const rows: { width: number; height: number }[] = []
  for (const { width, line } of parts) {
    const height = line * Math.max(1, Math.ceil(width / Math.max(1, inner) - 0.25))
    const last = rows.at(-1)
    if (sideBySide && last && last.width + GAP.between + width <= inner) {
      last.width += GAP.between + width
      last.height = Math.max(last.height, height)
    } else rows.push({ width, height })
  }
  return rows.reduce((sum, { height }) => sum + height, 0) + GAP.rows * Math.max(0, rows.length - 1)
}

function height(view: View<RatingBadgeSettings>, width: number): number {
  const badge = badgeOf(view)
  const { settings } = view
  if (!badge || settings.stands !== 'here') return 0
  const [block, side] = padding(settings)
  const border = settings.shape === 'line' ? 0 : SIZE.border
  const isBelow = settings.shape === 'tile' || settings.shape === 'stone'
  const inner = width - 2 * (side + border)
  return Math.ceil(2 * (block + border) + stacked(partsOf(badge, settings, inner), inner, !isBelow))
}
