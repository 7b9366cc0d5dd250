/** A stream of numbers that is the same for the same seed (mulberry32, Tommy Ettinger, public domain). */
export interface Dice {
  /** Whole numbers from 0 to below `sides`. */
  roll(sides: number): number
  pick<T>(from: readonly T[]): T
}

export function diceOf(seed: number): Dice {
  let state = seed >>> 0
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
  const roll = (sides: number) => Math.floor(next() * sides)
  return { roll, pick: (from) => from[roll(from.length)]! }
}
