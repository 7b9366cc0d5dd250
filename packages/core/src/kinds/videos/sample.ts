import type { Item } from '../../items'
import type { Sample } from '../kind'
import { samplePicture } from '../sample-picture'

const films: [string, number][] = [
  ['Ten minutes of shooting stars', 634],
  ['How the dome is turned', 212],
  ['The turk’s head, slowly', 745],
  ['Winding the tower clock', 187],
  ['Winter sky for beginners', 1485],
  ['A bowline in nine seconds', 58],
]

/** Films of nobody in particular, for starters and for the stage before there is a source. */
export const sample = (origin: string): Sample => ({
  facts: {},
  items: films.map(([title, seconds], at): Item => ({
    id: `sample:${at}`,
    author: null,
    publishedAt: `2026-11-${String(20 - at).padStart(2, '0')}T09:00:00.000Z`,
    link: null,
    language: 'en',
    labels: [],
    body: {
      type: 'video',
      title,
      text: '',
      picture: samplePicture(origin, at),
      seconds,
      player: null,
    },
  })),
})
