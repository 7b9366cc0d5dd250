import { formatHex, parse } from 'culori'

/** A colour of CSS as #rrggbb; null for none, and for one that is not seen. */
export function toHexColour(value: string): string | null {
  const word = value.trim()
  if (!word || /^(?:transparent|none|inherit|initial|unset|currentcolor)$/i.test(word)) return null
  // A background may have more than a colour.
  const [colour] = [word, ...wordsOf(word)].map((one) => parse(one)).filter(Boolean)
  return colour && colour.alpha !== 0 ? formatHex(colour) : null
}

/** What stands between spaces, those within brackets left alone. */
function wordsOf(value: string): string[] {
  const words: string[] = []
  let [begin, depth] = [0, 0]
  for (let at = 0; at < value.length; at++) {
    if (value[at] === '(') depth++
    else if (value[at] === ')') depth = Math.max(0, depth - 1)
    else if (depth === 0 && /\s/.test(value[at]!)) {
      if (at > begin) words.push(value.slice(begin, at))
      begin = at + 1
    }
  }
  return [...words, value.slice(begin)]
}
