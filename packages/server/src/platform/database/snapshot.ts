import { Transaction, type Sequelize } from 'sequelize'

/** Reads at one moment, whatever is written meanwhile. */
export const inSnapshot = <T>(db: Sequelize, read: (transaction: Transaction) => Promise<T>): Promise<T> =>
  db.transaction({ isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ, readOnly: true }, read)
