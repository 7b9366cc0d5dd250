import type { Rendered } from '@pebblestrand/core/kinds'
import { adopt } from './adopt'
import { loadFont } from './font'
import { trusted } from './trusted'

/** Puts what was rendered into an element: a shadow root of its own, so that neither style sheet reaches the other. */
export function show(
  element: HTMLElement,
  { html, css, font }: Pick<Rendered, 'html' | 'css' | 'font'>,
  origin: string,
) {
  const root = element.shadowRoot ?? element.attachShadow({ mode: 'open' })
  if (font) loadFont(font, origin)
  root.innerHTML = trusted(html)
  adopt(root, css)
  return root
}
