import type { PayloadBase } from '@pebblestrand/core/kinds'
import type { Renderer } from '../renderer'
import { headlines } from './headlines'

/** Every kind's renderer, by the kind's id. */
export const renderers: Record<string, Renderer<PayloadBase>> = { headlines: headlines as Renderer<PayloadBase> }
