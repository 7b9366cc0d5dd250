import { buildWhatIsStale } from '../../bin/launch/build.mjs'
import { Ground, words, type Told } from './ground'

// npm run faults [-- names]: the running system on loopback, while its parts are attacked, slowed, filled up and pulled out. A table of
// what was tried and what came of it. `memory` takes ten minutes; names choose some of them.

type Trial = (ground: Ground) => Promise<void>

/** In this order on one system; each leaves it running and whole. */
const shared: Record<string, () => Promise<{ default: Trial }>> = {
  strangers: () => import('./strangers'),
  coupons: () => import('./coupons'),
  'bad-sites': () => import('./bad-sites'),
  'huge-pages': () => import('./huge-pages'),
  database: () => import('./database-away'),
  killed: () => import('./killed'),
  clock: () => import('./clock'),
  memory: () => import('./memory'),
}
/** Those that bring a system of their own. */
const apart: Record<string, () => Promise<{ default: () => Promise<Told[]> }>> = {
  'full-disk': () => import('./full-disk'),
  rebinding: () => import('./rebinding'),
}

const chosen = process.argv.slice(2)
const unknown = chosen.filter((name) => !(name in shared) && !(name in apart))
if (unknown.length)
  throw new Error(
    `There is no fault called ${unknown[0]}; there are ${Object.keys({ ...shared, ...apart }).join(', ')}.`,
  )
const wanted = (name: string) => !chosen.length || chosen.includes(name)

await buildWhatIsStale(() => {})
const told: Told[] = []
const names = Object.keys(shared).filter(wanted)
if (names.length) {
  const ground = await Ground.start('faults-run', { PEBBLESTRAND_TRUST_PROXY: '1', PEBBLESTRAND_FORM_ATTACK: '100000' })
  try {
    await ground.settled()
    for (const name of names) await (await shared[name]!()).default(ground)
  } finally {
    await ground.stop()
  }
  told.push(...ground.told)
}
for (const name of Object.keys(apart).filter(wanted)) told.push(...(await (await apart[name]!()).default()))

const wide = Math.max(...told.map(({ fault }) => fault.length))
process.stdout.write('\n')
for (const { fault, seen, well } of told) process.stdout.write(`${words(well)}  ${fault.padEnd(wide)}  ${seen}\n`)
const failed = told.filter(({ well }) => well === false).length
process.stdout.write(`\n${told.length} tried, ${failed} failed\n`)
process.exit(failed ? 1 : 0)
