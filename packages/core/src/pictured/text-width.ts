/**
 * Widths of printable ASCII in thousandths of the size, from the blank on.
 * @source Adobe's metrics of Helvetica (Core 14 AFM), from memory; Arial and Liberation Sans are made to the same widths.
 * pictured.test.ts holds lines against what the drawing library measures.
 */
const ASCII = [
  278, 278, 355, 556, 556, 889, 667, 191, 333, 333, 389, 584, 278, 333, 278, 278, 556, 556, 556, 556, 556, 556, 556,
  556, 556, 556, 278, 278, 584, 584, 584, 556, 1015, 667, 667, 722, 722, 667, 611, 778, 722, 278, 500, 667, 556, 833,
  722, 778, 667, 778, 722, 667, 611, 722, 667, 944, 667, 667, 611, 278, 278, 278, 469, 556, 333, 556, 556, 500, 556,
  556, 278, 556, 556, 222, 222, 500, 222, 833, 556, 556, 556, 556, 333, 500, 278, 556, 500, 722, 500, 500, 500, 334,
  260, 334, 584,
]
/** Of letters that it does not name: of the scripts that are written with letters, and of those whose signs fill a square. */
const OTHER = 620
const SQUARE = 1000
const isSquare = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}\p{Extended_Pictographic}]/u
/** Bold letters are so much wider. */
const BOLD = 1.07

/** Px that a line of text takes in a plain sans-serif face. */
export function textWidth(text: string, size: number, bold = false): number {
  let thousandths = 0
  // An accent stands over its letter and takes no room.
  for (const letter of text.normalize('NFD').replace(/\p{Mn}/gu, '')) {
    const known = ASCII[letter.codePointAt(0)! - 32]
    thousandths += known ?? (isSquare.test(letter) ? SQUARE : OTHER)
  }
  return (thousandths / 1000) * size * (bold ? BOLD : 1)
}

/** A text broken into lines no wider than so many px; what does not fit into the last one is cut, with an ellipsis. */
export function linesOf(text: string, width: number, most: number, size: number, bold = false): string[] {
  const words = text.trim().split(/\s+/).filter(Boolean)
  const lines: string[] = []
  let line = ''
  for (const [at, word] of words.entries()) {
    const longer = line ? `${line} ${word}` : word
    if (textWidth(longer, size, bold) <= width) {
      line = longer
    } else if (lines.length + 1 >= most || !line) {
      // The last line, or a word that no line has room for.
      return [...lines, cut([line, ...words.slice(at)].filter(Boolean).join(' '), width, size, bold)]
    } else {
      lines.push(line)
      line = textWidth(word, size, bold) <= width ? word : ''
      if (!line) return [...lines, cut(words.slice(at).join(' '), width, size, bold)]
    }
  }
  return line ? [...lines, line] : lines
}

function cut(text: string, width: number, size: number, bold: boolean): string {
  if (textWidth(text, size, bold) <= width) return text
  const letters = [...text]
  while (letters.length && textWidth(`${letters.join('').trimEnd()}…`, size, bold) > width) letters.pop()
  return `${letters.join('').trimEnd()}…`
}
