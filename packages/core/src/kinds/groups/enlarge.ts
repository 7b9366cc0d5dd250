import type { Picture } from '../../items'

/** What of an item is shown when it is enlarged. */
export interface Enlarged {
  pictures: { src: string; width: number | null; height: number | null; alt: string }[]
  caption: string
  /** Language of the caption, '' where it is not known. */
  lang: string
  /** Where it comes from; '' for nowhere. */
  link: string
  /** A page that plays it, and what that calls: the page asks nobody before it is enlarged. */
  player?: { src: string; note: string }
}

/** Words of the dialog, as settings. */
export const enlargeWords = {
  open: { label: 'Enlarge, said aloud', byDefault: 'Enlarge' },
  close: { label: 'Button to close', byDefault: 'Close' },
  before: { label: 'Button to the one before', byDefault: 'One back' },
  after: { label: 'Button to the next', byDefault: 'One on' },
  original: { label: 'Link to the original', byDefault: 'See the original' },
  counter: { label: 'Which of how many', byDefault: '{n} of {all}' },
}
export type EnlargeWords = Record<keyof typeof enlargeWords, string>

/** The largest of our copies of a picture; where there is none yet, the picture it came from. */
export function largest({ url, own, width, height, alt }: Picture): Enlarged['pictures'][number] {
  return { src: own ? `${own.base}-${Math.max(...own.widths)}.webp` : url, width, height, alt }
}

/** What the behaviour `enlarge` works with; cells carry `data-en`, their number. */
export const enlargeData = (items: readonly Enlarged[], words: EnlargeWords) => ({
  enlarge: {
    items,
    words: Object.fromEntries(Object.keys(enlargeWords).map((key) => [key, words[key as keyof EnlargeWords]])),
  },
})
