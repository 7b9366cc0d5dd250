// Ports and folders, from the environment. Everything that is started gets them from here.
import { isAbsolute, join, resolve } from 'node:path'
import { fileURLToPath } from 'node:url'
import { Complaint } from './complaint.mjs'

export const root = fileURLToPath(new URL('../..', import.meta.url))

function port(name, byDefault) {
  const value = process.env[name] ?? String(byDefault)
  if (!/^\d+$/.test(value) || Number(value) < 1 || Number(value) > 65535)
    throw new Complaint(`${name} is "${value}"; it must be a port from 1 to 65535.`)
  return Number(value)
}

/** @returns settings for a running system, or for the tests when `forTests` is set (other ports, another folder). */
export function readSettings({ forTests = false } = {}) {
  const shift = forTests ? 10 : 0
  const prefix = forTests ? 'PEBBLESTRAND_TEST' : 'PEBBLESTRAND'
  const folder = process.env[`${prefix}_DATA`] ?? (forTests ? '.pebblestrand-test' : '.pebblestrand')
  return {
    port: port(`${prefix}_PORT`, 4600 + shift),
    standinsPort: port(`${prefix}_STANDINS_PORT`, 4700 + shift),
    /** Of the simulated mailbox; null: as far above the sites' as the server looks for it. */
    smtpPort: process.env[`${prefix}_SMTP_PORT`] ? port(`${prefix}_SMTP_PORT`, 0) : null,
    dbPort: port(`${prefix}_DB_PORT`, 54600 + shift),
    data: isAbsolute(folder) ? folder : resolve(join(root, folder)),
    databaseUrl: forTests ? null : (process.env.DATABASE_URL ?? null),
    demo: process.env.NO_DEMO !== '1',
    role: process.env.ROLE ?? 'all',
    loopback: process.env.PEBBLESTRAND_LOOPBACK ?? '127.0.0.1',
  }
}
