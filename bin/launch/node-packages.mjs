import { existsSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { Complaint } from './complaint.mjs'
import { runQuietly } from './run.mjs'
import { root } from './settings.mjs'

/** `npm ci` when the lock file is newer than what is installed. */
export function ensureNodePackages(say) {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19))
    throw new Complaint(`Pebblestrand needs Node.js 20.19 or newer; this is ${process.versions.node}.`)
  const lock = join(root, 'package-lock.json')
  const installed = join(root, 'node_modules', '.package-lock.json')
  if (existsSync(installed) && statSync(installed).mtimeMs >= statSync(lock).mtimeMs) return
  say('Installing packages …')
  runQuietly('npm', ['ci', '--no-audit', '--no-fund'], { failing: 'npm ci failed.' })
}
