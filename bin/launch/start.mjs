import { buildWhatIsStale } from './build.mjs'
import { orComplain } from './complaint.mjs'
import { ensureNodePackages } from './node-packages.mjs'
import { readSettings } from './settings.mjs'
import { ensureSystemPackages } from './system-packages.mjs'
import { startSystem } from './system.mjs'

const say = (line) => console.log(line)

orComplain(async () => {
  const settings = readSettings()
  if (!settings.databaseUrl) ensureSystemPackages(['postgresql'], say)
  ensureNodePackages(say)
  await buildWhatIsStale(say)
  const system = await startSystem(settings)
  const url = /^ready (.+)$/m.exec(system.printed)[1]
  const setup = /^set-up (.+)$/m.exec(system.printed)?.[1]
  say(`\n  Pebblestrand is at  ${url}`)
  if (setup) say(`  Make the owner's account at  ${setup}`)
  else if (settings.demo) say('  Sign in as  mara@tern-and-tiller.example  with  low-tide-42')
  say('  Ctrl-C stops it.\n')

  let stopping = false
  const end = async (status) => {
    if (stopping) return
    stopping = true
    await system.stop()
    process.exit(status)
  }
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => void end(0))
  system.server.child.on('exit', () => void end(1))
})
