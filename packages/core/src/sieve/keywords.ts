import { phrasesIn, type Phrase } from './phrases'
import { isWordBoundary } from './word-boundary'

/**
 * Marks that are left off where people write in haste: accents, the points of Hebrew and of Arabic. What makes another letter
 * in other scripts stays: the strokes of kana, the vowels of Thai and of Indic scripts.
 */
const MARKS = /[\u0300-\u036f\u0591-\u05bd\u05bf\u05c1\u05c2\u05c4\u05c5\u05c7\u064b-\u065f\u0670]/g
const isPlain = (text: string) => !/[^\x20-\x7e]/.test(text)
const hasWideGap = (text: string) => /[^\S ]| {2}/.test(text)

/** Lower case, accents off, full and half width alike (Unicode NFKC), white space as single spaces: "Café  au" and "cafe au" meet. */
export function folded(text: string): string {
  const small = (isPlain(text) ? text : text.normalize('NFKD').replace(MARKS, '').normalize('NFKC')).toLowerCase()
  return hasWideGap(small) ? small.replace(/\s+/g, ' ') : small
}

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

type Mentions = (text: string, language?: string | null) => boolean

/** A test that says whether a text, in a language where that is known, mentions any of the keywords. No keywords: nothing matches. */
export function mentionsAny(keywords: readonly string[]): Mentions {
  const mentions = mentionsAnyFolded(keywords)
  return (text, language) => mentions(folded(text), language)
}

/** A few short ones in a text of usual length are looked for one by one: a machine does that fastest. */
const USUAL = { phrases: 30, letters: 24, text: 20_000 }

/** The same for texts that are folded already. */
export function mentionsAnyFolded(keywords: readonly string[]): Mentions {
  const phrases = keywords.map(phrase).filter(({ text }) => text)
  if (!phrases.length) return () => false
  const inOnePass = phrasesIn(phrases)
  const areUsual = phrases.length <= USUAL.phrases && phrases.every(({ text }) => text.length <= USUAL.letters)
  return (text, language) =>
    areUsual && text.length <= USUAL.text ? oneByOne(phrases, text, language ?? null) : inOnePass(text, language)
}

function oneByOne(phrases: readonly Phrase[], text: string, language: string | null): boolean {
  const isBoundary = isWordBoundary(text, language)
  return phrases.some(({ text: wanted, open }) => {
    for (let at = text.indexOf(wanted); at >= 0; at = text.indexOf(wanted, at + 1))
      if (isBoundary(at, 'beginning') && (open || isBoundary(at + wanted.length, 'end'))) return true
    return false
  })
}
