// Cuts that would take the square of a text's length as a regular expression that is anchored at its end.

/** A text up to the first of some letters, or whole where it has none of them. @param marks each letter is one mark */
export function upTo(text: string, marks: string): string {
  for (let at = 0; at < text.length; at++) if (marks.includes(text[at]!)) return text.slice(0, at)
  return text
}

/** A text without the letters at its end that `isMark` holds for. */
export function withoutTrailing(text: string, isMark: (letter: string) => boolean): string {
  let end = text.length
  while (end > 0 && isMark(text[end - 1]!)) end--
  return text.slice(0, end)
}

/** The same for one letter, as the slashes at the end of a path. */
export const withoutTrailingLetter = (text: string, mark: string): string =>
  withoutTrailing(text, (letter) => letter === mark)

/** At most so many letters of a text, cut before the word that is not whole. */
export function cutAtWord(text: string, most: number): string {
  if (text.length <= most) return text
  const cut = text.slice(0, most)
  const words = withoutTrailing(cut, (letter) => !isSpace(letter))
  return words ? withoutTrailing(words, isSpace) : cut
}

const isSpace = (letter: string) => /\s/.test(letter)
