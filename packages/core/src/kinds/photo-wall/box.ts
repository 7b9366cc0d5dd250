import { lineCount, textHeight, type FitSpec, type Height } from '../../layout'
import { arrangementGroup, lookGroup, moreGroup, pictureShapeGroup, PROFILE } from '../groups'
import type { Box, View } from '../kind'
import type { PhotoWallSettings } from './settings'
import { wallOf, type PhotoWall, type ShownPost } from './view'

/** Px and multiples that css.ts sets; e2e/fit.spec.ts holds the two together. */
export const SIZES = {
  heading: { size: 20, line: 1.2, below: 12 },
  description: { size: 14.5, line: 1.5 },
  caption: { size: 13.5, line: 18 },
  counts: { size: 12.5, line: 17 },
  above: 6,
}
/** Px: a picture smaller than this shows nothing. */
const PICTURE_MIN = 84
const WITH_WORDS_MIN = 120

export const wallFit = (settings: PhotoWallSettings): FitSpec =>
  arrangementGroup.fit(settings, {
    padding: lookGroup.padding(settings),
    cellMin: settings.caption === 'below' ? WITH_WORDS_MIN : PICTURE_MIN,
    relief: settings.caption === 'below' ? 'leave out the captions' : undefined,
  })

export const box: Box<PhotoWallSettings> = {
  one: 'a picture',
  fit: wallFit,
  extra: arrangementGroup.extra,
  height(view: View<PhotoWallSettings>, width: number): number {
    const { settings } = view
    const wall = wallOf(view)
    const spec = wallFit(settings)
    const shown = wall.posts.slice(0, moreGroup.step(settings))
    const body = arrangementGroup.height(settings, spec, width, () => postHeights(shown, settings))
    const button = shown.length < wall.posts.length ? moreGroup.height : 0
    return Math.ceil(above(wall, settings, width - 2 * spec.padding) + body + button + 2 * spec.padding)
  },
}

/** How high each post is; its caption takes as many whole lines as it needs, up to those that were asked for. */
export const postHeights = (posts: readonly ShownPost[], settings: PhotoWallSettings): Height[] =>
  posts.map((post) => ({
    ratio: pictureShapeGroup.heightOf(settings, post.picture),
    fixed: wordsHeight(captionLines(post, settings), settings.counts && post.counts.length > 0),
  }))

/** Px: a cell as most are; it decides how many lines a caption is kept, in whatever width it then stands. */
const usualCell = ({ layout, columns }: PhotoWallSettings) =>
  layout === 'list' || layout === 'one' ? 480 : Math.max(160, Math.min(480, 900 / columns))

/** Lines that are kept for a caption. */
export const captionLines = ({ caption }: ShownPost, settings: PhotoWallSettings): number =>
  settings.caption === 'below'
    ? Math.min(settings.captionLines, lineCount(caption.length, usualCell(settings), SIZES.caption.size))
    : 0

const wordsHeight = (lines: number, hasCounts: boolean): number =>
  (lines || hasCounts ? SIZES.above : 0) + lines * SIZES.caption.line + (hasCounts ? SIZES.counts.line : 0)

function above({ heading, description, profile }: PhotoWall, { header }: PhotoWallSettings, inner: number): number {
  const { heading: h, description: d } = SIZES
  return (
    (heading ? textHeight(heading.length, inner, h.size, h.line) + h.below : 0) +
    (description ? textHeight(description.length, inner, d.size, d.line) + h.below : 0) +
    (profile ? profileHeight(profile, header, inner) : 0)
  )
}

function profileHeight(
  { name, handle, bio, counts, picture }: NonNullable<PhotoWall['profile']>,
  header: string,
  inner: number,
) {
  if (header === 'button') return PROFILE.button + PROFILE.below
  const beside = header === 'line' && inner > 420
  const width = beside ? inner - PROFILE.picture - 130 : inner
  const lines =
    textHeight(name.length + handle.length + 1, width, PROFILE.name, PROFILE.line) +
    textHeight(bio.length, width, PROFILE.small, PROFILE.line) +
    (counts.length ? textHeight(counts.join(' · ').length, width, PROFILE.small, PROFILE.line) : 0)
  const face = picture ? PROFILE.picture : 0
  return (beside ? Math.max(face, lines, PROFILE.button) : face + lines + PROFILE.button + 20) + PROFILE.below
}
