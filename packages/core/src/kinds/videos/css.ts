import {
  arrangementGroup,
  elsewhereGroup,
  enlargeCss,
  headingGroup,
  keptLines,
  lookGroup,
  moreGroup,
  pictureShapeGroup,
} from '../groups'
import { widthAnsweringHost } from '../host-css'
import { filmHeights, filmsFit, sizesOf } from './box'
import type { VideosSettings } from './settings'
import type { ShownFilm } from './view'

// Sizes that box.ts counts with.
export function filmsCss(settings: VideosSettings, films: readonly ShownFilm[]): string {
  const { title, date, above } = sizesOf(settings)
  return (
    widthAnsweringHost +
    `${lookGroup.css(settings)}.w p{margin:0}` +
    headingGroup.css(settings) +
    elsewhereGroup.css +
    arrangementGroup.css(settings, filmsFit(settings), () => filmHeights(films, settings)) +
    `.c{min-width:0}.g{position:relative;display:block;width:100%;padding:0;border:0;background:#8882;color:inherit;font:inherit;text-align:inherit;border-radius:${settings.radius}px;overflow:hidden;cursor:pointer}.g:focus-visible{outline:2px solid var(--accent);outline-offset:2px}` +
    pictureShapeGroup.css(settings, '.p') +
    pictureShapeGroup.largeCss(settings, films[0]?.picture) +
    `.y{position:absolute;left:50%;top:50%;width:48px;height:48px;margin:-24px 0 0 -24px;border-radius:46% 54% 52% 48%/52% 46% 54% 48%;background:#000b;color:#fff;font:18px/48px sans-serif;text-align:center}.g:hover .y{background:var(--accent)}` +
    `.d{position:absolute;inset-inline-start:6px;top:6px;padding:0 6px;border-radius:4px;background:#000b;color:#fff;font:600 12px/20px sans-serif}` +
    `.w .t{margin:${above}px 0 0;font-weight:700}` +
    keptLines.css('t', title, settings.titleLines) +
    `.m{font-size:${date.size}px;line-height:${date.line}px;opacity:.8}` +
    moreGroup.css(settings.radius) +
    (settings.click === 'enlarge' ? enlargeCss : '')
  )
}
