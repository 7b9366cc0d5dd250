import type { PayloadBase } from '@pebblestrand/core/kinds'
import { render } from '../render'
import { loadFont } from './font'

/** Shows a payload in an element: a shadow root of its own, so that neither style sheet reaches the other. */
export function mount(element: HTMLElement, payload: PayloadBase, origin: string): void {
  const { html, css, font } = render(payload)
  if (!html) return
  const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' })
  if (font) loadFont(font, origin)
  root.innerHTML = `<style>${css}</style>${html}`
  element.dataset.pebblestrandRelease = String(payload.release)
}
