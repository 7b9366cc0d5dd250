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
export const runShown = (command, args, env = process.env) =>
  statusOf(spawn(command, args, { cwd: root, env, stdio: 'inherit' }))

/** The same beside other commands: what it prints is shown in one piece when it ends. */
export async function runApart(command, args, env = process.env) {
  const child = spawn(command, args, { cwd: root, env, stdio: ['ignore', 'pipe', 'pipe'] })
  const printed = []
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (bytes) => printed.push(bytes))
  const status = await statusOf(child)
  process.stdout.write(Buffer.concat(printed))
  return status
}

/** Of a process, when it has ended and all that it printed has come. Whoever ends us ends it. */
const statusOf = (child) =>
  new Promise((resolve, reject) => {
    const passOn = (signal) => child.kill(signal)
    for (const signal of ['SIGTERM', 'SIGINT']) process.on(signal, passOn)
    child.on('error', reject)
    child.on('close', (status, signal) => {
      for (const one of ['SIGTERM', 'SIGINT']) process.off(one, passOn)
      resolve(signal ? 1 : status)
    })
  })

export const isRoot = process.getuid?.() === 0
export const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0
