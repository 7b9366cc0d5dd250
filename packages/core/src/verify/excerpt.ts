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
  const from = offset - start > MOST_LETTERS / 2 ? offset - 40 : start
  const lines = source.slice(from, from + 4000).split('\n', 3)
  const first = (from > start ? '…' : '') + cut(lines[0]!)
  return { line, text: [first, ...lines.slice(1).map(cut)].join('\n').trimEnd() }
}

const cut = (line: string) => (line.length > MOST_LETTERS ? `${line.slice(0, MOST_LETTERS)}…` : line)
