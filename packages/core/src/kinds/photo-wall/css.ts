import { readableOn } from '../../look'
import { colour } from '../../markup'
import {
  arrangementGroup,
  elsewhereGroup,
  enlargeCss,
  headingGroup,
  keptLines,
  lookGroup,
  moreGroup,
  pictureShapeGroup,
  profileGroup,
} from '../groups'
import { widthAnsweringHost } from '../host-css'
import { postHeights, sizesOf, wallFit } from './box'
import type { PhotoWallSettings } from './settings'
import type { ShownPost } from './view'

// Sizes that box.ts counts with.
export function wallCss(settings: PhotoWallSettings, posts: readonly ShownPost[]): string {
  const { caption, counts } = sizesOf(settings)
  return (
    widthAnsweringHost +
    `${lookGroup.css(settings)}.w p{margin:0}` +
    headingGroup.css(settings) +
    elsewhereGroup.css +
    profileGroup.css(settings) +
    arrangementGroup.css(settings, wallFit(settings), () => postHeights(posts, settings)) +
    `.c{min-width:0}.g{position:relative;display:block;width:100%;padding:0;border:0;background:#8882;color:inherit;font:inherit;text-align:inherit;border-radius:${settings.radius}px;overflow:hidden}` +
    `button.g,a.g{cursor:pointer}.g:focus-visible{outline:2px solid var(--accent);outline-offset:2px}` +
    pictureShapeGroup.css(settings, '.p') +
    pictureShapeGroup.largeCss(settings, posts[0]?.picture) +
    `.w .x{margin-top:${sizesOf(settings).above}px}` +
    keptLines.css('x', caption, settings.captionLines) +
    `.n{font-size:${counts.size}px;line-height:${counts.line}px;opacity:.8;white-space:nowrap;overflow:hidden;text-overflow:ellipsis}.w .n{margin-top:${sizesOf(settings).above}px}.w .x + .n{margin-top:0}` +
    `.s{position:absolute;top:6px;inset-inline-end:6px;min-width:22px;padding:0 5px;border-radius:11px;background:#000b;color:#fff;font:600 12px/22px sans-serif;text-align:center}` +
    hoverCss(settings) +
    moreGroup.css(settings.radius) +
    (settings.click === 'enlarge' ? enlargeCss : '')
  )
}

/** A layer that comes with the pointer or the focus; where there is no pointer, a press enlarges or opens at once. */
function hoverCss({ hover, hoverColour, hoverOpacity }: PhotoWallSettings): string {
  if (hover === 'none') return ''
  const ground = colour(hoverColour) || '#1d2b34'
  return (
    `.v{position:absolute;inset:0;display:flex;flex-direction:column;justify-content:end;gap:4px;padding:10px 12px;overflow:hidden;background:color-mix(in srgb,${ground} ${hoverOpacity}%,transparent);color:${readableOn(ground)};font-size:13px;line-height:18px;opacity:0;transition:opacity .15s}` +
    `.v span{display:-webkit-box;-webkit-box-orient:vertical;-webkit-line-clamp:4;overflow:hidden;overflow-wrap:anywhere}.g:focus-visible .v{opacity:1}@media (hover:hover){.g:hover .v{opacity:1}}@media (prefers-reduced-motion:reduce){.v{transition:none}}`
  )
}
