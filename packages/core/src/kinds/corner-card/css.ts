import { inWindows, lookGroup, messageGroup, over, overPageGroup, type Stand } from '../groups'
import type { CornerCardSettings } from './settings'

type Corner = CornerCardSettings['desktop']['at']

function stand({ width, at, offset }: Stand<Corner>): string {
  const [block, inline] = at.split('-') as ['top' | 'bottom', 'start' | 'end']
  const other = { top: 'bottom', bottom: 'top', start: 'end', end: 'start' }
  return (
    `.w{max-width:${width}px}${over('', '.ov')}{${block}:max(${offset}px,env(safe-area-inset-${block}));${other[block]}:auto;` +
    `inset-inline-${inline}:${offset}px;inset-inline-${other[inline]}:auto;width:min(${width}px,100vw - ${2 * offset}px)}`
  )
}

export function cornerCardCss(settings: CornerCardSettings): string {
  const { css } = overPageGroup
  return (
    css.shell +
    lookGroup.css(settings) +
    css.ground(settings) +
    css.padding(settings, '20px') +
    '.w{width:100%;overflow-wrap:anywhere;box-shadow:0 4px 24px #0003}' +
    `${over('', '.ov')}{position:fixed;z-index:2147483000}${over('', '.w')}{max-height:calc(100dvh - 32px);overflow:auto}` +
    messageGroup.css(settings) +
    inWindows(settings, stand) +
    `.h{padding-inline-end:28px}.in{gap:10px}.pc{max-height:24vh;margin-bottom:12px}` +
    css.motion(settings)
  )
}
