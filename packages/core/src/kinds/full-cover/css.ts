import { inWindows, lookGroup, messageGroup, over, overPageGroup, type Stand } from '../groups'
import type { FullCoverSettings } from './settings'

const places = { centre: 'center', top: 'start', bottom: 'end' } as const

const stand = ({ width, at, offset }: Stand<keyof typeof places>) =>
  `.w>.pc,.w>picture,.in{max-width:${width}px}.w.pp{grid-template-columns:minmax(0,${width / 2}px) minmax(0,${width / 2}px)}` +
  `${over('', '.w')}{align-content:${places[at]};${overPageGroup.css.edges(offset)}}`

const layer =
  overPageGroup.css.layer +
  `${over('', '.w')}{height:100%;overflow:auto;overscroll-behavior:contain;border-radius:0}` +
  `${over('', '.cx')}{position:fixed;inset-block-start:max(12px,env(safe-area-inset-top));inset-inline-end:max(12px,env(safe-area-inset-right))}`

/** It is the box itself that covers the page; what is behind it needs no backdrop of its own. */
export function fullCoverCss(settings: FullCoverSettings): string {
  const { css } = overPageGroup
  return (
    css.shell +
    lookGroup.css(settings) +
    css.ground(settings) +
    css.padding(settings, '32px') +
    '.w{display:grid;justify-content:center;gap:20px;width:100%;overflow-wrap:anywhere}.w>.pc,.w>picture,.in{width:100%}.pc{margin-bottom:0}' +
    layer +
    messageGroup.css(settings) +
    inWindows(settings, stand) +
    '.ov::backdrop{background:none}' +
    css.motion(settings)
  )
}
