import { colour } from '../../markup'
import { lookGroup, ratingGroup } from '../groups'
import { PADDING, SIZE } from './box'
import type { RatingBadgeSettings } from './settings'

const shapes: Record<RatingBadgeSettings['shape'], string> = {
  line: 'display:inline-flex',
  pill: `display:inline-flex;border:${SIZE.border}px solid currentColor;border-radius:999px`,
  tile: `display:inline-grid;justify-items:center;text-align:center;border:${SIZE.border}px solid currentColor`,
}

// Sizes that box.ts counts with.
export function badgeCss(settings: RatingBadgeSettings): string {
  const [block, side] = PADDING[settings.shape]
  return (
    `:host{display:block}.w{${lookGroup.css(settings)};${shapes[settings.shape]};padding:${block}px ${side}px;max-width:100%;` +
    `flex-wrap:wrap;align-items:center;gap:2px 8px;font-size:${SIZE.text}px;color:${colour(settings.text) || 'inherit'};text-decoration:none` +
    `${settings.shape === 'tile' ? `;border-radius:${settings.radius}px` : ''}}.w:empty{display:none}` +
    `.w b{font-size:${SIZE.mean}px;line-height:${SIZE.meanLine}}a.w:hover{border-color:var(--a)}a.w:focus-visible{outline:2px solid var(--a);outline-offset:2px}` +
    ratingGroup.css(SIZE.star, colour(settings.starColour) || 'currentColor') +
    `.q{font-size:13.5px}`
  )
}
