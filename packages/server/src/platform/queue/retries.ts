const MINUTE = 60_000

/** When something that failed is tried again. */
export interface Retries {
  /** Tries before it is given up; Infinity where it never is. */
  tries: number
  /** Minutes until the next try, after so many failures in a row: at least one. */
  pause(failures: number): number
}

/** These minutes one after another, the last for all that come after. */
export const stepped = (tries: number, minutes: readonly number[]): Retries => ({
  tries,
  pause: (failures) => minutes[Math.min(Math.max(failures, 1), minutes.length) - 1]!,
})

/** Without end: so many minutes, doubled with every failure, `most` at the most. */
export const doubling = (minutes: number, most: number): Retries => ({
  tries: Infinity,
  pause: (failures) => Math.min(Math.max(minutes, most), minutes * 2 ** Math.min(failures, 12)),
})

/** What came of one try. `refused` is for good; `failed` may do better later, at a time that the other side named where it did. */
export type Outcome = { how: 'done' } | { how: 'refused' | 'failed'; problem: string; retryAt?: Date | undefined }

/** What is written down after a try. `nextAt` is there only where another follows. */
export type AfterTry =
  | { state: 'done'; tries: number; problem: null; nextAt: null }
  | { state: 'refused' | 'given-up'; tries: number; problem: string; nextAt: null }
  | { state: 'waiting'; tries: number; problem: string; nextAt: Date }

/** @param before tries that were made before this one */
export function afterTry(retries: Retries, outcome: Outcome, before: number, now: Date): AfterTry {
  const tries = before + 1
  if (outcome.how === 'done') return { state: 'done', tries, problem: null, nextAt: null }
  const { how, problem, retryAt } = outcome
  if (how === 'refused') return { state: 'refused', tries, problem, nextAt: null }
  if (tries >= retries.tries) return { state: 'given-up', tries, problem, nextAt: null }
  return { state: 'waiting', tries, problem, nextAt: retryAt ?? nextTry(retries, tries, now) }
}

export const nextTry = (retries: Retries, failures: number, now: Date): Date =>
  new Date(now.getTime() + retries.pause(failures) * MINUTE)

/** Whether something that was tried then is due again. */
export const isDueAgain = (retries: Retries, triedAt: Date, failures = 1, now = new Date()): boolean =>
  nextTry(retries, failures, triedAt) <= now
