import { phrasesIn, type Phrase } from './phrases'

/** Lower case, accents off (Unicode NFKD), white space as single spaces, so that "Café  au" and "cafe au" meet. */
export const folded = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().replace(/\s+/g, ' ')

/** A word or phrase matches whole words; a trailing * lets it match beginnings: "engrav*" finds engraving and engraved. */
function phrase(keyword: string): Phrase {
  const open = keyword.endsWith('*')
  return { text: folded(open ? keyword.slice(0, -1) : keyword).trim(), open }
}

/** A test that says whether a text mentions any of the keywords. No keywords: nothing matches. */
export function mentionsAny(keywords: readonly string[]): (text: string) => boolean {
  const phrases = keywords.map(phrase).filter(({ text }) => text)
  if (!phrases.length) return () => false
  const mentions = phrasesIn(phrases)
  return (text) => mentions(folded(text))
}
