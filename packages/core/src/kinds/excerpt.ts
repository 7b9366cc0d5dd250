import { withoutTrailing } from '../text'

/** Cuts at a word's end; an ellipsis says that there is more. None of it where nothing may be shown. */
export function excerptOf(text: string, most: number): string {
  if (most === 0) return ''
  if (text.length <= most) return text
  const cut = text.slice(0, most + 1)
  const space = cut.lastIndexOf(' ')
  const words = (space > most / 2 ? cut.slice(0, space) : text.slice(0, most)).toWellFormed()
  return `${withoutTrailing(words, (letter) => /[\s,;:.–—\uFFFD-]/.test(letter))}…`
}
