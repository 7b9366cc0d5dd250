import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { settled } from '../bin/launch/settled.mjs'
import { startSystem } from '../bin/launch/system.mjs'
import { giving, silent } from '../packages/server/src/testing/faults/host'
import { Owner } from './owner'
import { askCheck, checkTime, plannedSite } from './planned-site'
import { median, settings, type Ratio } from './stand'

const HANGING_PAGES = 18
const ROUNDS = 7

/** A check of a healthy site while another takes requests and never answers, against the same check alone. */
export async function hangingSite(): Promise<Ratio[]> {
  const own = { ...settings, data: join(settings.data, 'bench-hanging') }
  rmSync(own.data, { recursive: true, force: true })
  const system = await startSystem(own, { durable: false })
  await settled(system.databaseUrl)
  const owner = new Owner()
  const sites: { stop(): Promise<void> }[] = []
  try {
    await owner.signIn()
    const well = await plannedSite(owner, 'well', 1, giving('<main>Hello</main>'))
    const hanging = await plannedSite(owner, 'hanging', HANGING_PAGES, silent)
    sites.push(well, hanging)
    const [healthy] = well.installs
    const times = async () => {
      const all: number[] = []
      for (let round = 0; round < ROUNDS; round++) all.push(await checkTime(owner, healthy!))
      return median(all)
    }
    // What planning queued is through, but for the hanging ones.
    await checkTime(owner, healthy!)
    const beside = await times()
    for (const install of hanging.installs) await askCheck(owner, install)
    const again = await times()
    await hanging.stop() // now it refuses at once, and its line is soon through
    await new Promise((resolve) => setTimeout(resolve, 8000))
    const alone = await times()
    return [
      {
        name: `a healthy site's check while one with ${HANGING_PAGES} pages hangs`,
        measured: `${Math.round(Math.max(beside, again))} ms`,
        against: `alone: ${Math.round(alone)} ms`,
        ratio: Math.max(beside, again) / alone,
        wants: { most: 2 },
      },
    ]
  } finally {
    for (const site of sites) await site.stop()
    await system.stop()
  }
}
