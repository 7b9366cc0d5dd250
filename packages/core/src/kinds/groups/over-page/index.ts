import type { Rendered, RenderedFont, View } from '../../kind'
import type { PresenceRules } from '../../../presence'
import { usualAround } from '../../spoken'
import { backdropCss, groundCss, motionCss, paddingCss, shellCss } from './css'
import { overPageHtml } from './html'
import { closeLabel } from './labels'
import { backdropShape, motionShape, standsShape } from './settings'

export { CLOSE, over, windows } from './css'
export type { BackdropSettings, MotionSettings, Stand } from './settings'

/** What a visitor's browser is told of something over the page (packages/widget/src/over). */
export interface OverData {
  /** `modal`: the page behind it is not usable meanwhile. */
  modal: boolean
  rules: PresenceRules
  /** IANA, of the site. */
  timeZone: string
  /** Of a bar: at which edge the page makes room for it; left out where it covers the page. */
  push?: 'top' | 'bottom'
  /** A widget in it, as it is shown there. */
  inside?: Omit<Rendered, 'more'>
  /** Milliseconds that it takes to go. */
  goesIn: number
}

/** Rendered, with what its behaviour is told. A widget in it brings its later parts along as its own. */
export function overPageRendered(
  { context, settings }: View<{ motionMs: number; exit: string }>,
  drawn: { html: string; css: string; font: RenderedFont | null },
  told: Omit<OverData, 'timeZone' | 'inside' | 'goesIn' | 'rules'> & { rules(timeZone: string): PresenceRules },
): Rendered {
  const { timeZone } = context.around ?? usualAround
  const { more, ...inside } = context.inside ?? { more: undefined }
  const over: OverData = {
    ...told,
    rules: told.rules(timeZone),
    timeZone,
    goesIn: settings.exit === 'none' ? 0 : settings.motionMs,
    ...(context.inside ? { inside: inside as OverData['inside'] } : {}),
  }
  return { ...drawn, behaviours: ['over'], data: { over }, ...(more ? { more } : {}) }
}

/** Where, how and behind what something over the page stands. */
export const overPageGroup = {
  stands: standsShape,
  labels: closeLabel,
  backdrop: backdropShape,
  motion: motionShape,
  html: overPageHtml,
  rendered: overPageRendered,
  css: { shell: shellCss, motion: motionCss, backdrop: backdropCss, ground: groundCss, padding: paddingCss },
}
