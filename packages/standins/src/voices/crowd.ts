import type { Place, Voice } from './places'
import { said, type Said } from './said'

/** A deterministic number stream (mulberry32, public domain): a place's crowd says the same after every start. */
function stream(seed: string): () => number {
  let state = [...seed].reduce((hash, c) => Math.imul(hash ^ c.charCodeAt(0), 16777619) >>> 0, 2166136261)
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** Shares of 1 to 5 stars where nearly nobody and where nearly everybody is pleased. */
const LOW = [0.35, 0.2, 0.2, 0.15, 0.1]
const HIGH = [0, 0, 0, 0.05, 0.95]
const meanOf = (shares: number[]) => shares.reduce((sum, share, at) => sum + share * (at + 1), 0)

/** So many stars that they come to a mean, one after the other as they would be given. */
function starsFor(mean: number, count: number, next: () => number): number[] {
  const t = (mean - meanOf(LOW)) / (meanOf(HIGH) - meanOf(LOW))
  const all: number[] = []
  LOW.forEach((low, at) => {
    const share = Math.max(0, low + (HIGH[at]! - low) * t)
    all.push(...Array<number>(Math.round(share * count)).fill(at + 1))
  })
  while (all.length < count) all.push(Math.round(mean))
  for (let i = all.length - 1; i > 0; i--) {
    const j = Math.floor(next() * (i + 1))
    ;[all[i], all[j]] = [all[j]!, all[i]!]
  }
  return all.slice(0, count)
}

const MOST_AGO = 2400

/** What the rest said of a place: those that make up its stated count, older than the ones written out. */
export function crowdOf({ slug, stated, voices }: Place): Voice[] {
  const count = Math.max(0, stated.count - voices.length)
  const next = stream(slug)
  const pick = <T>(list: readonly T[]) => list[Math.floor(next() * list.length)]!
  const wanted = (stated.mean * stated.count - voices.reduce((sum, { stars }) => sum + stars, 0)) / Math.max(1, count)
  return starsFor(Math.min(4.95, wanted), count, next).map((stars, at) => {
    const tongue = tongueAt(next() * 100)
    const text = wordsOf(tongue, stars, next, pick)
    return {
      author: pick(tongue.names),
      stars,
      daysAgo: 62 + Math.floor((at / Math.max(1, count)) * MOST_AGO) + Math.round(next() * 1000) / 1000,
      text,
      language: tongue.language,
      ...(next() < 0.08 ? { pictures: 1 + Math.floor(next() * 3) } : {}),
      ...(stars < 4 && next() < 0.3 ? { reply: 'Thank you for telling us. We have looked into it.' } : {}),
    }
  })
}

function tongueAt(hundredth: number): Said {
  let sum = 0
  return said.find(({ share }) => (sum += share) > hundredth) ?? said[0]!
}

/** One in eight leaves no words; one in sixty writes a letter. */
function wordsOf(
  { openings, good, bad }: Said,
  stars: number,
  next: () => number,
  pick: <T>(list: readonly T[]) => T,
): string {
  const chance = next()
  if (chance < 0.125) return ''
  const sentence = () => pick(next() * 5 < stars - 0.5 ? good : bad)
  if (chance > 0.983) return [pick(openings), ...Array.from({ length: 30 }, sentence)].join(' ')
  return [next() < 0.5 ? pick(openings) : '', sentence(), next() < 0.6 ? sentence() : ''].filter(Boolean).join(' ')
}
