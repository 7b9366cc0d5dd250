/** A small deterministic number stream, so that a name always draws the same picture. */
export function stream(seed: string): () => number {
  let state = [...seed].reduce((hash, c) => Math.imul(hash ^ c.charCodeAt(0), 16777619) >>> 0, 2166136261)
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 4294967296
  }
}
