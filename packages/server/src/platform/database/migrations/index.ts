import type { Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import { up as first } from './0001-founding'
import { up as checkStarted } from './0002-check-started'
import { up as removals } from './0003-removals'
import { up as roomToGrow } from './0004-room-to-grow'

export interface Migration {
  name: string
  sql: string
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

/** Brings the database to the newest shape: the founding tables, then what subjects have added. Safe to run from several processes at once. */
export async function migrate(db: Sequelize, more: readonly Migration[] = []): Promise<string[]> {
  return db.transaction(async (transaction) => {
    await db.query('SELECT pg_advisory_xact_lock(:lock)', { replacements: { lock: LOCK }, transaction })
    const umzug = new Umzug({
      migrations: [...founding, ...more].map(({ name, sql }) => ({ name, up: async () => void (await db.query(sql)) })),
      storage: new SequelizeStorage({ sequelize: db }),
      logger: undefined,
    })
    return (await umzug.up()).map((m) => m.name)
  })
}
