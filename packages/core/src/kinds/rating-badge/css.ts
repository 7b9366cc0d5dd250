import { colour } from '../../markup'
import { lookGroup, ratingGroup } from '../groups'
import { ASIDE, PADDING, SIZE, STARS_WIDE } from './box'
import type { RatingBadgeSettings } from './settings'

const line = `border:${SIZE.border}px solid currentColor`
const shapes: Record<RatingBadgeSettings['shape'], string> = {
  line: 'display:inline-flex',
  pill: `display:inline-flex;${line};border-radius:999px`,
  tile: `display:inline-grid;grid-template-columns:minmax(0,auto);justify-items:center;text-align:center;${line}`,
  // As if the sea had been at it.
  stone: `display:inline-grid;grid-template-columns:minmax(0,auto);justify-items:center;align-content:center;text-align:center;${line};border-radius:58% 42% 47% 53%/46% 56% 44% 54%`,
}

/** Over the page, kept clear of the edges that a device takes for itself (CSS env variables, safe-area-inset). */
function floating({ stands, background }: RatingBadgeSettings): string {
  if (stands === 'here') return ''
  const side = stands === 'left' ? 'left' : 'right'
  const ground = colour(background) || '#fff'
  return (
    `.fl{position:fixed;z-index:2147483000;bottom:max(${ASIDE}px,env(safe-area-inset-bottom));${side}:max(${ASIDE}px,env(safe-area-inset-${side}));max-width:calc(100vw - ${2 * ASIDE}px)}` +
    `.fl .w{background:${ground};box-shadow:0 1px 6px #0003}` +
    `.fl .pn{bottom:100%;top:auto;margin-bottom:8px;${side}:0;${side === 'left' ? 'right' : 'left'}:auto}` +
    `.cx{position:absolute;top:-12px;${side === 'left' ? 'right' : 'left'}:-12px;width:26px;height:26px;padding:0;border:1px solid currentColor;border-radius:50%;background:${ground};color:inherit;font:16px/1 sans-serif;cursor:pointer}`
  )
}

const panel = ({ background, radius }: RatingBadgeSettings) =>
  `.pd{position:relative;display:inline-block;max-width:100%}summary{list-style:none;cursor:pointer}summary::-webkit-details-marker{display:none}` +
  `.v{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}` +
  `.pn{position:absolute;z-index:2147483000;top:100%;left:0;margin-top:8px;box-sizing:border-box;width:min(320px,calc(100vw - ${2 * ASIDE}px));max-height:min(420px,60vh);overflow:auto;padding:14px 16px;border:${SIZE.border}px solid currentColor;border-radius:${radius}px;background:${colour(background) || '#fff'};color:${colour(background) ? 'inherit' : '#1d2b34'};font-size:14px;line-height:1.5;text-align:start}` +
  `.pn ul{list-style:none;margin:0;padding:0;display:grid;gap:12px}.pn p{margin:2px 0 0}`

/** In a narrow place the stars are smaller: five of them always fit. Only their own box answers to a width, so that the badge is as wide as its words wherever it stands. */
const stars = `.sb{display:block;width:${STARS_WIDE * SIZE.star}px;max-width:100%;container-type:inline-size;line-height:0}.sb .s{font-size:min(${SIZE.star}px,calc(100cqw/${STARS_WIDE}))}`

// Sizes that box.ts counts with.
export function badgeCss(settings: RatingBadgeSettings): string {
  const [block, side] = PADDING[settings.shape]
  return (
    `:host{display:block;max-width:100%}.w{${lookGroup.css(settings)};${shapes[settings.shape]};padding:${block}px ${side}px;max-width:100%;` +
    `flex-wrap:wrap;align-items:center;gap:2px 8px;font-size:${SIZE.text}px;color:${colour(settings.text) || 'inherit'};text-decoration:none` +
    `${settings.shape === 'tile' ? `;border-radius:${settings.radius}px` : ''}}.w:empty{display:none}` +
    `.w b{font-size:${SIZE.mean}px;line-height:${SIZE.meanLine}}a.w:hover,summary.w:hover{border-color:var(--a)}:focus-visible{outline:2px solid var(--a);outline-offset:2px}` +
    `.i{width:${SIZE.picture}px;height:${SIZE.picture}px;border-radius:50%;object-fit:cover;display:block}` +
    ratingGroup.css(SIZE.star, colour(settings.starColour) || 'currentColor') +
    stars +
    `.q{font-size:13.5px}` +
    floating(settings) +
    (settings.click === 'panel' ? panel(settings) : '')
  )
}
