import { buildWhatIsStale } from './build.mjs'
import { Complaint, orComplain } from './complaint.mjs'
import { ensureNodePackages } from './node-packages.mjs'
import { readSettings } from './settings.mjs'
import { ensureSystemPackages, wishForSystemPackages } from './system-packages.mjs'
import { startSystem } from './system.mjs'

const say = (line) => console.log(line)

/** What whoever started it wants to know. */
function opening({ role, demo }, printed) {
  if (role === 'worker') return ['A worker is doing the jobs. Another process answers the web, with ROLE=web.']
  const setup = /^set-up (.+)$/m.exec(printed)?.[1]
  return [
    `Pebblestrand is at  ${/^ready (.+)$/m.exec(printed)[1]}`,
    ...(setup ? [`Make the owner's account at  ${setup}`] : []),
    ...(demo && !setup ? ['Sign in as  mara@tern-and-tiller.example  with  low-tide-42'] : []),
  ]
}

orComplain(async () => {
  const settings = readSettings()
  if (settings.role === 'worker' && !settings.databaseUrl)
    throw new Complaint(
      'ROLE=worker needs DATABASE_URL, the database it shares with the processes that answer the web.',
    )
  if (!settings.databaseUrl) ensureSystemPackages(['postgresql'], say)
  if (!process.env.PEBBLESTRAND_CHROMIUM) wishForSystemPackages(['chromium-headless-shell', 'fonts-liberation'], say)
  ensureNodePackages(say)
  await buildWhatIsStale(say)

  const end = new AbortController()
  for (const name of ['SIGINT', 'SIGTERM']) process.on(name, () => end.abort())
  if (process.env.PEBBLESTRAND_TIED === '1') process.stdin.resume().once('close', () => end.abort()) // who started it is gone
  const system = await startSystem(settings, { signal: end.signal }).catch((error) => {
    if (end.signal.aborted) process.exit(0)
    throw error
  })
  const stop = async (status) => {
    await system.stop()
    process.exit(status)
  }
  end.signal.addEventListener('abort', () => stop(0))
  system.server.child.on('exit', () => stop(end.signal.aborted ? 0 : 1))
  say(`\n${[...opening(settings, system.printed), 'Ctrl-C stops it.'].map((line) => `  ${line}`).join('\n')}\n`)
})
