import { rmSync } from 'node:fs'
import { join } from 'node:path'
import type { TestProject } from 'vitest/node'

declare module 'vitest' {
  interface ProvidedContext {
    databaseUrl: string
    standinsPort: number
  }
}

const launch = new URL('../../../../bin/launch/', import.meta.url)

/** A database and the simulated sites, once for all tests. Each test file then makes a database of its own in it. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const [{ readSettings, root }, { startPostgres, stopLeftOver }, { startProgram }, { buildWhatIsStale }] =
    await Promise.all(
      ['settings', 'postgres', 'processes', 'build'].map((name) => import(new URL(`${name}.mjs`, launch).href)),
    )
  const settings = readSettings({ forTests: true })
  await buildWhatIsStale(() => {}, ['widget runtime', 'reading threads', 'stand-ins', 'web application'])
  stopLeftOver(settings)
  const database = startPostgres(settings, { durable: false })
  const standinsPort = settings.standinsPort + 1
  const pages = join(settings.data, 'unit')
  rmSync(pages, { recursive: true, force: true }) // a run that was cut off may have left something on them
  const standins = startProgram(
    join(root, 'packages/standins/dist/main.js'),
    { PEBBLESTRAND_STANDINS_PORT: String(standinsPort), PEBBLESTRAND_DATA: pages },
    (printed: string) => printed.includes('ready'),
  )
  await standins.ready
  project.provide('databaseUrl', database.url)
  project.provide('standinsPort', standinsPort)
  return async () => {
    await standins.stop()
    database.stop()
  }
}
