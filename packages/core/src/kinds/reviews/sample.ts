import { reviewItem } from '../../items'
import type { Sample } from '../kind'

/** Reviews of nothing in particular, for starters and for the stage before there is a source. */
const words: [string, number, string, string?][] = [
  ['Ada Fenwick', 5, 'We came for an hour and stayed for the day. Everybody had time for us, and the tea was hot.'],
  [
    'Torben Aske',
    4,
    'Good, and honest about what it is. The stairs are steep.',
    'Thank you. A rail was put up in May.',
  ],
  ['Nell Corrigan', 5, 'On time, friendly, and they mended what I had broken without being asked.'],
  ['Isla Marrow', 3, 'Fine. I had hoped for more room to sit.'],
  ['Lorcan Bray', 5, 'My third visit. It gets better, and I did not think it could.'],
  ['Mor Quill', 4, 'A rainy afternoon well spent.'],
]

export const sample = (): Sample => ({
  facts: {},
  items: words.map(([author, rating, text, reply], index) =>
    reviewItem(`sample:${index}`, {
      author,
      rating,
      text,
      reply: reply ? { author: null, text: reply, at: null } : null,
      publishedAt: `2026-11-${String(20 - index).padStart(2, '0')}T09:00:00.000Z`,
    }),
  ),
})
