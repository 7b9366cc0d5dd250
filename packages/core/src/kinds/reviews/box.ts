import { textHeight, type FitSpec } from '../../layout'
import { arrangementGroup, lookGroup } from '../groups'
import type { Box, View } from '../kind'
import type { ReviewsSettings } from './settings'
import { reviewsOf, type ShownReview } from './view'

/** Px and multiples that css.ts sets; e2e/fit.spec.ts holds the two together. */
export const SIZES = {
  heading: { size: 20, line: 1.2, below: 12 },
  title: { size: 15.5, line: 1.3 },
  text: { size: 14.5, line: 1.5 },
  meta: { size: 13, line: 1.4 },
  /** Of one that stands alone. */
  large: { size: 18, line: 1.5 },
  avatar: 36,
  picture: 72,
  star: 16,
}
/** Px: text narrower than this breaks after every other word. */
const TEXT_MIN = 180
const GAP = 6
const SUMMARY = { line: 27, bars: 5 * 18 - 2 + 6, below: 16 }
const WRITE = 16 + 22

export const reviewsFit = (settings: ReviewsSettings): FitSpec =>
  arrangementGroup.fit(settings, { padding: lookGroup.padding(settings), cellMin: TEXT_MIN })

export const box: Box<ReviewsSettings> = { one: 'a review', fit: reviewsFit, extra: arrangementGroup.extra, height }

function height(view: View<ReviewsSettings>, width: number): number {
  const { heading, description, summary, phrases, items } = reviewsOf(view)
  const spec = reviewsFit(view.settings)
  const body = arrangementGroup.height(view.settings, spec, width, (cell) =>
    items.map((item) => ({ ratio: 0, fixed: cellHeight(item, cell, view.settings) })),
  )
  const inner = width - 2 * spec.padding
  const above = heading
    ? textHeight(heading.length, inner, SIZES.heading.size, SIZES.heading.line) + SIZES.heading.below
    : 0
  const said = description ? textHeight(description.length, inner, 14.5, 1.5) + SIZES.heading.below : 0
  const shared = [view.settings.labels.phrases, ...phrases.map(({ text, count }) => `${text} ${count}  `)].join('  ')
  const many = phrases.length ? textHeight(shared.length, inner, 14, 1.5) + 16 : 0
  const sum = summary
    ? SUMMARY.line + (summary.byStar && Math.max(...summary.byStar) ? SUMMARY.bars : 0) + SUMMARY.below
    : 0
  return Math.ceil(above + said + sum + many + body + (view.settings.writeLink ? WRITE : 0) + 2 * spec.padding)
}

/** Of the words of a review. */
export const textSize = ({ layout }: ReviewsSettings) => (layout === 'one' ? SIZES.large : SIZES.text)

function cellHeight(item: ShownReview, cell: number, settings: ReviewsSettings): number {
  const { labels } = settings
  const text = textSize(settings)
  const meta = [item.author, item.date].filter(Boolean).join(' · ')
  const shown = item.text.length + (item.whole === null ? 0 : labels.more.length + 1)
  const parts = [
    item.initials || item.face ? SIZES.avatar : textHeight(meta.length, cell, SIZES.meta.size, SIZES.meta.line),
    item.rating === null ? 0 : SIZES.star,
    textHeight(item.title.length, cell, SIZES.title.size, SIZES.title.line),
    textHeight(shown, cell, text.size, text.line),
    picturesHeight(item.pictures.length, cell),
    item.reply ? 19.6 + textHeight(item.reply.text.length, cell - 13, 13.5, 1.45) : 0,
    item.source ? textHeight(item.source.length, cell, SIZES.meta.size, 1.45) : 0,
  ].filter((one) => one > 0)
  return parts.reduce((sum, one) => sum + one, 0) + GAP * Math.max(0, parts.length - 1)
}

/** Px of pictures that stand side by side and go on below. */
function picturesHeight(count: number, cell: number): number {
  const beside = Math.max(1, Math.floor((cell + GAP) / (SIZES.picture + GAP)))
  const rows = Math.ceil(count / beside)
  return rows ? rows * SIZES.picture + (rows - 1) * GAP : 0
}
