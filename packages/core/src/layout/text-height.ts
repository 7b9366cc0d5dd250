/** Mean advance of a letter in a text face, in em; measured over the shipped faces, memory for the rest. */
const MEAN_ADVANCE = 0.5

/** Lines a text takes in a width; words break a line about half a word early. */
export function lineCount(letters: number, width: number, fontSize: number): number {
  if (letters <= 0) return 0
  const perLine = Math.max(4, Math.floor(width / (fontSize * MEAN_ADVANCE)) - 2)
  return Math.ceil(letters / perLine)
}

/** Height in px of a text of so many letters; `lineHeight` as a multiple of the font size, `most` lines. */
export function textHeight(
  letters: number,
  width: number,
  fontSize: number,
  lineHeight: number,
  most = Infinity,
): number {
  return Math.min(most, lineCount(letters, width, fontSize)) * fontSize * lineHeight
}
