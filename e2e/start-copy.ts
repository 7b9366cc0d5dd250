import { cpSync, rmSync } from 'node:fs'
import { startSystem } from '../bin/launch/system.mjs'
import { createDatabase } from './pages/copies'
import { demo, settings } from './pages/settings'

/** A whole running system of one worker's own, on a copy of the demo. Gives what ends it. */
export default async function startCopy(): Promise<() => Promise<void>> {
  const began = Date.now()
  rmSync(settings.data, { recursive: true, force: true })
  cpSync(demo.data, settings.data, { recursive: true })
  const databaseUrl = await createDatabase(settings.database, demo.database)
  const system = await startSystem({ ...settings, databaseUrl })
  console.log(`a copy of the demo is ready: ${Math.round((Date.now() - began) / 1000)} s`)
  return system.stop
}
