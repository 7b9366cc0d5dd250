import { spawn } from 'node:child_process'
import { createServer } from 'node:net'
import { Complaint } from './complaint.mjs'
import { root } from './settings.mjs'

/** A busy port is said before anything is started. */
export async function requireFreePort(port, variable, what, host) {
  await new Promise((resolve, reject) => {
    const probe = createServer()
    probe.once('error', (error) =>
      reject(
        new Complaint(
          error.code === 'EADDRINUSE'
            ? `Port ${port}, for ${what}, is taken by another program. Set ${variable} to a free one.`
            : `Port ${port}, for ${what}, cannot be used (${error.code}). Set ${variable} to another.`,
        ),
      ),
    )
    probe.listen(port, host, () => probe.close(resolve))
  })
}

/**
 * Starts a Node program of ours; `ready` resolves at the line that tells it is up, and rejects when it ends before.
 * It is tied to this process by its standard input: when that closes, however this process ended, the program stops too.
 */
export function startProgram(file, env, isReady) {
  const child = spawn(process.execPath, ['--enable-source-maps', file], {
    cwd: root,
    env: { ...process.env, ...env, PEBBLESTRAND_TIED: '1' },
    stdio: ['pipe', 'pipe', 'pipe'],
    detached: true,
  })
  const ready = new Promise((resolve, reject) => {
    let printed = '' // until it is up; whatever keeps it from that is said once, by the complaint
    let held = '' // of that, what was meant as a warning
    let up = false
    child.stderr.on('data', (data) => {
      if (up) return void process.stderr.write(data)
      printed += data
      held += data
    })
    child.stdout.on('data', (data) => {
      if (up) return void process.stdout.write(data)
      printed += data
      if (!isReady(printed)) return
      up = true
      process.stderr.write(held)
      resolve(printed)
    })
    child.on('exit', (status) =>
      reject(new Complaint(printed.trim().split('\n').slice(-5).join('\n') || `${file} ended with status ${status}.`)),
    )
  })
  const stop = () =>
    new Promise((resolve) => {
      if (child.exitCode !== null || child.signalCode) return resolve()
      child.once('exit', resolve)
      child.kill('SIGTERM')
      setTimeout(() => child.kill('SIGKILL'), 8000).unref()
    })
  return { child, ready, stop }
}
