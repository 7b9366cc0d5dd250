import type { Item } from '../items'
import { readingOf } from '../items'
import { countPhrases } from './count-phrases'
import { findPhrases, type Said, type SharedPhrase } from './find-phrases'

/** Which phrases are wanted: so many that many share, in a language, or those that a person chose. */
export type PhraseWish = { how: 'found'; language: string; most: number } | { how: 'chosen'; words: readonly string[] }

/** Items as texts, each once. */
export const saidIn = (items: readonly Item[]): Said[] =>
  items.map(({ id, body, language }) => ({ id, text: readingOf(body).words(body).trim(), language }))

export const phrasesFor = (wish: PhraseWish, said: readonly Said[]): SharedPhrase[] =>
  wish.how === 'chosen' ? countPhrases(said, wish.words) : findPhrases(said, wish.language, wish.most)
