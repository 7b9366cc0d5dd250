import { parseHtml } from '../../html'
import { SourceError } from '../source-error'
import type { ReadSource, SourceKind } from '../source-kind'
import { pastedAddress } from '../pasted'
import { jsonLdThings } from './json-ld'
import { markedUpThings, microdata, rdfa } from './markup'
import { reviewsIn } from './reviews'

/** Reviews that any page marks up for others to read: JSON-LD, microdata, RDFa Lite, in the vocabulary of schema.org. */
export const structuredData: SourceKind = {
  id: 'structured-data',
  name: 'Page with marked-up reviews',
  gives: ['review'],
  interval: 10,
  keeps: 500,
  recognise: (pasted) => pastedAddress(pasted),
  document: {
    accept: 'text/html,application/xhtml+xml;q=0.9,*/*;q=0.5',
    read: readMarkedUp,
    discover: () => [],
    usualAddresses: () => [],
  },
}

function readMarkedUp(text: string, base: string | null): ReadSource {
  const $ = parseHtml(text)
  const written = [
    ['json-ld', jsonLdThings($)],
    ['microdata', markedUpThings($, microdata, base)],
    ['rdfa', markedUpThings($, rdfa, base)],
  ] as const
  const found = written.map(([format, things]) => ({ format, ...reviewsIn(things, base) }))
  // A page that writes the same in two ways is read in the one that says more.
  const best = found.reduce((a, b) => (b.reviews.length > a.reviews.length ? b : a))
  if (!best.reviews.length && !best.rating && !found.some(({ rating }) => rating)) throw new SourceError('no-reviews')
  const title = $('head > title').first().text().replace(/\s+/g, ' ').trim()
  return {
    format: best.format,
    title: best.name || title,
    link: base,
    language: $('html').attr('lang') ?? null,
    rating: best.rating ?? found.find(({ rating }) => rating)?.rating ?? null,
    picture: best.picture,
    entries: best.reviews,
  }
}
