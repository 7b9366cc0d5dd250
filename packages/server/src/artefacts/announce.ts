import type { Transaction } from 'sequelize'
import type { Context } from '../platform/context'

/** PostgreSQL channel on which every web process hears that an install's bytes changed. */
export const CHANNEL = 'pebblestrand_payload'

/** Says that what these installs serve has changed or is gone; heard when the transaction is through. */
export async function announce(
  { db }: Pick<Context, 'db'>,
  publicIds: readonly string[],
  transaction: Transaction,
): Promise<void> {
  if (!publicIds.length) return
  await db.query('SELECT pg_notify($channel, id) FROM unnest($publicIds::text[]) AS id', {
    bind: { channel: CHANNEL, publicIds },
    transaction,
  })
}
