import { languageOf, type Language } from './languages'

/** A text that phrases are looked for in. */
export interface Said {
  id: string
  text: string
  /** BCP 47; null where nothing says. */
  language: string | null
}

/** Words that several texts share. */
export interface SharedPhrase {
  /** As it is written most often. */
  text: string
  /** In how many texts it stands. */
  count: number
  /** Two of them. */
  examples: string[]
}

/** One text in so many has to have a phrase, and three at least. */
const LEAST = { texts: 3, share: 0.01 }
/** How much commoner than in ordinary text, as a natural logarithm. */
const LEAST_KEYNESS = 3
/** A single word is telling only when it is not among the commonest. */
const TELLING_RANK = 1500
const MOST_TEXTS = 20_000
/** Two phrases of which one holds the other are one where so many of the shorter one's texts have the longer. */
const SAME = 0.7

interface Candidate {
  words: string[]
  texts: Set<string>
  spellings: Map<string, number>
  score: number
}

/**
 * A few phrases that many texts share, the most telling first: runs of one to three words by document frequency, weighed by how
 * much commoner they are than independent words of ordinary text would be (keyness as a log ratio, Rayson and Garside 2000, over
 * a Zipf background), with those left out that say the same as a better one.
 * @param language in which they are looked for; texts in another are passed over, those that say nothing are taken for it
 */
export function findPhrases(said: readonly Said[], language: string, most: number): SharedPhrase[] {
  const known = languageOf(language)
  const code = language.split(/[-_]/)[0]!.toLowerCase()
  const texts = said
    .filter((one) => one.text && (one.language === null || one.language.split(/[-_]/)[0]!.toLowerCase() === code))
    .slice(0, MOST_TEXTS)
  if (!known || texts.length < LEAST.texts) return []
  const least = Math.max(LEAST.texts, Math.ceil(texts.length * LEAST.share))
  const { candidates, wordsInAll } = gathered(texts, known, code)
  const wordsEach = wordsInAll / texts.length
  const scored = [...candidates.values()]
    .filter(({ texts }) => texts.size >= least)
    .flatMap((candidate) => {
      const expected = wordsEach * candidate.words.reduce((product, word) => product * known.share(word), 1)
      const keyness = Math.log(candidate.texts.size / texts.length / expected)
      if (keyness < LEAST_KEYNESS) return []
      const alone = candidate.words.length === 1
      return [{ ...candidate, score: candidate.texts.size * keyness * (alone ? 0.5 : 1) }]
    })
    .sort((a, b) => b.score - a.score)
  return distinct(scored, most).map(({ texts, spellings }) => ({
    text: commonest(spellings),
    count: texts.size,
    examples: [...texts].slice(0, 2),
  }))
}

/** A word, or a sign that ends a run of words. */
const TOKEN = /([\p{L}\p{N}]+(?:['’][\p{L}]+)*)|([^\s\p{L}\p{N}'’])/gu

const small = (word: string) => word.charAt(0).toLowerCase() + word.slice(1)

function gathered(texts: readonly Said[], known: Language, code: string) {
  const candidates = new Map<string, Candidate>()
  let wordsInAll = 0
  for (const { id, text } of texts) {
    let run: string[] = []
    /** The run goes back to where a sentence, or a part of one, begins. */
    let begins = true
    for (const [, word] of text.matchAll(TOKEN)) {
      if (word === undefined) {
        run = []
        begins = true
        continue
      }
      wordsInAll++
      if (run.length === 3) begins = false
      run = [...run.slice(-2), word]
      for (let length = 1; length <= run.length; length++) {
        const spelt = run.slice(-length)
        // What begins a sentence is written large for that reason alone; in German nouns are anyway.
        if (begins && length === run.length && code !== 'de') spelt[0] = small(spelt[0]!)
        note(candidates, spelt, id, known)
      }
    }
  }
  return { candidates, wordsInAll }
}

function note(candidates: Map<string, Candidate>, spelt: string[], id: string, known: Language): void {
  const words = spelt.map((word) => word.toLowerCase().replaceAll('’', "'"))
  if (!mayBePhrase(words, known)) return
  const key = words.join(' ')
  const candidate = candidates.get(key) ?? { words, texts: new Set(), spellings: new Map(), score: 0 }
  candidate.texts.add(id)
  const spelling = spelt.join(' ')
  candidate.spellings.set(spelling, (candidate.spellings.get(spelling) ?? 0) + 1)
  candidates.set(key, candidate)
}

/**
 * Ends with a word that carries something; begins with one, too, unless it is two words long ("on time"). Numbers carry
 * nothing, and one word alone has to be a telling one.
 */
function mayBePhrase(words: readonly string[], known: Language): boolean {
  const carries = (word: string) => !known.isStopWord(word) && /\p{L}{3}/u.test(word)
  const [first, last] = [words[0]!, words.at(-1)!]
  if (!carries(last)) return false
  if (words.length === 1) return known.rank(last) > TELLING_RANK
  if (words.length === 2) return /^\p{L}+$/u.test(first)
  return carries(first)
}

/** The best first; of two of which one holds the other and which the same people said, the better one. */
function distinct(scored: readonly Candidate[], most: number): Candidate[] {
  const chosen: Candidate[] = []
  for (const candidate of scored) {
    if (chosen.length >= most) break
    if (!chosen.some((other) => overlaps(candidate, other))) chosen.push(candidate)
  }
  return chosen
}

function overlaps(a: Candidate, b: Candidate): boolean {
  const [short, long] = a.words.length <= b.words.length ? [a, b] : [b, a]
  const shared = short.words.filter((word) => long.words.includes(word)).length
  if (!shared) return false
  const both = [...short.texts].filter((id) => long.texts.has(id)).length
  return both / Math.min(short.texts.size, long.texts.size) >= SAME
}

/** Ties go to the one in small letters, which did not begin a sentence. */
const commonest = (spellings: Map<string, number>) =>
  [...spellings].sort(
    ([a, timesA], [b, timesB]) => timesB - timesA || Number(a !== a.toLowerCase()) - Number(b !== b.toLowerCase()),
  )[0]![0]
