import type { Model, ModelStatic, Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import { up as first } from './0001-founding'
import { up as checkStarted } from './0002-check-started'
import { up as removals } from './0003-removals'
import { up as roomToGrow } from './0004-room-to-grow'

export interface Migration {
  name: string
  sql: string
  /**
   * One statement that cannot stand in a transaction, as CREATE INDEX CONCURRENTLY IF NOT EXISTS: a step of its own, which does
   * no harm when it is done again.
   */
  apart?: true
}

/** The tables that all began with, in order; a migration once landed is never changed. */
const founding: Migration[] = [
  { name: '0001-founding', sql: first },
  { name: '0002-check-started', sql: checkStarted },
  { name: '0003-removals', sql: removals },
  { name: '0004-room-to-grow', sql: roomToGrow },
]

/** Any number; keeps two processes from migrating at once. */
const LOCK = 4_600_001

/** How long a statement waits for a table that others use: whoever comes after it waits as long. */
const LOCK_TIMEOUT = '2s'
const TRIES = 30
/** Milliseconds between two tries, in which the others get their turn. */
const PAUSE_MS = 500

/** Brings the database to the newest shape: the founding tables, then what subjects have added. Safe to run from several processes at once. */
export async function migrate(db: Sequelize, more: readonly Migration[] = []): Promise<string[]> {
  return db.transaction(async (transaction) => {
    await db.query('SELECT pg_advisory_xact_lock(:lock)', { replacements: { lock: LOCK }, transaction })
    const done = new SequelizeStorage({ sequelize: db })
    const umzug = new Umzug({
      migrations: [...founding, ...more].map((one) => ({ name: one.name, up: () => patiently(db, done, one) })),
      // A step is recorded in its own transaction: it is done and known to be done, or neither.
      storage: {
        executed: () => done.executed(),
        logMigration: () => Promise.resolve(),
        unlogMigration: () => Promise.resolve(),
      },
      logger: undefined,
    })
    return (await umzug.up()).map((m) => m.name)
  })
}

const lockNotAvailable = (error: unknown) => (error as { parent?: { code?: string } }).parent?.code === '55P03'

/** Tries a step again while somebody is busy with its tables, and lets them work in between. */
async function patiently(db: Sequelize, done: SequelizeStorage, step: Migration): Promise<void> {
  for (let tries = 1; ; tries++)
    try {
      return await carryOut(db, done, step)
    } catch (error) {
      if (!lockNotAvailable(error) || tries === TRIES) throw error
      await new Promise((resolve) => setTimeout(resolve, PAUSE_MS))
    }
}

async function carryOut(db: Sequelize, done: SequelizeStorage, { name, sql, apart }: Migration): Promise<void> {
  if (apart) await db.query(sql)
  await db.transaction(async (transaction) => {
    await db.query(`SET LOCAL lock_timeout = '${LOCK_TIMEOUT}'`, { transaction })
    if (!apart) await db.query(sql, { transaction })
    await (done.model as unknown as ModelStatic<Model>).create({ name }, { transaction })
  })
}
