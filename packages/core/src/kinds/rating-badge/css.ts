import { lookGroup, ratingGroup } from '../groups'
import { ASIDE, borderOf, PADDING, PICTURE, sizesOf, STAR, STARS_WIDE } from './box'
import type { RatingBadgeSettings } from './settings'

const below = 'display:inline-grid;grid-template-columns:minmax(0,auto);justify-items:center;text-align:center'
const shapes: Record<RatingBadgeSettings['shape'], string> = {
  line: 'display:inline-flex',
  pill: 'display:inline-flex;border-radius:999px',
  tile: below,
  // As if the sea had been at it.
  stone: `${below};align-content:center;border-radius:58% 42% 47% 53%/46% 56% 44% 54%`,
}

/** What lies over other things has a ground of its own: dark on white, where the badge has none. */
const ground = ({ theme, background }: RatingBadgeSettings) =>
  theme === 'own' && !background
    ? { background: '#fff', text: '#1d2b34' }
    : { background: 'var(--background)', text: 'var(--text)' }

/** Over the page, kept clear of the edges that a device takes for itself (CSS env variables, safe-area-inset). */
function floating(settings: RatingBadgeSettings): string {
  if (settings.stands === 'here') return ''
  const [side, other] = settings.stands === 'left' ? ['left', 'right'] : ['right', 'left']
  const { background, text } = ground(settings)
  return (
    `.fl{position:fixed;z-index:2147483000;bottom:max(${ASIDE}px,env(safe-area-inset-bottom));${side}:max(${ASIDE}px,env(safe-area-inset-${side}));max-width:calc(100vw - ${2 * ASIDE}px)}` +
    `.fl .w{background:${background};color:${text};box-shadow:0 1px 6px #0003}` +
    `.fl .pn{bottom:100%;top:auto;margin-bottom:8px;${side}:0;${other}:auto}` +
    `.cx{position:absolute;top:-12px;${other}:-12px;width:26px;height:26px;padding:0;border:1px solid currentColor;border-radius:50%;background:${background};color:${text};font:16px/1 sans-serif;cursor:pointer}`
  )
}

function panel(settings: RatingBadgeSettings): string {
  const { background, text } = ground(settings)
  return (
    `.pd{position:relative;display:inline-block;max-width:100%}summary{list-style:none;cursor:pointer}summary::-webkit-details-marker{display:none}` +
    `.v{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}` +
    `.pn{position:absolute;z-index:2147483000;top:100%;inset-inline-start:0;margin-top:8px;box-sizing:border-box;width:min(320px,calc(100vw - ${2 * ASIDE}px));max-height:min(420px,60vh);overflow:auto;padding:14px 16px;border:1px solid var(--border);border-radius:${settings.radius}px;background:${background};color:${text};font-size:14px;line-height:1.5;text-align:start}` +
    `.pn ul{list-style:none;margin:0;padding:0;display:grid;gap:12px}.pn p{margin:2px 0 0}`
  )
}

/** In a narrow place the stars are smaller: five of them always fit. Only their own box answers to a width, so that the badge is as wide as its words wherever it stands. */
const stars = `.sb{display:block;width:${STARS_WIDE * STAR}px;max-width:100%;container-type:inline-size;line-height:0}.sb .s{font-size:min(${STAR}px,calc(100cqw/${STARS_WIDE}))}`

// Sizes that box.ts counts with.
export function badgeCss(settings: RatingBadgeSettings): string {
  const [block, side] = PADDING[settings.shape]
  const { text, mean, count } = sizesOf(settings)
  const edge = borderOf(settings)
  return (
    `:host{display:block;max-width:100%}${lookGroup.css(settings)}${lookGroup.variables('.pn,.cx', settings)}` +
    `.w{${shapes[settings.shape]};padding:${block}px ${side}px;max-width:100%;flex-wrap:wrap;align-items:center;gap:2px 8px;font-size:${text.size}px;text-decoration:none` +
    `${settings.theme === 'own' && !settings.text ? ';color:inherit' : ''}${edge ? `;border:${edge}px solid ${settings.borderWidth || settings.border ? 'var(--border)' : 'currentColor'}` : ''}` +
    `${settings.shape === 'tile' ? `;border-radius:${settings.radius}px` : ''}}.w:empty{display:none}` +
    `.w b{font-size:${mean.size}px;line-height:${mean.line}}a.w:hover,summary.w:hover{border-color:var(--hover)}:focus-visible{outline:2px solid var(--accent);outline-offset:2px}` +
    `.i{width:${PICTURE}px;height:${PICTURE}px;border-radius:50%;object-fit:cover;display:block}` +
    ratingGroup.css(STAR, 'var(--star)') +
    stars +
    `.q{font-size:${count.size}px}` +
    floating(settings) +
    (settings.click === 'panel' ? panel(settings) : '')
  )
}
