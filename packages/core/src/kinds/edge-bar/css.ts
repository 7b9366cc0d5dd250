import { CLOSE, lookGroup, messageGroup, over, overPageGroup } from '../groups'
import type { EdgeBarSettings } from './settings'

const places = { centre: 'center', start: 'flex-start', spread: 'space-between' } as const

/** Kept clear of what a device's edges take for themselves. */
function stand({ edge, stays }: EdgeBarSettings): string {
  const fixed = stays === 'stays'
  // At the end of the page it lies where the page ends, whatever is in sight.
  const position = fixed ? 'fixed' : edge === 'top' ? 'absolute' : 'relative'
  const other = edge === 'top' ? 'bottom' : 'top'
  return (
    `${over('', '.ov')}{position:${position};z-index:2147483000;inset-inline:0;${edge}:0;${other}:auto;width:auto}` +
    `${over('', '.w')}{padding-${edge}:max(8px,env(safe-area-inset-${edge}))}`
  )
}

export function edgeBarCss(settings: EdgeBarSettings): string {
  const { css } = overPageGroup
  return (
    css.shell +
    lookGroup.css(settings) +
    css.ground(settings) +
    css.padding(settings, `8px ${CLOSE + 8}px`) +
    `.w{min-height:${CLOSE}px;border-radius:0;overflow-wrap:anywhere}` +
    stand(settings) +
    messageGroup.css(settings) +
    `.in{display:flex;flex-wrap:wrap;align-items:center;justify-content:${places[settings.align]};gap:6px 20px;max-width:${settings.contentWidth}px;min-height:${CLOSE - 16}px;margin:0 auto}` +
    '.h{font-size:inherit}.tx>*{display:inline;margin:0}.b{min-height:34px;padding:4px 14px}' +
    '.cd{margin:0;font-variant-numeric:tabular-nums;font-weight:700}' +
    `${over('', '.cx')}{inset-block-start:auto;inset-block-end:0;height:100%;max-height:60px}` +
    css.motion(settings)
  )
}
