import { rmSync } from 'node:fs'
import { setTimeout as sleep } from 'node:timers/promises'
import { Client } from 'pg'
import { startSystem } from '../bin/launch/system.mjs'
import { settings } from './pages/settings'

/** Ms that the demo's own work is waited for at most: its first looks, copies of its pictures. */
const PATIENCE = 100_000
/** So many times in a row nothing was waiting: then it is through, and not between two steps. */
const CALM = 3

/**
 * A whole running system with its demo, from an empty database, for the browser tests of one worker. What it has to do of itself
 * after its start is done: beside it the first tests would be slow, and no test is about it. Gives what ends it.
 */
export default async function startForTests(): Promise<() => Promise<void>> {
  rmSync(settings.data, { recursive: true, force: true })
  const system = await startSystem(settings, { durable: false })
  await settled(system.databaseUrl)
  return system.stop
}

async function settled(databaseUrl: string): Promise<void> {
  const database = new Client({ connectionString: databaseUrl })
  await database.connect()
  try {
    let calm = 0
    for (const until = Date.now() + PATIENCE; calm < CALM && Date.now() < until; await sleep(700)) {
      const { rows } = await database.query<{ busy: boolean }>(
        `SELECT EXISTS (SELECT 1 FROM queue.job WHERE state IN ('created', 'retry', 'active') AND start_after <= now()) AS busy`,
      )
      calm = rows[0]!.busy ? 0 : calm + 1
    }
  } finally {
    await database.end()
  }
}
