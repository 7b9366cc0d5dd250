import { startPostgres, stopLeftOver } from '../../bin/launch/postgres.mjs'
import { giving, slowly } from '../../packages/server/src/testing/faults/host'
import { address } from '../owner'
import { askCheck, ended, plannedSite } from '../planned-site'
import { pause, timed, type Ground } from './ground'

/** The database stops while checks are under way, and comes back. */
export default async function databaseAway(ground: Ground): Promise<void> {
  const { owner } = ground
  const slow = await plannedSite(owner, 'slow', 12, slowly(400, giving('<main>Hello</main>')))
  const checks: string[] = []
  for (const install of slow.installs) checks.push(await askCheck(owner, install))
  await pause(900)
  await stopLeftOver(ground.own)
  const [visitor] = await timed(() => fetch(`${address}/strand.js`))
  await pause(4000)
  startPostgres(ground.own, { durable: false })
  const afterwards = await Promise.all(checks.map((id) => ended(owner, id)))
  ground.note(
    'the database stopped for 4 s with twelve checks under way',
    `${afterwards.filter((state) => state === 'done').length} of 12 done, the script answered ${visitor.status}`,
    afterwards.every((state) => state === 'done') && visitor.ok,
  )
  await slow.stop()
}
