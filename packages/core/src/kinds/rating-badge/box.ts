import { lookGroup } from '../groups'
import type { Box, View } from '../kind'
import type { RatingBadgeSettings } from './settings'
import { badgeOf, type Badge } from './view'

/** Px and multiples that css.ts sets. */
const SIZES = {
  text: { of: 'text', size: 15, line: 1.45 },
  mean: { of: 'heading', size: 20, line: 1.2 },
  count: { of: 'small', size: 13.5, line: 1.45 },
} as const
export const sizesOf = (settings: RatingBadgeSettings) => lookGroup.sizedAll(SIZES, settings)
export const STAR = 16
export const PICTURE = 32
/** Px of an edge that nobody has set. */
const EDGE = 1

/** Px: a line of text has none unless one was set. */
export const borderOf = ({ shape, borderWidth }: RatingBadgeSettings) => borderWidth || (shape === 'line' ? 0 : EDGE)
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

/** Share of its size that a letter is wide, and a bold digit, about. */
const LETTER = 0.495
const BOLD_DIGIT = 0.55
const GAP = { between: 8, rows: 2 }

/** A part of the badge: px it would like to be wide, and how tall one line of it is. */
interface Part {
  width: number
  line: number
}

function partsOf(badge: Badge, settings: RatingBadgeSettings, inner: number): Part[] {
  const { stars } = settings
  const { text, mean, count } = sizesOf(settings)
  return [
    ...(badge.picture ? [{ width: PICTURE, line: PICTURE }] : []),
    ...(badge.label ? [{ width: badge.label.length * LETTER * text.size, line: text.size * text.line }] : []),
    ...(badge.mean ? [{ width: badge.mean.length * BOLD_DIGIT * mean.size, line: mean.size * mean.line }] : []),
    ...(stars ? [{ width: Math.min(STARS_WIDE * STAR, inner), line: Math.min(STAR, inner / STARS_WIDE) }] : []),
    ...(badge.count ? [{ width: badge.count.length * LETTER * count.size, line: count.size * count.line }] : []),
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
  const border = borderOf(settings)
  const isBelow = settings.shape === 'tile' || settings.shape === 'stone'
  const inner = width - 2 * (side + border)
  return Math.ceil(2 * (block + border) + stacked(partsOf(badge, settings, inner), inner, !isBelow))
}
