import { inWindows, lookGroup, messageGroup, over, overPageGroup, type Stand } from '../groups'
import type { CentreDialogSettings } from './settings'

const places = { centre: 'center', top: 'start', bottom: 'end' } as const

const stand = ({ width, at, offset }: Stand<keyof typeof places>) =>
  `.w{max-width:${width}px}${over('', '.ov')}{align-items:${places[at]};${overPageGroup.css.edges(offset)}}`

/** The layer covers the window, so that a press beside the box is a press on the layer. */
const layer =
  overPageGroup.css.layer +
  `${over('', '.ov')}{overflow:auto;overscroll-behavior:contain}` +
  `${over('', '.ov[open]')}{display:flex;justify-content:center}`

export function centreDialogCss(settings: CentreDialogSettings): string {
  const { css } = overPageGroup
  return (
    css.shell +
    lookGroup.css(settings) +
    css.ground(settings) +
    css.padding(settings, '28px') +
    '.w{width:100%;margin:0 auto;overflow-wrap:anywhere;box-shadow:0 12px 48px #0004}' +
    layer +
    inWindows(settings, stand) +
    messageGroup.css(settings) +
    `.h{padding-inline-end:28px}` +
    css.backdrop(settings) +
    css.motion(settings)
  )
}
