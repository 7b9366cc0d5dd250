import { formatHex, parse } from 'culori'

/** A colour of CSS as #rrggbb; null for none, and for one that is not seen. */
export function toHexColour(value: string): string | null {
  const word = value.trim()
  if (!word || /^(?:transparent|none|inherit|initial|unset|currentcolor)$/i.test(word)) return null
  // A background may have more than a colour.
  const [colour] = [word, ...word.split(/\s+(?![^(]*\))/)].map((one) => parse(one)).filter(Boolean)
  return colour && colour.alpha !== 0 ? formatHex(colour) : null
}
