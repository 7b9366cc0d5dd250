import type { ReviewsSettings } from './settings'

/** Letters of a name that stand for it: of its first and its last word. */
export function initialsOf(name: string): string {
  const words = name.split(/[\s.]+/).filter(Boolean)
  const letters = words.length > 1 ? [words[0]!, words.at(-1)!] : words
  return letters.map((word) => graphemes(word)[0]?.toUpperCase() ?? '').join('')
}

/** The author as he or she is shown; '' where no name is. */
export function authorName(name: string | null, how: ReviewsSettings['name']): string {
  if (!name || how === 'none') return ''
  if (how === 'full') return name
  if (how === 'initials') return initialsOf(name)
  const words = name.split(/\s+/).filter(Boolean)
  const [first] = words
  const last = words.length > 1 ? words.at(-1)! : null
  return last ? `${first} ${graphemes(last)[0]!.toUpperCase()}.` : first!
}

/** Letters as people count them (Unicode text segmentation, UAX 29). */
const graphemes = (text: string) => [...new Intl.Segmenter().segment(text)].map(({ segment }) => segment)

/** One of so many tints, the same for the same name. */
export const tintOf = (name: string, tints: number) =>
  [...name].reduce((sum, letter) => (sum * 31 + letter.codePointAt(0)!) % 9973, 7) % tints
