import { rmSync } from 'node:fs'
import { settled } from '../bin/launch/settled.mjs'
import { startSystem } from '../bin/launch/system.mjs'
import { settings } from './pages/settings'

/** A whole running system with its demo, from an empty database, for the browser tests of one worker. Gives what ends it. */
export default async function startForTests(): Promise<() => Promise<void>> {
  rmSync(settings.data, { recursive: true, force: true })
  const system = await startSystem(settings, { durable: false })
  await settled(system.databaseUrl)
  return system.stop
}
