import type { Item } from '../../items'
import type { Sample } from '../kind'
import { samplePicture } from '../sample-picture'

const captions = [
  'First boat out, and nobody but the dog aboard.',
  'Blue over white. It never comes out twice the same.',
  'Wound every Thursday since 1911.',
  'Seen between two clouds.',
  'On the window sill since nine.',
  'True again.',
  'Press day. Bring a bucket.',
  'Flat calm off the skerry.',
]

/** Posts of nobody in particular, for starters and for the stage before there is a source. */
export const sample = (origin: string): Sample => ({
  facts: {},
  items: Array.from({ length: 12 }, (_, at): Item => ({
    id: `sample:${at}`,
    author: 'The Skerrow Isles',
    publishedAt: `2026-11-${String(20 - at).padStart(2, '0')}T09:00:00.000Z`,
    link: null,
    language: 'en',
    labels: [],
    body: {
      type: 'post',
      title: '',
      text: captions[at % captions.length]!,
      pictures: [samplePicture(origin, at, { height: at % 3 ? 640 : 800 })],
      isClip: false,
      likes: 40 + at * 17,
      comments: at % 5,
    },
  })),
})
