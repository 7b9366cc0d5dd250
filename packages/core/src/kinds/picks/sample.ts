import type { Item } from '../../items'
import type { Sample } from '../kind'
import { samplePicture } from '../sample-picture'

const picked = [
  ['The tide mill, and why it stopped', 'Harbour Almanac', 'Ten pages, and a drawing of every cog.'],
  ['A bowline in nine seconds', 'The Knot Room', 'For whoever ties it behind a back.'],
  ['How to read a sea chart', 'Skerrow Post', 'Begin with the depths; the rest is decoration.'],
  ['Bread without an oven', 'The Galley', 'A pan, a lid, and patience.'],
  ['Lights of the outer skerries', 'Harbour Almanac', 'Each with its own rhythm, and how to tell them apart.'],
  ['Tar: a short history', 'The Rope Walk', ''],
]

/** Picks of nobody in particular, for starters and for the stage before there is a collection. */
export const sample = (origin: string): Sample => ({
  facts: {},
  items: picked.map(([title, site, text], at): Item => ({
    id: `sample:${at}`,
    author: null,
    publishedAt: `2026-11-${String(20 - at).padStart(2, '0')}T09:00:00.000Z`,
    link: null,
    language: 'en',
    labels: [],
    body: {
      type: 'pick',
      title: title!,
      text: text!,
      site: site!,
      picture: at === 5 ? null : samplePicture(origin, at, { height: 480 }),
    },
  })),
})
