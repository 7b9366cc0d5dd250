import { Sequelize } from 'sequelize'

/** Opens the pool. Says in one line what is wrong when the database does not answer. */
export async function connect(url: string): Promise<Sequelize> {
  const db = new Sequelize(url, {
    dialect: 'postgres',
    logging: false,
    pool: { max: 10, idle: 10_000, acquire: 10_000 },
    define: { underscored: true, timestamps: false },
  })
  try {
    await db.authenticate()
  } catch (error) {
    await db.close()
    throw new Error(
      `The database does not answer at ${hostOf(url)}: ${error instanceof Error ? error.message : String(error)}`,
    )
  }
  return db
}

/** The address without its password. */
const hostOf = (url: string) => {
  try {
    const { host, pathname } = new URL(url)
    return host + pathname
  } catch {
    return 'an address that cannot be read (DATABASE_URL)'
  }
}
