import pg from 'pg'

const server = () => {
  const url = process.env.PEBBLESTRAND_E2E_POSTGRES
  if (!url) throw new Error('The browser tests need the database that demo-once.ts starts.')
  return new URL(url)
}

/** A database in the tests' cluster in place of one of that name: empty, or a copy of another that nobody is connected to. Gives its address. */
export async function createDatabase(name: string, copyOf = 'template1'): Promise<string> {
  const client = new pg.Client({ connectionString: server().href })
  await client.connect()
  try {
    await client.query(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`)
    await client.query(`CREATE DATABASE ${name} TEMPLATE ${copyOf}`)
  } finally {
    await client.end()
  }
  return Object.assign(server(), { pathname: `/${name}` }).href
}
