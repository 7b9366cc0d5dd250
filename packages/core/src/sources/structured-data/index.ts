import { parseHtml } from '../../html'
import { SourceError } from '../source-error'
import type { ReadSource, SourceKind } from '../source-kind'
import { pastedAddress } from '../pasted'
import { jsonLdThings } from './json-ld'
import { markedUpThings, microdata, rdfa } from './markup'
import { hoursIn } from './opening-hours'
import { reviewsIn } from './reviews'

/** Reviews and opening hours that any page marks up for others to read: JSON-LD, microdata, RDFa Lite, in the vocabulary of schema.org. */
export const structuredData: SourceKind = {
  id: 'structured-data',
  name: 'Page with structured data',
  gives: ['review', 'hours'],
  interval: 10,
  keeps: 500,
  recognise: (pasted) => pastedAddress(pasted),
  lacks({ entries, rating, hours }, wanted) {
    if (wanted.includes('review'))
      return entries?.length || rating || (wanted.includes('hours') && hours) ? null : 'no-reviews'
    return hours ? null : 'no-hours'
  },
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
  const found = written.map(([format, things]) => ({ format, ...reviewsIn(things, base), hours: hoursIn(things) }))
  // A page that writes the same in two ways is read in the one that says more.
  const best = found.reduce((a, b) => (b.reviews.length > a.reviews.length ? b : a))
  const rating = best.rating ?? found.find((one) => one.rating)?.rating ?? null
  const hours = found.find((one) => one.hours)?.hours ?? null
  if (!best.reviews.length && !rating && !hours) throw new SourceError('no-reviews')
  const title = $('head > title').first().text().replace(/\s+/g, ' ').trim()
  return {
    format: best.format,
    title: best.name || hours?.name || title,
    link: base,
    language: $('html').attr('lang') ?? null,
    rating,
    picture: best.picture,
    hours: hours?.hours ?? null,
    entries: best.reviews,
  }
}
