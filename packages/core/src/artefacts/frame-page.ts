import { fontList, type SiteLook } from '../look'
import { colour, cssUrl, escapeAttribute, escapeText } from '../markup'
import { pathTo } from '../wire'
import { onSite } from './on-site'
import { languageOf, type Payload } from './payload'

/** Where what an install serves stands: the address it loads from, the look of the site around it, and how its snippet is written. */
export interface Surroundings {
  origin: string
  publicId: string
  look: SiteLook | null
  /** The site it stands on. */
  site: { name: string; origin: string }
  /** Px in its placement. */
  width: number
  height: number
  narrower?: { tablet?: number; phone?: number }
  agency: string
  /** Whether the page behind its address may stand in search engines. */
  indexed: boolean
}

/** What differs between our pages. */
interface PageShape {
  robots: string
  /** More of the head, ready to be written. */
  head?: string
  /** Of the body and what is around the widget. */
  css: string
  after?: string
}

/**
 * In a frame, tells the page around it how high it is, whenever that changes and when it is asked; packages/widget/src/frame-heights.ts
 * listens. It says nothing else, and so it may be said to anyone.
 */
export const TELLS_HEIGHT =
  `if(parent!==self){const e=document.documentElement,t=()=>parent.postMessage({pebblestrandHeight:Math.ceil(e.getBoundingClientRect().height)},"*");` +
  `new ResizeObserver(t).observe(e);addEventListener("message",({source,data})=>{if(source===parent&&data==="pebblestrand-height")t()})}`

/** The whole page a frame shows. Only a widget with behaviours brings the script. */
export const framePage = (payload: Payload, around: Surroundings): string =>
  widgetPage(payload, around, { robots: 'noindex', css: 'body{margin:0}' })

/** A widget as a page of its own. */
export function widgetPage(payload: Payload, { origin, publicId, look, site }: Surroundings, shape: PageShape): string {
  const { html: written, css, font, behaviours, data } = sentTo(onSite(payload, look), { origin, publicId })
  const html = linksOfSite(written, site.origin)
  const faces = [
    ...(font
      ? [font, ...font.more].map(({ file, range }) =>
          face(font.family, origin + pathTo('font', file), '100 900', range),
        )
      : []),
    ...(look?.fontFaces ?? []).map((f) => face(f.family, f.src, f.weight)),
  ].join('')
  const body = look
    ? `font-family:${fontList(look.bodyFont)};color:${colour(look.text) || '#1d2b34'}`
    : 'font-family:system-ui,sans-serif;color:#1d2b34'
  const alive = behaviours.length
    ? ` data-pebblestrand-page="${escapeAttribute(JSON.stringify({ id: publicId, behaviours, data }))}"`
    : ''
  return (
    `<!doctype html><html lang="${languageOf(html)}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">` +
    `<meta name="robots" content="${shape.robots}"><title>${escapeText(payload.name)}</title>${shape.head ?? ''}` +
    `<style>${faces}body{${body}}${shape.css}${css.replaceAll(':host', '#widget')}</style></head>` +
    `<body><div id="widget"${alive}>${html}</div>` +
    (alive ? `<script async src="${escapeAttribute(origin + pathTo('script'))}"></script>` : '') +
    `${shape.after ?? ''}<script>${TELLS_HEIGHT}</script></body></html>`
  )
}

/** A page of the site, in a link on a page of ours: `/orders` is theirs. Attributes are escaped: no text has a quote in it. */
const linksOfSite = (html: string, siteOrigin: string): string =>
  html.replace(
    /(<a\b[^>]*?\shref=")(\/(?!\/)[^"]*")/g,
    (_, before: string, path: string) => before + escapeAttribute(siteOrigin) + path,
  )

/** On a page of ours a form is sent without a script too: says where. */
const sentTo = (payload: Payload, { origin, publicId }: Pick<Surroundings, 'origin' | 'publicId'>): Payload =>
  payload.data.form
    ? {
        ...payload,
        html: payload.html.replace(
          'method="post"',
          `method="post" action="${escapeAttribute(`${origin}${pathTo('form', publicId)}?r=${payload.release}`)}"`,
        ),
      }
    : payload

const face = (family: string, src: string, weight: string, range = '') =>
  cssUrl(src)
    ? `@font-face{font-family:${fontList(`"${family}"`)};src:url("${cssUrl(src)}") format("woff2");font-weight:${/^[1-9]\d{0,2}( [1-9]\d{0,2})?$/.test(weight) ? weight : 'normal'};font-display:swap${range ? `;unicode-range:${range}` : ''}}`
    : ''
