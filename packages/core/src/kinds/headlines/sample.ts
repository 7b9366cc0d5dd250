import { articleItem } from '../../items'
import type { Sample } from '../kind'
import { samplePicture } from '../sample-picture'

/** Items everyone can tell apart, for starters and for the stage before there is a source. */
const words = [
  [
    'The first of your headlines stands here',
    'A few words from the beginning of the text, so that a reader knows what it is about before opening it.',
  ],
  [
    'A second one, a little longer than the first',
    'Excerpts are cut at the end of a word, and how long they are is up to you.',
  ],
  ['Something shorter', 'Some stories need few words to be told; others take a whole evening and a second pot of tea.'],
  ['The fourth, from the day before', 'Older items follow the newer ones, unless you turn the order round.'],
  ['And a fifth to fill the list', 'The feed decides what is there; the sieve decides what is shown.'],
  ['A sixth for whole rows', 'Six in a row wants six, twelve or eighteen.'],
] as const

export const sample = (origin: string): Sample => ({
  facts: {},
  items: words.map(([title, text], index) =>
    articleItem(`sample:${index}`, {
      title,
      text,
      author: 'A. Writer',
      publishedAt: `2026-11-${String(20 - index).padStart(2, '0')}T09:00:00.000Z`,
      link: 'https://example.org/',
      picture: samplePicture(origin, index),
    }),
  ),
})
