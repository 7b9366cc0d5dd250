// Debian's packages: PostgreSQL to run; Chromium to look at client pages, and fonts for it to measure with.
import { existsSync, readdirSync } from 'node:fs'
import { spawnSync } from 'node:child_process'
import { Complaint } from './complaint.mjs'
import { has, isRoot, runQuietly } from './run.mjs'

/** The folder of the newest PostgreSQL's programs; null where there is none. */
export function postgresPrograms() {
  const base = '/usr/lib/postgresql'
  const versions = existsSync(base) ? readdirSync(base).filter((v) => existsSync(`${base}/${v}/bin/initdb`)) : []
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0]
  return newest ? `${base}/${newest}/bin` : null
}

const signs = {
  postgresql: () => postgresPrograms() !== null,
  // The whole of Chromium does as well, in more than twice the time.
  'chromium-headless-shell': () =>
    ['/usr/lib/chromium/chromium-headless-shell', '/usr/bin/chromium'].some((path) => existsSync(path)),
  'fonts-liberation': () => existsSync('/usr/share/fonts/truetype/liberation'),
}

/** This machine: what it has, what goes before apt-get (nothing for root; null where we may not install), and how it is run. */
const thisMachine = {
  has: (name) => signs[name](),
  asRoot() {
    if (!has('apt-get')) return null
    if (isRoot) return []
    return has('sudo') && spawnSync('sudo', ['-n', 'true']).status === 0 ? ['sudo', '-n'] : null
  },
  run(command) {
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
    runQuietly(command[0], command.slice(1), { env, failing: `Could not run: ${command.join(' ')}` })
  },
}

/** Installs what is missing through apt as root or by sudo; else says the exact command. */
export function ensureSystemPackages(wanted, say, machine = thisMachine) {
  const missing = wanted.filter((name) => !machine.has(name))
  if (!missing.length) return
  const install = ['apt-get', 'install', '-y', '--no-install-recommends', ...missing]
  const before = machine.asRoot()
  if (!before)
    throw new Complaint(
      `This machine lacks ${missing.join(' and ')}. Run this, then start again:  sudo ${install.join(' ')}`,
    )
  say(`Installing ${missing.join(' and ')} …`)
  machine.run([...before, 'apt-get', 'update'])
  machine.run([...before, ...install])
}

/** The same for what is good to have: without it the start goes on, and says what is left out. */
export function wishForSystemPackages(wanted, say, machine = thisMachine) {
  try {
    ensureSystemPackages(wanted, say, machine)
  } catch (error) {
    if (!(error instanceof Complaint)) throw error
    say(`Going on without ${wanted.join(' and ')}: pages are not looked at in a browser. ${error.message}`)
  }
}
