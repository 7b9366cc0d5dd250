import { fontList, type SiteLook } from '../look'
import { colour, cssUrl, escapeAttribute, escapeText } from '../markup'
import { pathTo } from '../wire'
import type { Payload } from './payload'

/** Where a page of ours stands: the address it loads from, and the look of the site around it. */
export interface Surroundings {
  origin: string
  publicId: string
  look: SiteLook | null
}

/** The whole page a frame shows, and the one behind the no-script link. Only a widget with behaviours brings the script. */
export function framePage(payload: Payload, { origin, publicId, look }: Surroundings): string {
  const { html, css, font, behaviours, data } = payload
  const faces = [
    ...(font ? [face(font.family, origin + pathTo('font', font.file), '200 900')] : []),
    ...(look?.fontFaces ?? []).map((f) => face(f.family, f.src, f.weight)),
  ].join('')
  const body = look
    ? `font-family:${fontList(look.bodyFont)};color:${colour(look.text) || '#1d2b34'}`
    : 'font-family:system-ui,sans-serif;color:#1d2b34'
  const alive = behaviours.length
    ? ` data-pebblestrand-page="${escapeAttribute(JSON.stringify({ id: publicId, behaviours, data }))}"`
    : ''
  return (
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">` +
    `<meta name="robots" content="noindex"><title>${escapeText(payload.name)}</title>` +
    `<style>${faces}body{margin:0;${body}}${css.replaceAll(':host', '#widget')}</style></head>` +
    `<body><div id="widget"${alive}>${html}</div>` +
    (alive ? `<script async src="${escapeAttribute(origin + pathTo('script'))}"></script>` : '') +
    `</body></html>`
  )
}

const face = (family: string, src: string, weight: string) =>
  cssUrl(src)
    ? `@font-face{font-family:${fontList(`"${family}"`)};src:url("${cssUrl(src)}") format("woff2");font-weight:${/^[1-9]\d{0,2}( [1-9]\d{0,2})?$/.test(weight) ? weight : 'normal'};font-display:swap}`
    : ''
