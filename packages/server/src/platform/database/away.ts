import { setTimeout as sleep } from 'node:timers/promises'
import { ConnectionError } from 'sequelize'

/**
 * What passes by itself or once somebody sees to it, and is no fault of what was asked: no connection, or one that ended while it was
 * used (PostgreSQL's class 57P, operator intervention), no room on its disk, no memory, no connection left (53000 to 53300,
 * insufficient resources), a disk that fails (58030).
 */
export function isDatabaseAway(error: unknown): boolean {
  if (error instanceof ConnectionError) return true
  const { code, message } = ((error as { original?: unknown })?.original ?? error ?? {}) as Partial<
    Error & { code: string }
  >
  return /^(57P|53[0-3]|58030|ECONNREFUSED|ECONNRESET)/.test(code ?? '') || /^Connection terminated/.test(message ?? '')
}

const EVERY_MS = 1000
const LONGEST_MS = 10 * 60_000

/** Does what has to be noted, as soon as the database can be asked; what is wrong otherwise is thrown at once. */
export async function onceBack<T>(note: () => Promise<T>): Promise<T> {
  for (const began = Date.now(); ; await sleep(EVERY_MS, undefined, { ref: false })) {
    try {
      return await note()
    } catch (error) {
      if (!isDatabaseAway(error) || Date.now() - began > LONGEST_MS) throw error
    }
  }
}
