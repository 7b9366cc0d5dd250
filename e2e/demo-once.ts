import { existsSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { buildWhatIsStale } from '../bin/launch/build.mjs'
import { endWithParent } from '../bin/launch/end-with.mjs'
import { startPostgres, stopLeftOver } from '../bin/launch/postgres.mjs'
import { requireFreePort } from '../bin/launch/processes.mjs'
import { settled } from '../bin/launch/settled.mjs'
import { startSystem } from '../bin/launch/system.mjs'
import { createDatabase } from './pages/copies'
import { base, demo, loopbackOf } from './pages/settings'

/**
 * Once a run, before any test: seeds the demo, waits until its first checks are through, and stops it. Each worker then starts a system
 * on a copy (start-copy.ts). Gives what ends the database. With PEBBLESTRAND_TEST_KEEP_DEMO=1 the demo of the last run is taken, which
 * saves two minutes while a test is being written.
 */
export default async function makeDemo(): Promise<() => void> {
  endWithParent(() => process.exit(1))
  await buildWhatIsStale((line: string) => console.log(line))
  await stopLeftOver(base)
  const isThere = Boolean(process.env.PEBBLESTRAND_TEST_KEEP_DEMO) && existsSync(demo.data)
  if (!isThere) rmSync(join(base.data, 'e2e'), { recursive: true, force: true })
  await requireFreePort(base.dbPort, 'PEBBLESTRAND_TEST_DB_PORT', 'the tests’ database', '127.0.0.1')
  const postgres = startPostgres(base, { durable: false })
  process.env.PEBBLESTRAND_E2E_POSTGRES = postgres.url
  if (isThere) return postgres.stop
  const began = Date.now()
  try {
    const databaseUrl = await createDatabase(demo.database)
    // Nobody else is there: pages are waited for more than they are worked on.
    const env = { PEBBLESTRAND_LOOKS_AT_ONCE: '5' }
    const system = await startSystem({ ...base, data: demo.data, databaseUrl, loopback: loopbackOf(0) }, { env })
    await settled(databaseUrl)
    await system.stop()
  } catch (error) {
    postgres.stop()
    throw error
  }
  console.log(`demo seeded, checked and settled: ${Math.round((Date.now() - began) / 1000)} s`)
  return postgres.stop
}
