import { tokenize, tokenTypes } from 'css-tree'

/** Letters of a sheet, blocks and selectors in it, and brackets of any sort within each other: far more than a widget needs. */
export const MOST = { letters: 60_000, blocks: 1500, commas: 6000, depth: 40 }

const opens = new Set<number>([
  tokenTypes.LeftCurlyBracket,
  tokenTypes.LeftParenthesis,
  tokenTypes.LeftSquareBracket,
  tokenTypes.Function,
])
const closes = new Set<number>([
  tokenTypes.RightCurlyBracket,
  tokenTypes.RightParenthesis,
  tokenTypes.RightSquareBracket,
])

/**
 * As much of a sheet as the parser can be given: it calls itself for each bracket, and takes its time for each block.
 * @returns what is read, and what is said of the rest; null where all of it is read
 */
export function readablePart(source: string): { text: string; says: string | null } {
  const text = source.slice(0, MOST.letters)
  const count = { blocks: 0, commas: 0, depth: 0 }
  let cut: { at: number; says: string } | null = null
  // The tokenizer itself needs no stack, and a time that grows with the text.
  tokenize(text, (type: number, start: number) => {
    if (cut) return
    if (opens.has(type)) count.depth++
    else if (closes.has(type)) count.depth = Math.max(0, count.depth - 1)
    if (type === tokenTypes.LeftCurlyBracket) count.blocks++
    else if (type === tokenTypes.Comma) count.commas++
    const [over] = (Object.keys(count) as (keyof typeof count)[]).filter((what) => count[what] > MOST[what])
    if (over) cut = { at: start, says: left[over] }
  })
  const found = cut as { at: number; says: string } | null
  if (found) return { text: text.slice(0, found.at), says: found.says }
  const isCut = source.length > MOST.letters
  return { text, says: isCut ? `what comes after ${MOST.letters} letters is left out` : null }
}

const left = {
  blocks: `what comes after ${MOST.blocks} blocks is left out`,
  commas: `what comes after ${MOST.commas} commas is left out`,
  depth: `what comes after ${MOST.depth} brackets within each other is left out`,
}
