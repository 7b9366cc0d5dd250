import type { PayloadBase } from '@pebblestrand/core/kinds'
import { render } from '../render'

/** Shows a payload in an element: a shadow root of its own, so that neither style sheet reaches the other. */
export function mount(element: HTMLElement, payload: PayloadBase, origin: string): void {
  const { html, css, font } = render(payload)
  if (!html) return
  const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' })
  if (font) loadFont(font.family, `${origin}/fonts/${font.file}`)
  root.innerHTML = `<style>${css}</style>${html}`
  element.dataset.pebblestrandRelease = String(payload.release)
}

/** A shadow root cannot bring fonts of its own; the document takes them, each once. */
function loadFont(family: string, src: string): void {
  for (const face of document.fonts) if (face.family.replace(/"/g, '') === family) return
  const face = new FontFace(family, `url(${src})`, { weight: '200 900', display: 'swap' })
  document.fonts.add(face)
  face.load().catch(() => {}) // the fallback face stays
}
