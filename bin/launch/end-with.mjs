// Whatever is started here ends with whoever started it, however that ended: told to, by a crash or by `kill -9`.
import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'

const WATCH_MS = 500

/** Calls `end` once when the process that started this one is gone: nothing tells a process that, but its parent changes. */
export function endWithParent(end, parent = process.ppid) {
  const timer = setInterval(() => {
    if (process.ppid === parent) return
    clearInterval(timer)
    end()
  }, WATCH_MS)
  timer.unref()
}

/**
 * Sends a signal to a process that went its own way (a daemon) as soon as this one is gone.
 * @returns forgets it
 */
export function signalWhenGone(pid, signal) {
  const watcher = spawn(process.execPath, [fileURLToPath(import.meta.url), String(pid), signal], {
    stdio: ['pipe', 'ignore', 'ignore'],
    detached: true,
  })
  watcher.unref()
  watcher.stdin.unref()
  return () => watcher.kill('SIGKILL')
}

// As the watcher: its standard input closes when its starter is gone.
if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const [pid, signal] = process.argv.slice(2)
  process.stdin.resume().once('close', () => {
    try {
      process.kill(Number(pid), signal)
    } catch {
      // It has ended already.
    }
  })
}
