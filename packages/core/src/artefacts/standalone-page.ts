import { escapeAttribute, escapeText } from '../markup'
import { pathTo } from '../wire'
import { widgetPage, type Surroundings } from './frame-page'
import type { Payload } from './payload'

/** Px that a page of one widget is wide at most, where its placement is narrower than a page. */
const LEAST_WIDTH = 480

/**
 * The page behind a widget's address: what the no-script link leads to, what editors put into a frame, and where they find how to
 * expand it (oEmbed 1.0, section 4, discovery).
 */
export function standalonePage(payload: Payload, around: Surroundings): string {
  const { origin, publicId, site } = around
  const own = origin + pathTo('link', publicId)
  const discovery = (['json', 'xml'] as const)
    .map((format) => {
      const address = `${origin}${pathTo('oembed')}?${new URLSearchParams({ url: own, format })}`
      return `<link rel="alternate" type="${types[format]}" href="${escapeAttribute(address)}" title="${escapeAttribute(payload.name)}">`
    })
    .join('')
  return widgetPage(payload, around, {
    robots: around.indexed ? 'index,follow' : 'noindex',
    head: `<link rel="canonical" href="${escapeAttribute(own)}">${discovery}`,
    css: `body{margin:0 auto;padding:clamp(0px,(100vw - 500px)*9999,24px);max-width:${Math.max(LEAST_WIDTH, Math.round(around.width))}px}@media (max-width:500px){.home{padding:0 8px 8px}}.home{margin:16px 0 0;font-size:14px}`,
    after: `<p class="home"><a href="${escapeAttribute(site.origin)}">${escapeText(site.name)}</a></p>`,
  })
}

const types = { json: 'application/json+oembed', xml: 'text/xml+oembed' } as const
