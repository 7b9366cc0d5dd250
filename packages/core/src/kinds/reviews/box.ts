import { fit, rowsHeight, textHeight, type FitSpec } from '../../layout'
import { columnsGroup, lookGroup } from '../groups'
import type { Box, View } from '../kind'
import type { ReviewsSettings } from './settings'
import { reviewsOf, type ShownReview } from './view'

/** Px and multiples that css.ts sets; e2e/fit.spec.ts holds the two together. */
export const SIZES = {
  heading: { size: 20, line: 1.2, below: 12 },
  title: { size: 15.5, line: 1.3 },
  text: { size: 14.5, line: 1.5 },
  meta: { size: 13, line: 1.4 },
  avatar: 36,
  star: 16,
}
/** Px: text narrower than this breaks after every other word. */
const TEXT_MIN = 180
const GAP = 6
const SUMMARY = { line: 27, bars: 5 * 18 - 2 + 6, below: 16 }
const WRITE = 16 + 22

export const reviewsFit = (settings: ReviewsSettings): FitSpec =>
  columnsGroup.fit(settings, { padding: lookGroup.padding(settings), cellMin: TEXT_MIN })

export const box: Box<ReviewsSettings> = { one: 'a review', fit: reviewsFit, height }

function height(view: View<ReviewsSettings>, width: number): number {
  const { heading, summary, items } = reviewsOf(view)
  const spec = reviewsFit(view.settings)
  const { columns, cell } = fit(width, spec)
  const heights = items.map((item) => cellHeight(item, cell, view.settings))
  const body = rowsHeight(heights, columns, spec.gap)
  const inner = width - 2 * spec.padding
  const above = heading
    ? textHeight(heading.length, inner, SIZES.heading.size, SIZES.heading.line) + SIZES.heading.below
    : 0
  const sum = summary
    ? SUMMARY.line + (summary.byStar && Math.max(...summary.byStar) ? SUMMARY.bars : 0) + SUMMARY.below
    : 0
  return Math.ceil(above + sum + body + (view.settings.writeLink ? WRITE : 0) + 2 * spec.padding)
}

function cellHeight(item: ShownReview, cell: number, { labels }: ReviewsSettings): number {
  const meta = [item.author, item.date].filter(Boolean).join(' · ')
  const shown = item.text.length + (item.whole === null ? 0 : labels.more.length + 1)
  const parts = [
    item.initials ? SIZES.avatar : textHeight(meta.length, cell, SIZES.meta.size, SIZES.meta.line),
    item.rating === null ? 0 : SIZES.star,
    textHeight(item.title.length, cell, SIZES.title.size, SIZES.title.line),
    textHeight(shown, cell, SIZES.text.size, SIZES.text.line),
    item.reply ? 19.6 + textHeight(item.reply.text.length, cell - 13, 13.5, 1.45) : 0,
    item.link ? SIZES.meta.size * 1.45 : 0,
  ].filter((one) => one > 0)
  return parts.reduce((sum, one) => sum + one, 0) + GAP * Math.max(0, parts.length - 1)
}
