import { address, escapeAttribute, escapeText, linkTarget } from '../../markup'
import {
  arrangementGroup,
  clickGroup,
  elsewhereGroup,
  headingGroup,
  largest,
  moreGroup,
  profileGroup,
  type Enlarged,
} from '../groups'
import type { View } from '../kind'
import { outermost } from '../outermost'
import { pictureHtml } from '../picture-html'
import { captionLines } from './box'
import type { PhotoWallSettings } from './settings'
import type { PhotoWall, ShownPost } from './view'

/** Px: a picture across a cell, as wide as most are, and one that stands alone. */
const WIDTHS = { cell: 320, alone: 800 }

/** @param shown those that are there at once */
export function wallHtml(
  { settings, context }: View<PhotoWallSettings>,
  wall: PhotoWall,
  shown: readonly ShownPost[],
): string {
  const { heading, description, link, profile, posts } = wall
  return outermost(
    settings,
    context,
    headingGroup.html(heading, description) +
      (profile ? profileGroup.html(settings.header, profile, settings.labels) : '') +
      arrangementGroup.html(settings, cells(shown, settings), heading || context.widgetName, settings.labels) +
      (shown.length < posts.length ? moreGroup.button(settings.labels.more) : '') +
      elsewhereGroup.html(link),
  )
}

/** @param from number of the first */
export const cells = (posts: readonly ShownPost[], settings: PhotoWallSettings, from = 0): string =>
  posts.map((post, at) => cell(post, settings, from + at)).join('')

function cell(post: ShownPost, settings: PhotoWallSettings, at: number): string {
  const alone = settings.layout === 'one' || settings.layout === 'list'
  const isLarge = settings.layout === 'large-first' && at === 0
  const inner =
    pictureHtml(post.picture, {
      className: 'p',
      part: 'picture',
      width: alone || isLarge ? WIDTHS.alone : WIDTHS.cell,
      sized: settings.ratio === 'own',
    }) +
    (post.sort
      ? `<span class="s" part="mark"><span aria-hidden="true">${post.pictures.length > 1 ? post.pictures.length : '▷'}</span></span>`
      : '') +
    layer(post, settings)
  const lines = captionLines(post, settings)
  return (
    `<li class="c" part="item">${around(inner, post, settings, at)}` +
    (lines ? `<p part="caption" class="x x${lines}" dir="auto">${escapeText(post.caption)}</p>` : '') +
    (settings.counts && post.counts.length
      ? `<p class="n" part="counts">${escapeText(post.counts.join(' · '))}</p>`
      : '') +
    `</li>`
  )
}

/** What the layer under the pointer says; it is said aloud by the post's name already. */
function layer({ caption, counts }: ShownPost, { hover }: PhotoWallSettings): string {
  const words = [
    hover === 'caption' || hover === 'both' ? caption : '',
    hover === 'counts' || hover === 'both' ? counts.join(' · ') : '',
  ].filter(Boolean)
  return words.length
    ? `<span class="v" part="layer" aria-hidden="true">${words.map((one) => `<span dir="auto">${escapeText(one)}</span>`).join('')}</span>`
    : ''
}

/** What a click does: an own link before all, else as the settings say. Without the script an enlarged one is its original. */
function around(inner: string, post: ShownPost, settings: PhotoWallSettings, at: number): string {
  const named = [post.name, post.sort, post.picture.alt].filter(Boolean).join(', ')
  const own = linkTarget(post.own ?? '')
  if (own)
    return `<a class="g" href="${own}" ${clickGroup.attributes(settings)} aria-label="${escapeAttribute(named)}">${inner}</a>`
  const href = address(post.original)
  if (settings.click === 'nothing' || (!href && settings.click === 'original')) return `<div class="g">${inner}</div>`
  if (settings.click === 'original')
    return `<a class="g" href="${href}" ${clickGroup.attributes(settings)} aria-label="${escapeAttribute(named)}">${inner}</a>`
  const name = escapeAttribute(`${settings.labels.open}: ${named}`)
  return href
    ? `<a class="g" href="${href}" target="_blank" rel="noopener" data-en="${at}" aria-label="${name}">${inner}</a>`
    : `<button type="button" class="g" data-en="${at}" aria-label="${name}">${inner}</button>`
}

export const enlargedOf = ({ pictures, picture, caption, original }: ShownPost): Enlarged => ({
  pictures: pictures.map((one, at) => largest(at === 0 ? { ...one, alt: picture.alt } : one)),
  caption,
  lang: '',
  link: original ?? '',
})
