import { execFileSync } from 'node:child_process'
import { mkdirSync, rmSync, statfsSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import pg from 'pg'
import { startPostgres, stopLeftOver } from '../../bin/launch/postgres.mjs'
import { giving } from '../../packages/server/src/testing/faults/host'
import { address } from '../owner'
import { askCheck, ended, plannedSite } from '../planned-site'
import { plannedForm, REPLIES } from '../planned-form'
import { settings } from '../stand'
import { Ground, pause, until } from './ground'
import { tell } from './namespace'
import { mailsTo, sendForm } from './sent-form'

const NAME = 'faults-full'
const folder = join(settings.data, NAME)
rmSync(folder, { recursive: true, force: true })
mkdirSync(folder, { recursive: true })
execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=2g,mode=755', 'tmpfs', folder])
// Ground.start begins with an empty folder; the mount stays where it is.
const ground = await Ground.start(join(NAME, 'data'), {
  PEBBLESTRAND_TRUST_PROXY: '1',
  PEBBLESTRAND_FORM_ATTACK: '100000',
})
const ballast = join(folder, 'ballast')

/** Until nothing more goes onto it. */
function fill(): void {
  const { bavail, bsize } = statfsSync(folder)
  try {
    writeFileSync(ballast, Buffer.alloc(bavail * bsize), { flag: 'a' })
  } catch {
    // To the last page of it.
  }
}

const statusOf = async (path: string) => {
  try {
    const answer = await fetch(address + path)
    await answer.arrayBuffer()
    return answer.status
  } catch {
    return 0
  }
}

try {
  await ground.settled()
  const site = await plannedSite(ground.owner, 'full', 1, giving('<main>Hello</main>'))
  const { path, widgetId } = await plannedForm(ground.owner, {
    name: 'Sent onto a full disk',
    starter: 'voucher',
    delivery: REPLIES,
  })
  const { publicId } = await ground.owner.ask<{ publicId: string }>('GET', `/api/installs/${site.installs[0]}`)
  await ground.settled()
  await statusOf(`/p2/${publicId}.json`)

  fill()
  const kept: string[] = []
  const refused = new Set<number>()
  for (let n = 0; n < 400; n++) {
    const email = `full-${n}@visitor.example`
    const status = await sendForm(path, { email, consent: 'yes', name: 'x'.repeat(100) })
    if (status === 200) kept.push(email)
    else refused.add(status)
    if (n % 50 === 0) fill()
  }
  const served = [await statusOf(`/p2/${publicId}.json`), await statusOf('/strand.js')]
  const saving = await ground.owner.ask('PATCH', `/api/widgets/${widgetId}`, { name: 'Renamed on a full disk' }).then(
    () => 'saved',
    (error: Error) => error.message.slice(0, 160),
  )
  const alive = ground.system.server.child.exitCode === null
  tell({
    fault: 'the disk of database and data folder is full',
    seen: `${kept.length} of 400 forms taken, the others answered ${[...refused].join(' and ') || 'nothing'}; widget and script served with ${served.join(' and ')}; the server ${alive ? 'goes on' : 'ended'}; saving: ${saving}`,
    well: alive && served.every((status) => status === 200) && !refused.has(500) && !refused.has(0),
  })

  rmSync(ballast)
  // A database that ended for want of room is started again, as whoever runs it does.
  await pause(3000)
  const answers = await until(async () => (await statusOf('/api/health')) === 200, 5000)
  if (!answers) {
    await stopLeftOver(ground.own)
    startPostgres(ground.own, { durable: false })
  }
  const well = await until(async () => (await statusOf('/api/health')) === 200, 30_000)
  const email = 'afterwards@visitor.example'
  const status = await sendForm(path, { email, consent: 'yes' })
  const check = await ended(ground.owner, await askCheck(ground.owner, site.installs[0]!), 60_000)
  const came = await until(async () => (await mailsTo(email, ground.own.standinsPort)).length > 0, 60_000)
  const client = new pg.Client({ connectionString: ground.system.databaseUrl })
  await client.connect()
  const { rows } = await client.query<{ n: string }>('SELECT count(*) AS n FROM leads WHERE widget_id = $1', [widgetId])
  await client.end()
  tell({
    fault: 'there is room again',
    seen: `${answers ? '' : 'the database had to be started again; '}health is ${well ? 'well' : 'not well'}, a form ${status}, a check ${check}, its mail ${came ? 'came' : 'did not come'}; ${rows[0]!.n} answers are kept of ${kept.length + 1} that were said to be`,
    well: well && status === 200 && check === 'done' && came && Number(rows[0]!.n) === kept.length + 1,
  })
  await site.stop()
} finally {
  await ground.stop()
}
process.exit(0)
