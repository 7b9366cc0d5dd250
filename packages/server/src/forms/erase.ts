import type { ErasureCounts } from '@pebblestrand/contract'
import { QueryTypes, type Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { ABOUT_LEADS } from './about-leads'
import { dropArchived } from './archived-leads'
import { Erasure } from './models'
import { hashesOf } from './mail-hash'

// By a hash of the address: what was written is sealed, and need not be read to be found.

/** One of the two hashes of an address, by the index on each. */
const MATCHES = (column: string) =>
  `(${column} @> jsonb_build_array($first::text) OR ${column} @> jsonb_build_array($last::text))`
const LEADS = `SELECT id FROM leads WHERE ${MATCHES('mail_hashes')}`
const ARCHIVED = `SELECT row_before ->> 'id' AS lead FROM removed_rows WHERE table_name = 'leads' AND ${MATCHES("row_before -> 'mail_hashes'")}`
const MAILS = `SELECT id, state, kind, lead_ids AS "leadIds" FROM mails WHERE ${ABOUT_LEADS}`

interface Found {
  leads: string[]
  archived: { lead: string }[]
  mails: { id: string; state: string; kind: string; leadIds: string[] }[]
}

async function find({ db }: Pick<Context, 'db'>, hashes: readonly string[], transaction?: Transaction): Promise<Found> {
  const ask = <T extends object>(sql: string, bind: object) =>
    db.query<T>(sql, { bind: { ...bind }, type: QueryTypes.SELECT, transaction })
  const hash = { first: hashes[0], last: hashes.at(-1) }
  const leads = (await ask<{ id: string }>(LEADS, hash)).map(({ id }) => id)
  const archived = await ask<{ lead: string }>(ARCHIVED, hash)
  const all = [...leads, ...archived.map(({ lead }) => lead)]
  return { leads, archived, mails: await ask(MAILS, { leads: all }) }
}

const countsOf = ({ leads, archived, mails }: Found): ErasureCounts => ({
  leads: leads.length,
  mails: mails.length,
  archived: archived.length,
})

/** How much is held of an address. */
export async function foreseeErasure(context: Pick<Context, 'db' | 'config'>, mail: string): Promise<ErasureCounts> {
  return countsOf(await find(context, await hashesOf(context.config, mail)))
}

/**
 * Deletes all leads with an address, everywhere and for good: what stands in the register, what was removed and could be brought back,
 * and mails about them, sent and waiting. A note of several leads that still waits is written anew without them.
 */
export async function erase(
  { db, config }: Pick<Context, 'db' | 'config'>,
  mail: string,
  userId: string,
): Promise<Erasure> {
  const hashes = await hashesOf(config, mail)
  return db.transaction(async (transaction) => {
    const found = await find({ db }, hashes, transaction)
    const { leads, archived, mails } = found
    const run = (sql: string, bind: object) => db.query(sql, { bind: { ...bind }, transaction })
    // Who else is told of in a note that waits is told of in the next.
    const others = mails
      .filter(({ state }) => state === 'queued')
      .flatMap(({ kind, leadIds }) => leadIds.map((id) => ({ what: kind.replace(/^lead-/, ''), id })))
      .filter(({ id, what }) => what !== 'reply' && !leads.includes(id))
    for (const what of ['note-agency', 'note-client'])
      await run(`UPDATE lead_deliveries SET state = 'waiting' WHERE what = $what AND lead_id = ANY($others::uuid[])`, {
        what,
        others: others.filter((one) => one.what === what).map(({ id }) => id),
      })
    await run(`DELETE FROM mails WHERE id = ANY($mails::uuid[])`, { mails: mails.map(({ id }) => id) })
    await run(`DELETE FROM leads WHERE id = ANY($leads::uuid[])`, { leads })
    await dropArchived(
      { db },
      archived.map(({ lead }) => lead),
      transaction,
    )
    return Erasure.create({ mailHash: hashes[0]!, counts: { ...countsOf(found) }, erasedBy: userId }, { transaction })
  })
}
