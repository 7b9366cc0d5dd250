import { textHeight, type FitSpec } from '../../layout'
import { arrangementGroup, headingGroup, lookGroup } from '../groups'
import type { Box, View } from '../kind'
import type { ReviewsSettings } from './settings'
import { reviewsOf, type ShownReview } from './view'

/** Px and multiples that css.ts sets; e2e/fit.spec.ts holds the two together. */
export const SIZES = {
  title: { of: 'text', size: 15.5, line: 1.3 },
  text: { of: 'text', size: 14.5, line: 1.5 },
  /** What many say, and the mean. */
  shared: { of: 'text', size: 14, line: 1.5 },
  mean: { of: 'heading', size: 22, line: 1.2 },
  meta: { of: 'small', size: 13, line: 1.4 },
  bars: { of: 'small', size: 12.5, line: 16 },
  reply: { of: 'text', size: 13.5, line: 1.45 },
  /** Of one that stands alone. */
  large: { of: 'text', size: 18, line: 1.5 },
  avatar: 36,
  picture: 72,
  star: 16,
} as const
export const sizesOf = (settings: ReviewsSettings) => lookGroup.sizedAll(SIZES, settings)
/** Px: text narrower than this breaks after every other word. */
const TEXT_MIN = 180
const GAP = 6
const SUMMARY = { between: 2, above: 6, below: 16 }
const WRITE = 16 + 40

export const reviewsFit = (settings: ReviewsSettings): FitSpec =>
  arrangementGroup.fit(settings, { padding: lookGroup.inset(settings), cellMin: TEXT_MIN })

export const box: Box<ReviewsSettings> = { one: 'a review', fit: reviewsFit, extra: arrangementGroup.extra, height }

function height(view: View<ReviewsSettings>, width: number): number {
  const { heading, description, summary, phrases, items } = reviewsOf(view)
  const spec = reviewsFit(view.settings)
  const body = arrangementGroup.height(view.settings, spec, width, (cell) =>
    items.map((item) => ({ ratio: 0, fixed: cellHeight(item, cell, view.settings) })),
  )
  const inner = width - 2 * spec.padding
  const { shared: sharedSize, mean, bars } = sizesOf(view.settings)
  const above = headingGroup.height(view.settings, heading, description, inner)
  const shared = [view.settings.labels.phrases, ...phrases.map(({ text, count }) => `${text} ${count}  `)].join('  ')
  const many = phrases.length ? textHeight(shared.length, inner, sharedSize.size, sharedSize.line) + 16 : 0
  const sum = summary
    ? mean.size * mean.line +
      (summary.byStar && Math.max(...summary.byStar) ? 5 * bars.line + 4 * SUMMARY.between + SUMMARY.above : 0) +
      SUMMARY.below
    : 0
  return Math.ceil(above + sum + many + body + (view.settings.writeLink ? WRITE : 0) + 2 * spec.padding)
}

/** Of the words of a review. */
export const textSize = (settings: ReviewsSettings) =>
  settings.layout === 'one' ? sizesOf(settings).large : sizesOf(settings).text

function cellHeight(item: ShownReview, cell: number, settings: ReviewsSettings): number {
  const { labels } = settings
  const { meta: small, title, reply } = sizesOf(settings)
  const text = textSize(settings)
  const meta = [item.author, item.date].filter(Boolean).join(' · ')
  const shown = item.text.length + (item.whole === null ? 0 : labels.more.length + 1)
  const parts = [
    item.initials || item.face ? SIZES.avatar : textHeight(meta.length, cell, small.size, small.line),
    item.rating === null ? 0 : SIZES.star,
    textHeight(item.title.length, cell, title.size, title.line),
    textHeight(shown, cell, text.size, text.line),
    picturesHeight(item.pictures.length, cell),
    item.reply ? reply.size * reply.line + textHeight(item.reply.text.length, cell - 13, reply.size, reply.line) : 0,
    item.source ? textHeight(item.source.length, cell, small.size, 1.45) : 0,
  ].filter((one) => one > 0)
  return parts.reduce((sum, one) => sum + one, 0) + GAP * Math.max(0, parts.length - 1)
}

/** Px of pictures that stand side by side and go on below. */
function picturesHeight(count: number, cell: number): number {
  const beside = Math.max(1, Math.floor((cell + GAP) / (SIZES.picture + GAP)))
  const rows = Math.ceil(count / beside)
  return rows ? rows * SIZES.picture + (rows - 1) * GAP : 0
}
