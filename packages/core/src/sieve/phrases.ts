import { isWordBoundary } from './word-boundary'

/** A text to be found where it begins and ends with a whole word; an `open` one may end within a word. */
export interface Phrase {
  text: string
  open: boolean
}

/** One step further along the phrases. */
interface State {
  next: Map<number, number>
  /** Where to go on when nothing fits: the longest end of what was read that begins a phrase. */
  fallback: number
  /** Phrases that end here: their lengths, and whether they are open. */
  ends: { length: number; open: boolean }[]
}

/**
 * Finds any of many phrases in one pass over a text, however the two are made (Aho and Corasick 1975, Efficient string
 * matching: an aid to bibliographic search). Lengths and positions are UTF-16 units.
 * @returns a test that says whether a text, in a language where that is known, holds one of them
 */
export function phrasesIn(phrases: readonly Phrase[]): (text: string, language?: string | null) => boolean {
  const states = withFallbacks(trieOf(phrases))
  return (text, language = null) => {
    const isBoundary = isWordBoundary(text, language)
    let at = 0
    for (let i = 0; i < text.length; i++) {
      const unit = text.charCodeAt(i)
      let next = states[at]!.next.get(unit)
      while (next === undefined && at) {
        at = states[at]!.fallback
        next = states[at]!.next.get(unit)
      }
      at = next ?? 0
      for (const { length, open } of states[at]!.ends)
        if (isBoundary(i + 1 - length, 'beginning') && (open || isBoundary(i + 1, 'end'))) return true
    }
    return false
  }
}

function trieOf(phrases: readonly Phrase[]): State[] {
  const states: State[] = [{ next: new Map(), fallback: 0, ends: [] }]
  for (const { text, open } of phrases) {
    let at = 0
    for (let i = 0; i < text.length; i++) {
      const unit = text.charCodeAt(i)
      const known = states[at]!.next.get(unit)
      if (known === undefined) states[at]!.next.set(unit, states.push({ next: new Map(), fallback: 0, ends: [] }) - 1)
      at = known ?? states.length - 1
    }
    states[at]!.ends.push({ length: text.length, open })
  }
  return states
}

/** Breadth first: the shorter ones are ready when the longer ones ask for them. */
function withFallbacks(states: State[]): State[] {
  const line = [...states[0]!.next.values()]
  for (const at of line)
    for (const [unit, child] of states[at]!.next) {
      let back = states[at]!.fallback
      while (back && !states[back]!.next.has(unit)) back = states[back]!.fallback
      const fallback = states[back]!.next.get(unit) ?? 0
      states[child]!.fallback = fallback
      states[child]!.ends.push(...states[fallback]!.ends)
      line.push(child)
    }
  return states
}
