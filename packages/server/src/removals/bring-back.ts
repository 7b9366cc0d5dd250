import { ForeignKeyConstraintError, QueryTypes, UniqueConstraintError, type Transaction } from 'sequelize'
import { record } from '../activity/record'
import { recomputeAfter, recomputeWidget, type Pending } from '../artefacts/queue-recompute'
import { lockStored } from '../artefacts/rendering-order'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { keepSiteLists, sitesBroughtTo } from '../artefacts/site-list'
import { Removal } from './models'

/** What has taken the place of a row, by its table. */
const tookItsPlace: Record<string, string> = {
  sites: 'Another site has its address by now.',
  pages: 'Another page of the site has its path by now.',
  placements: 'Another placement there has its name by now.',
  widgets: 'Another widget has its name by now.',
  installs: 'The same widget has been planned in the same placement again.',
}

/**
 * Puts back what was taken out, every row as it was, and renders anew what its installs serve.
 * @throws AppError 'not-found' where it is back or forgotten; 'in-its-way' where something else took its place, or what it
 * belongs to was removed as well.
 */
export async function bringBack(context: Context, removalId: string, userId: string | null): Promise<Removal> {
  const { back, pending } = await context.db.transaction(async (transaction) => {
    const found = await Removal.findByPk(removalId, { transaction, lock: transaction.LOCK.UPDATE })
    if (!found) throw new AppError('not-found')
    const installed = await installsIn(context, removalId, transaction)
    for (const { widgetId } of installed) await lockStored(context, widgetId, transaction)
    await putBack(context, removalId, transaction)
    await context.db.query(SERVED_AGAIN, { replacements: { removalId }, transaction })
    await found.destroy({ transaction })
    const { what, name, place } = found
    await record('brought-back', { userId, data: { what, name, place } }, transaction)
    const pending: Pending[] = []
    for (const { widgetId, installIds } of installed)
      pending.push(await recomputeAfter(context, widgetId, { installIds }, transaction))
    const ids = installed.flatMap(({ installIds }) => installIds)
    await keepSiteLists(context, await sitesBroughtTo(context, ids, transaction), transaction)
    if (what === 'widget') await recomputeWidget(context, found.subjectId, transaction)
    return { back: found, pending }
  })
  for (const one of pending) await context.renderNow(context, one)
  return back
}

const SERVED_AGAIN = `
DELETE FROM former_ids WHERE public_id IN (
  SELECT row_before ->> 'public_id' FROM removed_rows WHERE removal_id = :removalId AND table_name = 'installs'
)`

/** What comes back of each widget. */
const installsIn = ({ db }: Context, removalId: string, transaction: Transaction) =>
  db.query<{ widgetId: string; installIds: string[] }>(
    `SELECT row_before ->> 'widget_id' AS "widgetId", array_agg(row_before ->> 'id') AS "installIds"
     FROM removed_rows WHERE removal_id = :removalId AND table_name = 'installs' GROUP BY 1 ORDER BY 1`,
    { replacements: { removalId }, type: QueryTypes.SELECT, transaction },
  )

/** Names its columns, so that one added since gets its default. */
async function putBack({ db }: Context, removalId: string, transaction: Transaction): Promise<void> {
  const tables = await db.query<{ name: string; columns: string[] }>(
    `SELECT DISTINCT ON (position) table_name AS name, ARRAY(SELECT jsonb_object_keys(row_before)) AS columns FROM removed_rows
     WHERE removal_id = :removalId ORDER BY position`,
    { replacements: { removalId }, type: QueryTypes.SELECT, transaction },
  )
  for (const { name, columns } of tables) {
    const quoted = columns.map((column) => `"${column}"`)
    try {
      await db.query(
        `INSERT INTO ${name} (${quoted.join(', ')}) SELECT ${quoted.map((column) => `b.${column}`).join(', ')}
         FROM removed_rows r, jsonb_populate_record(NULL::${name}, r.row_before) b WHERE r.removal_id = :removalId AND r.table_name = :name`,
        { replacements: { removalId, name }, transaction },
      )
    } catch (error) {
      throw asAppError(error, name)
    }
  }
}

function asAppError(error: unknown, table: string): unknown {
  if (error instanceof UniqueConstraintError) return new AppError('in-its-way', { message: tookItsPlace[table] })
  if (error instanceof ForeignKeyConstraintError)
    return new AppError('in-its-way', {
      message: 'Something it belongs to was removed as well.',
      remedy: 'Bring that back first: it stands in the same list.',
    })
  return error
}
