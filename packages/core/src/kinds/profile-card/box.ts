import { fit, heightAt, rowsHeight, textHeight, type FitSpec } from '../../layout'
import { lookGroup, pictureShapeGroup } from '../groups'
import type { Box, View } from '../kind'
import { cardOf, type Card } from './view'
import type { ProfileCardSettings } from './settings'

/** Px and multiples that css.ts sets; e2e/fit.spec.ts holds the two together. */
const SIZES = {
  name: { of: 'heading', size: 18, line: 1.3 },
  handle: { of: 'small', size: 13.5, line: 1.35 },
  bio: { of: 'text', size: 14, line: 1.45 },
  counts: { of: 'small', size: 13, line: 1.4 },
  button: 40,
  between: 8,
  /** Between picture and words beside it, and above the posts. */
  apart: 14,
} as const
export const sizesOf = (settings: ProfileCardSettings) => lookGroup.sizedAll(SIZES, settings)
/** Px: from this width on, the words stand beside the picture where that is wanted. */
export const LINE_FROM = 300
/** Px: a post smaller than this shows nothing. */
const CELL_MIN = 32

export const cardFit = (s: ProfileCardSettings): FitSpec => ({
  columns: s.count > 0 ? s.columns : 1,
  gap: s.gap,
  padding: lookGroup.inset(s),
  cellMin: s.count > 0 ? CELL_MIN : 120 - 2 * lookGroup.inset(s),
})

export const box: Box<ProfileCardSettings> = {
  one: 'a post',
  fit: cardFit,
  height(view: View<ProfileCardSettings>, width: number): number {
    const { settings } = view
    const card = cardOf(view)
    const spec = cardFit(settings)
    const posts = postsHeight(card, settings, width)
    const head = card.profile ? headHeight(card.profile, settings, width - 2 * spec.padding) : 0
    return Math.ceil(head + (posts && head ? SIZES.apart : 0) + posts + 2 * spec.padding)
  },
}

function postsHeight({ posts }: Card, settings: ProfileCardSettings, width: number): number {
  const spec = cardFit(settings)
  const { columns, cell } = fit(width, spec)
  const heights = posts.map(({ picture }) =>
    heightAt({ ratio: pictureShapeGroup.heightOf(settings, picture), fixed: 0 }, cell),
  )
  return heights.length ? rowsHeight(heights, columns, spec.gap) : 0
}

function headHeight(
  { name, handle, bio, counts, picture, link }: NonNullable<Card['profile']>,
  settings: ProfileCardSettings,
  inner: number,
): number {
  const { arranged, faceSize, follow } = settings
  const sizes = sizesOf(settings)
  const beside = arranged === 'line' && inner >= LINE_FROM
  const face = picture ? Math.min(faceSize, inner) : 0
  const width = beside && face ? inner - face - SIZES.apart : inner
  const lines = [
    textHeight(name.length, width, sizes.name.size, sizes.name.line),
    textHeight(handle.length, width, sizes.handle.size, sizes.handle.line),
    textHeight(bio.length, width, sizes.bio.size, sizes.bio.line),
    textHeight(counts.join(' · ').length, width, sizes.counts.size, sizes.counts.line),
    follow && link ? SIZES.button : 0,
  ].filter((height) => height > 0)
  const stacked = (parts: readonly number[]) =>
    parts.reduce((sum, part) => sum + part, 0) + Math.max(0, parts.length - 1) * SIZES.between
  return beside ? Math.max(face, stacked(lines)) : stacked(face ? [face, ...lines] : lines)
}
