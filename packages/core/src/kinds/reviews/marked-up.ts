import type { ReviewBody } from '../../items'
import { escapeScriptJson } from '../../markup'
import { ratingGroup } from '../groups'
import type { View } from '../kind'
import { authorName } from './author'
import { sources, type ReviewsSettings } from './settings'

/**
 * What is shown, in the vocabulary of schema.org (AggregateRating, Review) as JSON-LD: of the first source's place, with no more
 * of the authors' names than is shown. '' where nothing is rated.
 */
export function markedUp(view: View<ReviewsSettings>): string {
  const { settings, items, context } = view
  const ids = sources.sourceIds(settings)
  const about = ids.map((id) => context.sources[id]).find((one) => one?.title)
  const { mean, count } = ratingGroup.summary(ids, view)
  if (!about || mean === null) return ''
  const data = {
    '@context': 'https://schema.org',
    '@type': 'LocalBusiness',
    name: about.title,
    ...(about.link ? { url: about.link } : {}),
    aggregateRating: {
      '@type': 'AggregateRating',
      ratingValue: Math.round(mean * 10) / 10,
      bestRating: 5,
      worstRating: 1,
      ratingCount: count,
    },
    review: items.map(({ author, publishedAt, language, link, body }) => {
      const { rating, title, text } = body as ReviewBody
      return {
        '@type': 'Review',
        author: { '@type': 'Person', name: authorName(author, settings.name) || 'Anonymous' },
        ...(publishedAt ? { datePublished: publishedAt.slice(0, 10) } : {}),
        ...(language ? { inLanguage: language } : {}),
        ...(link ? { url: link } : {}),
        ...(title ? { name: title } : {}),
        ...(text ? { reviewBody: text } : {}),
        ...(rating === null
          ? {}
          : { reviewRating: { '@type': 'Rating', ratingValue: rating, bestRating: 5, worstRating: 1 } }),
      }
    }),
  }
  return `<script type="application/ld+json">${escapeScriptJson(data)}</script>`
}
