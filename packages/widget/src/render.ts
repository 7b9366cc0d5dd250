import type { PayloadBase } from '@pebblestrand/core/kinds'
import { renderers } from './kinds/list'
import type { Rendered } from './renderer'

/** A payload of any kind to HTML and CSS. An unknown kind gives nothing: an old script meets a new kind. */
export function render(payload: PayloadBase): Rendered {
  return renderers[payload.kind]?.(payload) ?? { html: '', css: '', font: null }
}
