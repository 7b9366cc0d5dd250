import { arrangementGroup, datesGroup, lookGroup, reviewSieveGroup } from '../groups'
import type { Kind } from '../kind'
import { sinceThemesAndLanguages } from '../of-before'
import { box } from './box'
import { reviewsCss } from './css'
import { reviewsHtml } from './html'
import { sample } from './sample'
import { ReviewsSettings, sources } from './settings'
import { reviewsStarters } from './starters'

export const reviews: Kind<ReviewsSettings> = {
  id: 'reviews',
  name: 'Reviews',
  purpose: 'What people said of a place: stars, words, answers, and what they come to.',
  version: 2,
  upgrade: { 1: sinceThemesAndLanguages },
  settings: ReviewsSettings,
  starters: reviewsStarters,
  sample,
  render: (view) => ({
    html: reviewsHtml(view),
    css: reviewsCss(view.settings),
    font: lookGroup.font(view.settings),
    behaviours: [...arrangementGroup.behaviours(view.settings), ...datesGroup.behaviours(view.settings)],
    data: arrangementGroup.data(view.settings),
  }),
  content: {
    many: 'reviews',
    bodies: ['review'],
    sourceIds: sources.sourceIds,
    rules: reviewSieveGroup.rules,
    order: reviewSieveGroup.order,
    pictures: ({ avatar, pictures }) => [
      ...(avatar === 'own' ? ['author' as const] : []),
      ...(pictures ? ['item' as const] : []),
    ],
    phrases: ({ phrases, phrasesMost, phrasesOwn, locale }) =>
      phrases === 'off'
        ? null
        : phrases === 'own'
          ? { how: 'chosen', words: phrasesOwn }
          : { how: 'found', language: locale, most: phrasesMost },
    loosened: reviewSieveGroup.loosened,
  },
  box,
  parts: [
    'heading',
    'description',
    'list',
    'item',
    'picture',
    'title',
    'text',
    'meta',
    'date',
    'link',
    'button',
    'source',
    'stars',
    'summary',
    'bars',
    'phrases',
    'answer',
    'face',
  ],
  pairs: lookGroup.pairs,
}
