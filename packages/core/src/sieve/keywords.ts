import { phrasesIn, type Phrase } from './phrases'

/**
 * Marks that are left off where people write in haste: accents, the points of Hebrew and of Arabic. What makes another letter
 * in other scripts stays: the strokes of kana, the vowels of Thai and of Indic scripts.
 */
const MARKS = /[\u0300-\u036f\u0591-\u05bd\u05bf\u05c1\u05c2\u05c4\u05c5\u05c7\u064b-\u065f\u0670]/g
const isPlain = (text: string) => !/[^\x20-\x7e]/.test(text)

/** Lower case, accents off, full and half width alike (Unicode NFKC), white space as single spaces: "Café  au" and "cafe au" meet. */
export const folded = (text: string) =>
  (isPlain(text) ? text : text.normalize('NFKD').replace(MARKS, '').normalize('NFKC'))
    .toLowerCase()
    .replace(/\s+/g, ' ')

const QUOTED = /^["“”„«](.*)["“”»]$/s

/**
 * A word or phrase matches whole words; a trailing * lets it match beginnings: "engrav*" finds engraving and engraved. What
 * stands in quotation marks is taken as it is.
 */
function phrase(keyword: string): Phrase {
  const quoted = QUOTED.exec(keyword.trim())?.[1]
  if (quoted !== undefined) return { text: folded(quoted).trim(), open: false }
  const open = keyword.endsWith('*')
  return { text: folded(open ? keyword.slice(0, -1) : keyword).trim(), open }
}

/** A test that says whether a text, in a language where that is known, mentions any of the keywords. No keywords: nothing matches. */
export function mentionsAny(keywords: readonly string[]): (text: string, language?: string | null) => boolean {
  const phrases = keywords.map(phrase).filter(({ text }) => text)
  if (!phrases.length) return () => false
  const mentions = phrasesIn(phrases)
  return (text, language) => mentions(folded(text), language)
}
