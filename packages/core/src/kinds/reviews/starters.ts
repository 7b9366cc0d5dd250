import type { Starter } from '../kind'
import type { ReviewsSettings } from './settings'

/** Ready designs to begin from; each changes only what makes it that design. */
export const reviewsStarters: Starter<ReviewsSettings>[] = [
  {
    id: 'three-voices',
    name: 'Three voices',
    settings: { count: 3, layout: 'grid', columns: 3, letters: 160, summary: false, gap: 24, stars: '4' },
  },
  { id: 'whole-list', name: 'Whole list', settings: { count: 20, layout: 'list', letters: 0, gap: 24 } },
  {
    id: 'beside-the-text',
    name: 'Beside the text',
    settings: { count: 3, layout: 'list', letters: 120, avatar: 'none', reply: false, gap: 16 },
  },
  {
    id: 'one-voice',
    name: 'One large voice at a time',
    settings: {
      count: 6,
      layout: 'one',
      letters: 300,
      summary: false,
      pictures: false,
      reply: false,
      textSize: 'larger',
    },
  },
  {
    id: 'dark-row',
    name: 'Dark row to move along',
    settings: { count: 9, layout: 'carousel', columns: 3, letters: 140, theme: 'dark', radius: 10, reply: false },
  },
]
