import type { Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import { up as founding } from './0001-founding'
import { up as checkStarted } from './0002-check-started'
import { up as removals } from './0003-removals'

/** In order; a migration once landed is never changed. */
const migrations = [
  { name: '0001-founding', sql: founding },
  { name: '0002-check-started', sql: checkStarted },
  { name: '0003-removals', sql: removals },
]

/** Any number; keeps two processes from migrating at once. */
const LOCK = 4_600_001

/** Brings the database to the newest shape. Safe to run from several processes at once. */
export async function migrate(db: Sequelize): Promise<string[]> {
  return db.transaction(async (transaction) => {
    await db.query('SELECT pg_advisory_xact_lock(:lock)', { replacements: { lock: LOCK }, transaction })
    const umzug = new Umzug({
      migrations: migrations.map(({ name, sql }) => ({ name, up: async () => void (await db.query(sql)) })),
      storage: new SequelizeStorage({ sequelize: db }),
      logger: undefined,
    })
    return (await umzug.up()).map((m) => m.name)
  })
}
