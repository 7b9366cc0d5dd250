import { deu, eng, fra, nld, spa } from 'stopword'
import de from './background/de'
import en from './background/en'
import es from './background/es'
import fr from './background/fr'
import nl from './background/nl'

/** What is known of a language: which words carry little, and how common a word is. */
export interface Language {
  isStopWord(word: string): boolean
  /** The share of all words of ordinary text that this one is. */
  share(word: string): number
  /** By commonness, from 1; Infinity for a word that is not among the commonest. */
  rank(word: string): number
}

/** Zipf and Mandelbrot: a word's share falls off with its rank, p(r) = C / (r + 2.7); C makes the first 30,000 add up to one. */
const OFFSET = 2.7
const KNOWN_BEYOND = 30_000
const TOTAL = Array.from({ length: KNOWN_BEYOND }, (_, at) => 1 / (at + 1 + OFFSET)).reduce((sum, one) => sum + one, 0)
const shareAt = (rank: number) => 1 / (rank + OFFSET) / TOTAL

function language(background: string, stopWords: readonly string[]): Language {
  const ranks = new Map(background.split(/\s+/).map((word, at) => [word, at + 1]))
  const stops = new Set(stopWords)
  return {
    isStopWord: (word) => stops.has(word),
    share: (word) => shareAt(ranks.get(word) ?? KNOWN_BEYOND),
    rank: (word) => ranks.get(word) ?? Infinity,
  }
}

const made = new Map<string, Language>()
const parts: Record<string, [string, readonly string[]]> = {
  en: [en, eng],
  de: [de, deu],
  fr: [fr, fra],
  es: [es, spa],
  nl: [nl, nld],
}

/** Languages in which phrases are looked for. */
export const phraseLanguages = Object.keys(parts)

/** By a language tag's first part; null for one of which nothing is known here. */
export function languageOf(tag: string): Language | null {
  const code = tag.split(/[-_]/)[0]!.toLowerCase()
  const known = parts[code]
  if (!known) return null
  if (!made.has(code)) made.set(code, language(...known))
  return made.get(code)!
}
