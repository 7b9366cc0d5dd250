import { readSettings } from '../bin/launch/settings.mjs'

/** One measurement as a ratio of two things done in the same run. */
export interface Ratio {
  name: string
  /** What is measured, and what it is held against, as rates or times. */
  measured: string
  against: string
  ratio: number
  /** Bound that the project sets itself; null where it is only told. */
  wants: { least?: number; most?: number } | null
}

export const settings = readSettings({ forTests: true })

export const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!

export function tell(ratios: Ratio[]): boolean {
  let well = true
  for (const { name, measured, against, ratio, wants } of ratios) {
    const holds =
      !wants ||
      ((wants.least === undefined || ratio >= wants.least) && (wants.most === undefined || ratio <= wants.most))
    well &&= holds
    const bound = !wants
      ? ''
      : `  (wants ${wants.least === undefined ? `${wants.most} at most` : `${wants.least} at least`}: ${holds ? 'holds' : 'MISSED'})`
    console.log(`${name}\n  ${measured}, against ${against}\n  ratio ${ratio.toFixed(2)}${bound}`)
  }
  return well
}

/**
 * Milliseconds that two calls take, turn and turn about, and the median of the ratios of each turn: a machine that is slow for
 * a moment is slow for both.
 */
export function compared(one: () => unknown, other: () => unknown, rounds = 25) {
  const took = (work: () => unknown) => {
    const began = performance.now()
    work()
    return performance.now() - began
  }
  for (let i = 0; i < 15; i++) [one, other].forEach((work) => work())
  const turns = Array.from({ length: rounds }, () => [took(one), took(other)] as const)
  return {
    one: median(turns.map(([ms]) => ms)),
    other: median(turns.map(([, ms]) => ms)),
    ratio: median(turns.map(([a, b]) => a / b)),
  }
}

/** Milliseconds a call takes, the median of several, after warming up. */
export function timeOf(work: () => unknown, rounds = 15): number {
  for (let i = 0; i < 3; i++) work()
  return median(
    Array.from({ length: rounds }, () => {
      const began = performance.now()
      work()
      return performance.now() - began
    }),
  )
}
