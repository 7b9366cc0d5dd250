import { rmSync } from 'node:fs'
import { join } from 'node:path'
import type { TestProject } from 'vitest/node'
import { asking, WITH_TABLES } from './fresh-database'

declare module 'vitest' {
  interface ProvidedContext {
    databaseUrl: string
    /** One for each worker, see standins.ts. */
    standinsPorts: number[]
  }
}

const launch = new URL('../../../../bin/launch/', import.meta.url)

/** A database and the simulated sites, once for all tests. Each test file then makes a database of its own in it. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const [
    { readSettings, root },
    { startPostgres, stopLeftOver },
    { startProgram, requireFreePort },
    { buildWhatIsStale },
    { endWithParent },
  ] = await Promise.all(
    ['settings', 'postgres', 'processes', 'build', 'end-with'].map(
      (name) => import(new URL(`${name}.mjs`, launch).href),
    ),
  )
  const settings = readSettings({ forTests: true })
  await buildWhatIsStale(() => {}, [
    'widget runtime',
    'server',
    'reading threads',
    'picture process',
    'stand-ins',
    'web application',
  ])
  await stopLeftOver(settings)
  await requireFreePort(settings.dbPort, 'PEBBLESTRAND_TEST_DB_PORT', 'the tests’ database', '127.0.0.1')
  endWithParent(() => process.exit(1))
  const database = startPostgres(settings, { durable: false })
  // A run before this one may have had other tables.
  await asking(database.url, (client) => client.query(`DROP DATABASE IF EXISTS ${WITH_TABLES} WITH (FORCE)`))
  const standinsPorts = Array.from(
    { length: project.config.maxWorkers },
    (_, worker) => settings.standinsPort + 1 + worker,
  )
  const standins = standinsPorts.map((port) => {
    const pages = join(settings.data, `unit-${port}`)
    rmSync(pages, { recursive: true, force: true }) // a run that was cut off may have left something on them
    return startProgram(
      join(root, 'packages/standins/dist/main.js'),
      { PEBBLESTRAND_STANDINS_PORT: String(port), PEBBLESTRAND_DATA: pages },
      (printed: string) => printed.includes('ready'),
    )
  })
  await Promise.all(standins.map(({ ready }) => ready))
  project.provide('databaseUrl', database.url)
  project.provide('standinsPorts', standinsPorts)
  return async () => {
    await Promise.all(standins.map((one) => one.stop()))
    database.stop()
  }
}
