import { QueryTypes, type Sequelize } from 'sequelize'

/** A row that is one's own for a while: no lock is held, and whoever is killed leaves it when its time is over. */
export interface Claim {
  /** Lets go of it, unless another has taken it over meanwhile. */
  release(): Promise<void>
}

/**
 * Takes a row of a table with a column `claimed_until`; null where somebody else has it, or where it is not, or no longer, `as` asked for.
 * @param as further conditions, with names of `bind` in them; never from outside
 * @param seconds longer than what is done meanwhile can take
 */
export async function claimRow(
  db: Sequelize,
  { table, id, as, bind = {}, seconds }: { table: string; id: string; as: string; bind?: object; seconds: number },
): Promise<Claim | null> {
  // To the millisecond, as it comes back to tell this claim from a later one.
  const take = `
UPDATE ${table} SET claimed_until = date_trunc('milliseconds', clock_timestamp() + make_interval(secs => $seconds))
WHERE id = $id AND ${as} AND (claimed_until IS NULL OR claimed_until < now()) RETURNING claimed_until AS until`
  const [row] = await db.query<{ until: Date }>(take, { bind: { ...bind, id, seconds }, type: QueryTypes.SELECT })
  if (!row) return null
  return {
    async release() {
      await db.query(`UPDATE ${table} SET claimed_until = NULL WHERE id = $id AND claimed_until = $until`, {
        bind: { id, until: row.until },
      })
    },
  }
}
