// The whole running system: database, stand-ins, server with its worker.
import { join } from 'node:path'
import { mkdirSync } from 'node:fs'
import { startPostgres, stopLeftOver } from './postgres.mjs'
import { requireFreePort, startProgram } from './processes.mjs'
import { root } from './settings.mjs'

/** How far above the simulated sites' port the mailbox listens, where nothing else is said. */
const MAILBOX = 50

const program = (name) => join(root, 'packages', name, 'dist', 'main.js')

/**
 * Starts everything in order.
 * @param signal whose abort stops what has been started so far; the start is then refused with its reason
 * @returns what the server printed when it was ready, the database's address, and `stop`, which undoes it in the other order
 */
export async function startSystem(settings, { durable = true, env = {}, signal } = {}) {
  const stops = []
  let ending = Promise.resolve()
  const stop = () =>
    (ending = ending.then(async () => {
      while (stops.length) await stops.pop()()
    }))
  signal?.addEventListener('abort', stop)
  const requireFree = (port, variable, what) => requireFreePort(port, variable, what, settings.loopback)
  try {
    if (settings.role !== 'worker') await requireFree(settings.port, 'PEBBLESTRAND_PORT', 'the application')
    if (settings.demo) await requireFree(settings.standinsPort, 'PEBBLESTRAND_STANDINS_PORT', 'the simulated sites')
    const smtpPort = settings.smtpPort ?? settings.standinsPort + MAILBOX
    if (settings.demo) await requireFree(smtpPort, 'PEBBLESTRAND_SMTP_PORT', 'the simulated mailbox')
    signal?.throwIfAborted()
    mkdirSync(settings.data, { recursive: true })
    const database = settings.databaseUrl
      ? { url: settings.databaseUrl, stop: () => {} }
      : await startOwnPostgres(settings, durable)
    stops.push(database.stop)
    const shared = {
      PEBBLESTRAND_PORT: String(settings.port),
      PEBBLESTRAND_STANDINS_PORT: String(settings.standinsPort),
      PEBBLESTRAND_SMTP_PORT: String(smtpPort),
      PEBBLESTRAND_DATA: settings.data,
      PEBBLESTRAND_LOOPBACK: settings.loopback,
      DATABASE_URL: database.url,
      NODE_ENV: 'production',
      ...env,
    }
    if (settings.demo) {
      const standins = startProgram(program('standins'), shared, (printed) => printed.includes('ready'))
      stops.push(standins.stop)
      await standins.ready
    }
    signal?.throwIfAborted()
    const server = startProgram(program('server'), shared, (printed) => /^ready /m.test(printed))
    stops.push(server.stop)
    const printed = await server.ready
    return { printed, databaseUrl: database.url, server, stop }
  } catch (error) {
    await stop()
    throw error
  }
}

async function startOwnPostgres(settings, durable) {
  await stopLeftOver(settings)
  await requireFreePort(settings.dbPort, 'PEBBLESTRAND_DB_PORT', 'the database', '127.0.0.1')
  return startPostgres(settings, { durable })
}
