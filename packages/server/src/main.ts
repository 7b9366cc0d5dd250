import { ZodError } from 'zod'
import { setupKey } from './accounts/setup'
import { outliveReaders } from './platform/log-stream'
import { start } from './start'

/** One clear line for whoever started it. */
function complain(error: unknown): never {
  const message =
    error instanceof ZodError
      ? error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('; ')
      : (error as NodeJS.ErrnoException)?.code === 'EADDRINUSE'
        ? `Port ${(error as { port?: number }).port} is taken. Set PEBBLESTRAND_PORT to a free one.`
        : error instanceof Error
          ? error.message
          : String(error)
  process.stderr.write(`Pebblestrand cannot start. ${message}\n`)
  process.exit(1)
}

/** Nothing should come here. Should it, it is told, and the others are served on. */
for (const event of ['unhandledRejection', 'uncaughtException'] as const)
  process.on(event, (error: unknown) => {
    const what = error instanceof Error ? (error.stack ?? error.message) : String(error)
    process.stderr.write(`${JSON.stringify({ level: 'error', event, what })}\n`)
  })

/** Ms after which it ends all the same: a database that is away answers no goodbye. */
const LONGEST_STOP_MS = 20_000

let running: Awaited<ReturnType<typeof start>> | null = null
let stopping = false
function stop(): void {
  if (stopping) return
  stopping = true
  if (!running) process.exit(1)
  setTimeout(() => process.exit(1), LONGEST_STOP_MS).unref()
  running.stop().then(
    () => process.exit(0),
    (error: unknown) => complain(error),
  )
}

outliveReaders()
try {
  // Who started it is gone, perhaps while it waits for a database that went with them.
  if (process.env.PEBBLESTRAND_TIED === '1') process.stdin.resume().once('close', stop)
  running = await start(process.env, { logger: true })
  const key = await setupKey()
  if (key) process.stdout.write(`set-up ${running.config.origin}/set-up?key=${key}\n`)
  process.stdout.write(`ready ${running.config.origin}\n`)
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, stop)
} catch (error) {
  complain(error)
}
