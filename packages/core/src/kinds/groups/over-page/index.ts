import type { Presence, Rendered, RenderedFont, View } from '../../kind'
import type { PresenceRules } from '../../../presence'
import { usualAround } from '../../spoken'
import { backdropCss, edgesCss, groundCss, layerCss, motionCss, paddingCss, shellCss } from './css'
import { formGroup, type FormSettings } from '../form'
import { lookGroup, type LookSettings } from '../look'
import type { MessageSettings } from '../message'
import { presenceGroup, type PresenceSettings } from '../presence'
import { overPageHtml, type Said } from './html'
import { closeLabel } from './labels'
import { backdropShape, motionShape, standsShape, type MotionSettings } from './settings'

export { CLOSE, inWindows, over } from './css'
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
function overPageRendered(
  { context, settings }: View<{ motionMs: number; exit: string } & FormSettings>,
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
  return {
    ...drawn,
    behaviours: ['over', ...formGroup.behaviours(settings)],
    data: { over, ...formGroup.data(settings, context) },
    ...(more ? { more } : {}),
  }
}

type Whole = Said & MessageSettings & MotionSettings & PresenceSettings & LookSettings

/** What the kinds over a page have in common, once one says what its box is and how it looks. */
export function overPageFacets<S extends Whole>(shape: {
  tag: 'dialog' | 'section'
  className: string
  css(settings: S): string
  /** What it says beside its message, as HTML. */
  more?(view: View<S>): string
  /** At which edge the page makes room for it; left out: at none. */
  push?(settings: S): 'top' | 'bottom' | undefined
}) {
  const rulesOf = (settings: S) => (timeZone: string) => presenceGroup.rules(settings, timeZone)
  return {
    sample: () => ({ items: [], facts: {} }),
    render: (view: View<S>): Rendered => {
      const { tag, className, css, more, push } = shape
      const edge = push?.(view.settings)
      return overPageRendered(
        view,
        {
          html: overPageHtml(view, { tag, className, more: more?.(view) ?? '' }),
          css: css(view.settings) + formGroup.css(view.settings),
          font: lookGroup.font(view.settings),
        },
        { modal: tag === 'dialog', rules: rulesOf(view.settings), ...(edge ? { push: edge } : {}) },
      )
    },
    presence: (settings: S): Presence => ({ overPage: true, rules: rulesOf(settings) }),
    pictureAddresses: ({ picture }: S) => (picture ? [picture] : []),
    inside: ({ inside }: S) => inside || null,
    form: ({ fields }: S) => fields,
    pairs: lookGroup.pairs,
  }
}

/** Where, how and behind what something over the page stands. */
export const overPageGroup = {
  facets: overPageFacets,
  stands: standsShape,
  labels: closeLabel,
  backdrop: backdropShape,
  motion: motionShape,
  css: {
    shell: shellCss,
    motion: motionCss,
    backdrop: backdropCss,
    ground: groundCss,
    padding: paddingCss,
    layer: layerCss,
    edges: edgesCss,
  },
}
