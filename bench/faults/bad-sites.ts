import { dripping, giving } from '../../packages/server/src/testing/faults/host'
import { askCheck, checkTime, plannedSite } from '../planned-site'
import type { Ground } from './ground'

/** Client sites that answer badly, beside one that is well. */
export default async function badSites(ground: Ground): Promise<void> {
  const { owner } = ground
  const well = await plannedSite(owner, 'well', 1, giving('<main>Hello</main>'))
  await checkTime(owner, well.installs[0]!)
  const alone = await checkTime(owner, well.installs[0]!)
  for (const [name, answer] of [
    ['a site that sends a byte a second', dripping],
    ['a site of tangled pages', giving('<a href="/feed"><div>'.repeat(100_000))],
    ['a site of pages of 280,000 elements', giving('<p>x</p>'.repeat(280_000))],
  ] as const) {
    const bad = await plannedSite(owner, `bad-${ground.told.length}`, 8, answer)
    for (const install of bad.installs) await askCheck(owner, install)
    const beside = await checkTime(owner, well.installs[0]!)
    ground.note(
      `${name}, eight of them in check`,
      `a healthy check took ${Math.round(beside)} ms, alone ${Math.round(alone)} ms`,
      beside < Math.max(3000, 3 * alone),
    )
    await bad.stop()
  }
  await well.stop()
}
