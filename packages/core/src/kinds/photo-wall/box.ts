import { textHeight, type FitSpec, type Height } from '../../layout'
import {
  arrangementGroup,
  headingGroup,
  keptLines,
  lookGroup,
  partsHeight,
  pictureShapeGroup,
  PROFILE,
  profileGroup,
  usualCell,
} from '../groups'
import type { Box, View } from '../kind'
import type { PhotoWallSettings } from './settings'
import { wallOf, type PhotoWall, type ShownPost } from './view'

/** Px and multiples that css.ts sets; e2e/fit.spec.ts holds the two together. */
const SIZES = {
  caption: { of: 'text', size: 13.5, line: 18 },
  counts: { of: 'small', size: 12.5, line: 17 },
  above: 6,
} as const
export const sizesOf = (settings: PhotoWallSettings) => lookGroup.sizedAll(SIZES, settings)
/** Px: a picture smaller than this shows nothing. */
const PICTURE_MIN = 84
const WITH_WORDS_MIN = 120

export const wallFit = (settings: PhotoWallSettings): FitSpec =>
  arrangementGroup.fit(settings, {
    padding: lookGroup.inset(settings),
    cellMin: settings.caption === 'below' ? WITH_WORDS_MIN : PICTURE_MIN,
    relief: settings.caption === 'below' ? 'leave out the captions' : undefined,
  })

export const box: Box<PhotoWallSettings> = {
  one: 'a picture',
  fit: wallFit,
  extra: arrangementGroup.extra,
  relief: ({ caption }) =>
    caption === 'below' ? { words: 'Leave out the captions', change: { caption: 'none' } } : null,
  height(view: View<PhotoWallSettings>, width: number): number {
    const { settings } = view
    const wall = wallOf(view)
    const spec = wallFit(settings)
    const inner = width - 2 * spec.padding
    const { heading, description, profile } = wall
    const above =
      headingGroup.height(settings, heading, description, inner) +
      (profile ? profileHeight(profile, settings, inner) : 0)
    return Math.ceil(above + partsHeight(settings, spec, width, postHeights(wall.posts, settings)))
  },
}

/** How high each post is; its caption takes as many whole lines as it needs, up to those that were asked for. */
export const postHeights = (posts: readonly ShownPost[], settings: PhotoWallSettings): Height[] =>
  posts.map((post) => ({
    ratio: pictureShapeGroup.heightOf(settings, post.picture),
    fixed: wordsHeight(captionLines(post, settings), settings.counts && post.counts.length > 0, settings),
  }))

/** Lines that are kept for a caption. */
export const captionLines = ({ caption }: ShownPost, settings: PhotoWallSettings): number =>
  settings.caption === 'below'
    ? keptLines.count(caption, settings.captionLines, usualCell(settings), sizesOf(settings).caption)
    : 0

function wordsHeight(lines: number, hasCounts: boolean, settings: PhotoWallSettings): number {
  const { above, caption, counts } = sizesOf(settings)
  return (lines || hasCounts ? above : 0) + lines * caption.line + (hasCounts ? counts.line : 0)
}

function profileHeight(
  { name, handle, bio, counts, picture }: NonNullable<PhotoWall['profile']>,
  settings: PhotoWallSettings,
  inner: number,
) {
  const { header } = settings
  const { name: nameSize, small } = profileGroup.sizes(settings)
  if (header === 'button') return PROFILE.button + PROFILE.below
  const beside = header === 'line' && inner > 420
  const width = beside ? inner - PROFILE.picture - 130 : inner
  const lines =
    textHeight(name.length + handle.length + 1, width, nameSize.size, nameSize.line) +
    textHeight(bio.length, width, small.size, small.line) +
    (counts.length ? textHeight(counts.join(' · ').length, width, small.size, small.line) : 0)
  const face = picture ? PROFILE.picture : 0
  return (beside ? Math.max(face, lines, PROFILE.button) : face + lines + PROFILE.button + 20) + PROFILE.below
}
