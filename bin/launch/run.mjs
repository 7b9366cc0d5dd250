import { spawn, spawnSync } from 'node:child_process'
import { Complaint } from './complaint.mjs'
import { root } from './settings.mjs'

/** Runs a command to its end, quietly; what it printed comes with the complaint when it fails. */
export function runQuietly(command, args, { env = process.env, cwd = root, failing = `${command} failed.` } = {}) {
  const done = spawnSync(command, args, {
    env,
    cwd,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'pipe'],
    maxBuffer: 1 << 26,
  })
  if (done.error) throw new Complaint(`${failing} ${done.error.message}`)
  if (done.status !== 0) {
    const said = (done.stderr || done.stdout || '').trim().split('\n')
    throw new Complaint(`${failing} ${said.at(-1) ?? ''}`.trim())
  }
  return done.stdout
}

/** Runs a command with its output shown; gives its exit status. */
export function runShown(command, args, env = process.env) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: root, env, stdio: 'inherit' })
    child.on('error', reject)
    child.on('exit', (status, signal) => resolve(signal ? 1 : status))
  })
}

export const isRoot = process.getuid?.() === 0
export const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0
