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
  statusOf(spawn(command, args, { cwd: root, env, stdio: 'inherit', detached: true }))

/** The same beside other commands: what it prints is shown in one piece when it ends. */
export async function runApart(command, args, env = process.env) {
  const child = spawn(command, args, { cwd: root, env, stdio: ['ignore', 'pipe', 'pipe'], detached: true })
  const printed = []
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (bytes) => printed.push(bytes))
  const status = await statusOf(child)
  process.stdout.write(Buffer.concat(printed))
  return status
}

/** Each leads a process group of its own. */
const running = new Set()

/** Of a process, when it has ended and all that it printed has come. */
const statusOf = (child) =>
  new Promise((resolve, reject) => {
    running.add(child)
    child.on('error', reject)
    child.on('close', (status, signal) => {
      running.delete(child)
      resolve(signal ? 1 : status)
    })
  })

/** Ms that a command is given to end by itself. */
const GRACE_MS = 8000

/** Ends all commands that run, with whatever they have started. Test runners undo what they have set up when they are interrupted. */
export async function endRunning() {
  const all = [...running]
  const ended = all.map((child) => new Promise((resolve) => child.once('close', resolve)))
  for (const child of all) child.kill('SIGINT')
  await Promise.race([Promise.all(ended), new Promise((resolve) => setTimeout(resolve, GRACE_MS))])
  for (const { pid } of all)
    try {
      process.kill(-pid, 'SIGKILL')
    } catch {
      // Nothing of its group is left.
    }
}

export const isRoot = process.getuid?.() === 0
export const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0
