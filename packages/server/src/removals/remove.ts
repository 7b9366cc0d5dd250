import { QueryTypes, type Transaction } from 'sequelize'
import { record } from '../activity/record'
import type { Removable } from '@pebblestrand/contract'
import { ENDED } from '../findings/models'
import { closeRound } from '../checks/rounds'
import { announce } from '../artefacts/announce'
import { lockStored } from '../artefacts/rendering-order'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { keepSiteLists, sitesBroughtTo } from '../artefacts/site-list'
import { Page } from '../sites/models'
import { foresee, type Foresight } from './foresee'
import { Removal } from './models'
import { deletedFor, heldFor, installsOf, whatGoes } from './what-goes'

export interface Wanted {
  what: Removable
  id: string
  /** On how many client pages, as far as the person knows, visitors may still see it. */
  standing: number
}

type Ask = <T extends object>(sql: string, more?: object) => Promise<T[]>

/**
 * Takes something out with all that belongs to it; every row is kept as it was, so that it can be brought back.
 * @throws AppError 'not-found'; 'last-page'; 'still-standing', with what is foreseen, where it stands on more pages than the person knows of.
 */
export async function remove(context: Context, wanted: Wanted, userId: string | null): Promise<Removal> {
  const { what, id } = wanted
  const { removal, rounds } = await context.db.transaction(async (transaction) => {
    const ask: Ask = (sql, more = {}) =>
      context.db.query(sql, { replacements: { id, ...more }, type: QueryTypes.SELECT, transaction })
    await lockRows(context, what, ask, transaction)
    if (what === 'page' && !(await hasSiblings(id, transaction))) throw new AppError('last-page')
    const foreseen = await foresee(context.db, what, id, transaction)
    if (foreseen.standing.total > wanted.standing) throw new AppError('still-standing', { data: foreseen })
    const stopped = await stopChecks(what, ask)
    const made = await keepRows(foreseen, userId, ask, transaction)
    await announce(context, await servedBy(what, ask), transaction)
    const brought = await sitesBroughtTo(context, await installIds(what, ask), transaction)
    await ask(`INSERT INTO former_ids SELECT public_id FROM installs WHERE ${installsOf(what).where}`)
    for (const { table, where } of deletedFor(what)) await ask(`DELETE FROM ${table} WHERE ${where}`)
    await keepSiteLists(context, brought, transaction)
    await record('removed', { userId, data: { what, name: made.name, place: made.place } }, transaction)
    return { removal: made, rounds: stopped }
  })
  for (const round of rounds) await closeRound(round)
  return removal
}

/** True as well where there is no such page. */
async function hasSiblings(pageId: string, transaction: Transaction): Promise<boolean> {
  const page = await Page.findByPk(pageId, { transaction })
  return !page || (await Page.count({ where: { siteId: page.siteId }, transaction })) > 1
}

const installsWhere = (what: Removable) => `install_id IN (SELECT id FROM installs WHERE ${installsOf(what).where})`

/** Nobody stores anything for its installs, nor ties anything new to it, until the transaction is through. */
async function lockRows(context: Context, what: Removable, ask: Ask, transaction: Transaction): Promise<void> {
  const widgets = await ask<{ id: string }>(
    `SELECT DISTINCT widget_id AS id FROM installs WHERE ${installsOf(what).where} ORDER BY 1`,
  )
  for (const widget of widgets) await lockStored(context, widget.id, transaction)
  for (const { table, where } of heldFor(what))
    await ask(`SELECT count(*) FROM (SELECT * FROM ${table} WHERE ${where} ORDER BY 1 FOR UPDATE) held`)
}

const installIds = async (what: Removable, ask: Ask) =>
  (await ask<{ id: string }>(`SELECT id FROM installs WHERE ${installsOf(what).where}`)).map(({ id }) => id)

/** Gives the rounds that the stopped checks belonged to. */
async function stopChecks(what: Removable, ask: Ask): Promise<Set<string>> {
  const stopped = await ask<{ round: string | null }>(
    `UPDATE checks SET state = 'stopped', finished_at = now() WHERE id IN (
       SELECT id FROM checks WHERE state NOT IN (:ended) AND ${installsWhere(what)} ORDER BY id FOR UPDATE
     ) RETURNING round_id AS round`,
    { ended: [...ENDED] },
  )
  return new Set(stopped.flatMap(({ round }) => round ?? []))
}

/** A column that is not kept: pictures of pages are large, and made anew by the next check. */
const LEFT_OUT = 'picture'

async function keepRows(
  { what, id, siteId, name, place, counts }: Foresight,
  removedBy: string | null,
  ask: Ask,
  transaction: Transaction,
): Promise<Removal> {
  const removal = await Removal.create({ what, subjectId: id, siteId, name, place, counts, removedBy }, { transaction })
  for (const [position, { table, where }] of whatGoes(what).entries())
    await ask(
      `INSERT INTO removed_rows (removal_id, position, table_name, row_before)
       SELECT :removal, :position, :table, to_jsonb(t.*) - :left FROM ${table} t WHERE ${where}`,
      { removal: removal.id, position, table, left: LEFT_OUT },
    )
  return removal
}

/** Public ids under which its installs are being served. */
async function servedBy(what: Removable, ask: Ask): Promise<string[]> {
  const rows = await ask<{ id: string }>(`SELECT DISTINCT public_id AS id FROM artefacts WHERE ${installsWhere(what)}`)
  return rows.map((row) => row.id)
}
