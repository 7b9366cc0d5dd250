/** A 32-bit seed from a text (FNV-1a, draft-eastlake-fnv). */
function seedOf(text: string): number {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return hash >>> 0
}

/** Numbers from 0 up to 1, the same for the same seed (mulberry32, in the public domain). */
function randomFrom(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** In an order that the seed alone decides, each as likely as any (Fisher and Yates, as Durstenfeld 1964, algorithm 235). */
export function shuffled<T>(all: readonly T[], seed: string): T[] {
  const random = randomFrom(seedOf(seed))
  const mixed = [...all]
  for (let i = mixed.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[mixed[i], mixed[j]] = [mixed[j]!, mixed[i]!]
  }
  return mixed
}
