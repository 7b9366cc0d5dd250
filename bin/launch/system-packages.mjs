// Debian's packages: PostgreSQL to run; Chromium, and fonts for it to measure with, for the browser tests.
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

const there = {
  postgresql: () => postgresPrograms() !== null,
  chromium: () => existsSync('/usr/bin/chromium'),
  'fonts-liberation': () => existsSync('/usr/share/fonts/truetype/liberation'),
}

/** Installs what is missing through apt as root or by sudo; else says the exact command. */
export function ensureSystemPackages(wanted, say) {
  const missing = wanted.filter((name) => !there[name]())
  if (!missing.length) return
  const command = `apt-get install -y --no-install-recommends ${missing.join(' ')}`
  const sudo = isRoot ? [] : has('sudo') && spawnSync('sudo', ['-n', 'true']).status === 0 ? ['sudo', '-n'] : null
  if (!has('apt-get') || !sudo)
    throw new Complaint(`${missing.join(' and ')} missing. Run this, then start again:  sudo ${command}`)
  say(`Installing ${missing.join(' and ')} …`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  const apt = (line) => {
    const [program, ...args] = [...sudo, ...line.split(' ')]
    runQuietly(program, args, { env, failing: `Could not run: ${line}` })
  }
  apt('apt-get update')
  apt(command)
}
