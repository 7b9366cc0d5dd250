import { connect } from 'node:net'
import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { buildWhatIsStale } from '../bin/launch/build.mjs'
import { startPostgres, stopLeftOver } from '../bin/launch/postgres.mjs'
import { startSystem } from '../bin/launch/system.mjs'
import { dripping, giving, slowly } from '../packages/server/src/testing/faults/host'
import { address, Owner } from './owner'
import { askCheck, checkTime, ended, plannedSite } from './planned-site'
import { settings } from './stand'

// npm run faults: the running system on loopback, while its parts are attacked, slowed and pulled out. A table of what came of it.

interface Row {
  fault: string
  seen: string
  well: boolean
}
const rows: Row[] = []
const note = (fault: string, seen: string, well: boolean) => void rows.push({ fault, seen, well })

await buildWhatIsStale(() => {})
const own = { ...settings, data: join(settings.data, 'faults-run') }
rmSync(own.data, { recursive: true, force: true })
let system = await startSystem(own, { durable: false })
const owner = new Owner()
const timed = async <T>(work: () => Promise<T>): Promise<[T, number]> => {
  const began = performance.now()
  return [await work(), Math.round(performance.now() - began)]
}

try {
  await owner.signIn()

  const body = `{"a":${'['.repeat(500_000)}${']'.repeat(500_000)}}`
  const post = () =>
    fetch(`${address}/api/session`, { method: 'POST', headers: { 'content-type': 'application/json' }, body })
  const [refused, ms] = await timed(post)
  note(
    'a megabyte of nested arrays from a stranger',
    `${refused.status} in ${ms} ms`,
    refused.status === 400 && ms < 1000,
  )

  const [closed, waited] = await timed(
    () =>
      new Promise<boolean>((resolve) =>
        connect(settings.port, '127.0.0.1')
          .once('close', () => resolve(true))
          .resume(),
      ),
  )
  note('a connection that says nothing', `closed after ${waited} ms`, closed && waited < 20_000)

  const well = await plannedSite(owner, 'well', 1, giving('<main>Hello</main>'))
  await checkTime(owner, well.installs[0]!)
  const alone = await checkTime(owner, well.installs[0]!)
  for (const [name, answer] of [
    ['a site that sends a byte a second', dripping],
    ['a site of tangled pages', giving('<a href="/feed"><div>'.repeat(100_000))],
    ['a site of pages of 280,000 elements', giving('<p>x</p>'.repeat(280_000))],
  ] as const) {
    const bad = await plannedSite(owner, `bad-${rows.length}`, 8, answer)
    for (const install of bad.installs) await askCheck(owner, install)
    const beside = await checkTime(owner, well.installs[0]!)
    note(
      `${name}, eight of them in check`,
      `a healthy check took ${Math.round(beside)} ms, alone ${Math.round(alone)} ms`,
      beside < Math.max(3000, 3 * alone),
    )
    await bad.stop()
  }

  const slow = await plannedSite(owner, 'slow', 12, slowly(400, giving('<main>Hello</main>')))
  const checks: string[] = []
  for (const install of slow.installs) checks.push(await askCheck(owner, install))
  await new Promise((resolve) => setTimeout(resolve, 900))
  stopLeftOver(own)
  const [visitor] = await timed(() => fetch(`${address}/strand.js`))
  await new Promise((resolve) => setTimeout(resolve, 4000))
  startPostgres(own, { durable: false })
  const afterwards = await Promise.all(checks.map((id) => ended(owner, id)))
  note(
    'the database stopped for 4 s with twelve checks under way',
    `${afterwards.filter((state) => state === 'done').length} of 12 done, the script answered ${visitor.status}`,
    afterwards.every((state) => state === 'done') && visitor.ok,
  )

  const more: string[] = []
  for (const install of slow.installs) more.push(await askCheck(owner, install))
  await new Promise((resolve) => setTimeout(resolve, 900))
  process.kill(system.server.child.pid!, 'SIGKILL')
  await system.stop()
  system = await startSystem(own, { durable: false })
  await owner.signIn()
  const states = await Promise.all(more.map((id) => ended(owner, id, 400_000)))
  note(
    'server and worker killed with twelve checks under way',
    `${states.filter((state) => state === 'done').length} of 12 done`,
    states.every((state) => state === 'done'),
  )
  for (const site of [well, slow]) await site.stop()
} finally {
  await system.stop()
}

const wide = Math.max(...rows.map((row) => row.fault.length))
for (const { fault, seen, well } of rows)
  process.stdout.write(`${well ? 'held  ' : 'FAILED'}  ${fault.padEnd(wide)}  ${seen}\n`)
process.exit(rows.every((row) => row.well) ? 0 : 1)
