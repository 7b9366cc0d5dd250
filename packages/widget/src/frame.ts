import type { PayloadBase } from '@pebblestrand/core/kinds'
import type { SiteLook } from '@pebblestrand/core/look'
import { escape } from './markup'
import { render } from './render'

/** CSS text for a declaration's value: nothing that could end the declaration or the style element. */
const cssValue = (value: string) => value.replace(/[;{}<>\\]/g, '')
const cssUrl = (value: string) =>
  /^https?:\/\//i.test(value) ? encodeURI(decodeURI(value)).replace(/["'()\\]/g, encodeURIComponent) : ''

/** The whole page a frame shows, and the one behind the no-script link. It needs no script. */
export function frameDocument(payload: PayloadBase, origin: string, look: SiteLook | null): string {
  const { html, css, font } = render(payload)
  const faces = [
    ...(font ? [face(font.family, `${origin}/fonts/${font.file}`, '200 900')] : []),
    ...(look?.fontFaces ?? []).map((f) => face(f.family, f.src, f.weight)),
  ].join('')
  const body = look
    ? `font-family:${cssValue(look.bodyFont)};color:${cssValue(look.text)}`
    : 'font-family:system-ui,sans-serif;color:#1d2b34'
  return (
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">` +
    `<meta name="robots" content="noindex"><title>${escape(payload.name)}</title>` +
    `<style>${faces}body{margin:0;${body}}${css.replaceAll(':host', '#pebblestrand')}</style></head>` +
    `<body><div id="pebblestrand">${html}</div></body></html>`
  )
}

const face = (family: string, src: string, weight: string) =>
  cssUrl(src)
    ? `@font-face{font-family:"${cssValue(family).replace(/"/g, '')}";src:url("${cssUrl(src)}") format("woff2");font-weight:${cssValue(weight)};font-display:swap}`
    : ''
