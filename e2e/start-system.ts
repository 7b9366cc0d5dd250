import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { buildWhatIsStale } from '../bin/launch/build.mjs'
import { readSettings } from '../bin/launch/settings.mjs'
import { startSystem } from '../bin/launch/system.mjs'

/** The whole running system with its demo, from an empty database, for all browser tests. Gives what ends it. */
export default async function startForTests(): Promise<() => Promise<void>> {
  await buildWhatIsStale((line: string) => console.log(line))
  const settings = readSettings({ forTests: true })
  const own = { ...settings, data: join(settings.data, 'e2e') }
  rmSync(own.data, { recursive: true, force: true })
  const system = await startSystem(own, { durable: false })
  return system.stop
}
