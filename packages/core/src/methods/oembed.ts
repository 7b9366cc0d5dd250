import { escapeText } from '../markup'
import { pathTo } from '../wire'
import { frameElement, SLACK } from './frame-element'
import type { SnippetRequest } from './method'

/** What an editor may say of the room it has; px. */
export interface Room {
  maxWidth?: number
  maxHeight?: number
}

/** An answer of type `rich` (oEmbed 1.0, section 2.3.4.4). */
export interface OEmbed {
  type: 'rich'
  version: '1.0'
  title: string
  provider_name: string
  provider_url: string
  /** Seconds. */
  cache_age: number
  html: string
  width: number
  height: number
}

/** Seconds that an answer may be kept: a widget seldom changes its size. */
const CACHE_AGE = 3600

/** What stands behind a widget's address, no wider and no higher than was asked for (section 2.2, maxwidth and maxheight). */
export function oEmbedOf(request: SnippetRequest, { maxWidth = Infinity, maxHeight = Infinity }: Room): OEmbed {
  const width = Math.min(Math.round(request.width), maxWidth)
  // Narrower than planned it is as high as on a narrow window, as far as that is known.
  const { tablet, phone } = request.narrower ?? {}
  const grown = width < request.width ? Math.max(request.height, phone ?? tablet ?? request.height) : request.height
  const height = Math.min(Math.ceil(grown * SLACK), maxHeight)
  return {
    type: 'rich',
    version: '1.0',
    title: request.name,
    provider_name: request.agency,
    provider_url: request.origin,
    cache_age: CACHE_AGE,
    html: frameElement({
      src: request.origin + pathTo('frame', request.publicId),
      title: request.name,
      width,
      height,
      plays: request.plays,
      asks: request.asks,
    })
      .map((line) => line.trim())
      .join(' '),
    width,
    height,
  }
}

/** The same as XML (section 2.3.2): one element `oembed` with a child for each member. */
export const oEmbedXml = (answer: OEmbed): string =>
  `<?xml version="1.0" encoding="utf-8" standalone="yes"?>\n<oembed>\n${Object.entries(answer)
    .map(([name, value]) => `\t<${name}>${escapeText(withoutControls(String(value)))}</${name}>`)
    .join('\n')}\n</oembed>\n`

/** XML 1.0 knows no control characters, escaped or not (section 2.2). */
// eslint-disable-next-line no-control-regex -- those are meant
const withoutControls = (value: string) => value.toWellFormed().replace(/[\0-\x08\x0b\x0c\x0e-\x1f\ufffe\uffff]/g, '')
