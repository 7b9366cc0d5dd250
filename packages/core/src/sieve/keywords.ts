/** Lower case, accents off (Unicode NFKD), so that "Café" and "cafe" meet. */
const folded = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase()

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/** A word or phrase matches whole words; a trailing * lets it match beginnings: "engrav*" finds engraving and engraved. */
function pattern(keyword: string): string {
  const open = keyword.endsWith('*')
  const words = folded(open ? keyword.slice(0, -1) : keyword)
    .trim()
    .split(/\s+/)
    .map(escaped)
    .join('\\s+')
  return words ? `(?<![\\p{L}\\p{N}])${words}${open ? '' : '(?![\\p{L}\\p{N}])'}` : ''
}

/** A test that says whether a text mentions any of the keywords. No keywords: nothing matches. */
export function mentionsAny(keywords: readonly string[]): (text: string) => boolean {
  const patterns = keywords.map(pattern).filter(Boolean)
  if (!patterns.length) return () => false
  const any = new RegExp(patterns.join('|'), 'u')
  return (text) => any.test(folded(text))
}
