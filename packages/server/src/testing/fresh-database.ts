import { randomBytes } from 'node:crypto'
import { Client } from 'pg'

/** With every table and no row; databases of tests are copies of it, which is many times faster than making the tables. */
export const WITH_TABLES = 'with_tables'

/** Any number; keeps two test files from making the tables at once. */
const LOCK = 4_600_090

/** Runs statements on one connection to `url`. */
export async function asking<T>(url: string, work: (client: Client) => Promise<T>): Promise<T> {
  const client = new Client({ connectionString: url })
  await client.connect()
  try {
    return await work(client)
  } finally {
    await client.end()
  }
}

export const addressOf = (base: string, database: string) =>
  Object.assign(new URL(base), { pathname: `/${database}` }).href

/**
 * A new database in the cluster at `base`.
 * @param makeTables fills an empty database; called once a run
 * @returns its address
 */
export async function freshDatabase(base: string, makeTables: (url: string) => Promise<void>): Promise<string> {
  const name = `t_${randomBytes(6).toString('hex')}`
  await asking(base, async (client) => {
    await client.query('SELECT pg_advisory_lock($1)', [LOCK])
    const { rowCount } = await client.query('SELECT 1 FROM pg_database WHERE datname = $1', [WITH_TABLES])
    if (!rowCount) {
      const halfway = `${WITH_TABLES}_halfway`
      await client.query(`DROP DATABASE IF EXISTS ${halfway} WITH (FORCE)`)
      await client.query(`CREATE DATABASE ${halfway}`)
      await makeTables(addressOf(base, halfway))
      await client.query(`ALTER DATABASE ${halfway} RENAME TO ${WITH_TABLES}`)
    }
    await client.query(`CREATE DATABASE ${name} TEMPLATE ${WITH_TABLES} STRATEGY file_copy`)
  })
  return addressOf(base, name)
}

export async function dropDatabase(url: string): Promise<void> {
  const name = new URL(url).pathname.slice(1)
  await asking(addressOf(url, 'postgres'), (client) => client.query(`DROP DATABASE ${name} WITH (FORCE)`))
}
