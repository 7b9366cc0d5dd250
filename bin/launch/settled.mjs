import { setTimeout as sleep } from 'node:timers/promises'
import pg from 'pg'
import { Complaint } from './complaint.mjs'

/** Ms that the demo's own work is waited for at most: its first looks, copies of its pictures. A minute on a quiet machine. */
const PATIENCE = 600_000
/** So many times in a row nothing was waiting: then it is through, and not between two steps. */
const CALM = 3

/**
 * Once a system has done what it does of itself after its start, or after a while. Beside that, what is tried or measured is slow.
 * @param {string} databaseUrl
 * @throws {Complaint} when it never is
 */
export async function settled(databaseUrl) {
  const database = new pg.Client({ connectionString: databaseUrl })
  await database.connect()
  try {
    let calm = 0
    for (const until = Date.now() + PATIENCE; calm < CALM && Date.now() < until; await sleep(700)) {
      const { rows } = await database.query(
        `SELECT EXISTS (SELECT 1 FROM queue.job WHERE state IN ('created', 'retry', 'active') AND start_after <= now()) AS busy`,
      )
      calm = rows[0].busy ? 0 : calm + 1
    }
    if (calm < CALM) throw new Complaint(`Jobs were still waiting after ${PATIENCE / 60_000} minutes.`)
  } finally {
    await database.end()
  }
}
