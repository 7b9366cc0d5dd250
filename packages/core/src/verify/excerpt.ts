export interface Excerpt {
  /** Of the first line shown, from 1. */
  line: number
  text: string
}

const MOST_LETTERS = 160

/** The source around an offset: the line it is on and up to two more, long lines cut around what matters. */
export function excerptAt(source: string, offset: number): Excerpt {
  const before = source.slice(0, offset)
  const line = before.split('\n').length
  const start = before.lastIndexOf('\n') + 1
  const lines = source.slice(start, start + 4000).split('\n', 3)
  const column = offset - start
  const from = column > MOST_LETTERS / 2 ? column - 40 : 0
  const first = (from ? '…' : '') + cut(lines[0]!.slice(from))
  return { line, text: [first, ...lines.slice(1).map(cut)].join('\n').trimEnd() }
}

const cut = (line: string) => (line.length > MOST_LETTERS ? `${line.slice(0, MOST_LETTERS)}…` : line)
