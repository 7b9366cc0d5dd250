import { textHeight, type FitSpec, type Height } from '../../layout'
import { arrangementGroup, headingGroup, lookGroup } from '../groups'
import type { Box, View } from '../kind'
import type { HeadlinesSettings } from './settings'
import { headlinesOf, type Headline } from './view'

/** Px: a picture at the left and the space beside it; text narrower than 150 px breaks after every other word. */
export const THUMB = 84
export const THUMB_GAP = 12
const TEXT_MIN = 150

// The sizes that css.ts sets, px and multiples; e2e/fit.spec.ts holds the two together.
const SIZES = {
  title: { of: 'text', size: 16, line: 1.3 },
  text: { of: 'text', size: 14, line: 1.45 },
  meta: { of: 'small', size: 12.5, line: 1.4 },
} as const
export const sizesOf = (settings: HeadlinesSettings) => lookGroup.sizedAll(SIZES, settings)
const INNER_GAP = 4
const PICTURE_RATIO = 9 / 16

export const headlinesFit = (settings: HeadlinesSettings): FitSpec =>
  arrangementGroup.fit(settings, {
    padding: lookGroup.inset(settings),
    cellMin: TEXT_MIN + (settings.picture === 'left' ? THUMB + THUMB_GAP : 0),
    relief: settings.picture === 'left' ? 'put the picture on top' : undefined,
  })

export const box: Box<HeadlinesSettings> = {
  one: 'a headline',
  fit: headlinesFit,
  extra: arrangementGroup.extra,
  relief: ({ picture }) =>
    picture === 'left' ? { words: 'Put the picture on top', change: { picture: 'top' } } : null,
  height,
}

function height(view: View<HeadlinesSettings>, width: number): number {
  const { heading, description, items } = headlinesOf(view)
  const spec = headlinesFit(view.settings)
  const body = arrangementGroup.height(view.settings, spec, width, (cell) =>
    items.map((item) => headlineHeight(item, cell, view.settings)),
  )
  const above = headingGroup.height(view.settings, heading, description, width - 2 * spec.padding)
  return Math.ceil(above + body + 2 * spec.padding)
}

function headlineHeight(item: Headline, cell: number, settings: HeadlinesSettings): Height {
  const { picture } = settings
  const { title, meta: small, text } = sizesOf(settings)
  const beside = picture === 'left' && item.picture
  const width = beside ? cell - THUMB - THUMB_GAP : cell
  const meta = [item.author, item.source, item.date].filter(Boolean).join(' · ')
  const parts = [
    textHeight(item.title.length, width, title.size, title.line),
    textHeight(meta.length, width, small.size, small.line),
    textHeight(item.excerpt.length, width, text.size, text.line),
  ].filter((one) => one > 0)
  const words = parts.reduce((sum, one) => sum + one, 0) + INNER_GAP * Math.max(0, parts.length - 1)
  if (beside) return { ratio: 0, fixed: Math.max(THUMB, words) }
  return picture === 'top' && item.picture ? { ratio: PICTURE_RATIO, fixed: words + 8 } : { ratio: 0, fixed: words }
}
