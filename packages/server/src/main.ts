import { ZodError } from 'zod'
import { setupKey } from './accounts/setup'
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

try {
  const running = await start(process.env, { logger: true })
  const key = await setupKey()
  if (key) process.stdout.write(`set-up ${running.config.origin}/set-up?key=${key}\n`)
  process.stdout.write(`ready ${running.config.origin}\n`)
  let stopping = false
  const stop = () => {
    if (stopping) return
    stopping = true
    running.stop().then(
      () => process.exit(0),
      (error: unknown) => complain(error),
    )
  }
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, stop)
  if (process.env.PEBBLESTRAND_TIED === '1') process.stdin.resume().once('close', stop) // who started it is gone
} catch (error) {
  complain(error)
}
