import type { Entry } from '@pebblestrand/core/items'
import { limited, sourceKinds } from '@pebblestrand/core/sources'
import { QueryTypes, type Transaction } from 'sequelize'
import { recomputeFor } from '../../artefacts/queue-recompute'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import { beginHere } from '../begin-here'
import { ItemRow, Source } from '../models'
import { storeItems } from '../store-items'

export const PICKS = sourceKinds.picks!.id

export const beginCollection = (context: Pick<Context, 'config'>, title: string) => beginHere(context, PICKS, title)

export async function collectionOf(id: string): Promise<Source> {
  const source = await Source.findByPk(id)
  if (!source) throw new AppError('not-found')
  if (source.kind !== PICKS)
    throw new AppError('cannot-now', {
      message: 'This source is no collection of picks.',
      remedy: 'Begin a collection of your own for what you pick.',
    })
  return source
}

const KEYS = `SELECT key FROM items WHERE source_id = :id ORDER BY seen_at DESC, position, id`

/** All that is in a collection is noted as of one moment, so that its places alone set it in order. */
const PLACE = `
UPDATE items i SET position = o.place, seen_at = :now
FROM unnest(ARRAY[:keys]::text[]) WITH ORDINALITY AS o(key, place)
WHERE i.source_id = :id AND i.key = o.key`

/** What a collection is to be: its keys in order, and the entries that are new or other than they were. */
interface Next {
  keys: readonly string[]
  entries?: readonly Entry[]
}

/**
 * Changes a collection and has the widgets that show it rendered anew; one change at a time. Those whose keys are not named any
 * more are gone.
 * @param change from the keys that are there, in order
 */
export async function changeCollection(
  context: Context,
  { id }: Source,
  change: (keys: readonly string[], transaction: Transaction) => Next | Promise<Next>,
): Promise<Entry[]> {
  const { keeps } = sourceKinds[PICKS]!
  return context.db.transaction(async (transaction) => {
    const source = (await Source.findByPk(id, { transaction, lock: true }))!
    const rows = await context.db.query<{ key: string }>(KEYS, {
      replacements: { id },
      type: QueryTypes.SELECT,
      transaction,
    })
    const before = rows.map(({ key }) => key)
    const { keys, entries = [] } = await change(before, transaction)
    if (keys.length > keeps)
      throw new AppError('invalid', {
        message: `A collection holds ${keeps.toLocaleString('en')} picks.`,
        remedy: 'Begin another for the rest: a widget can show several.',
      })
    const { format, title, link } = source
    const read = limited({ format, title, link, language: null, entries: [...entries] })
    await storeItems(source, { read, extent: 'changes' }, transaction)
    const gone = before.filter((key) => !keys.includes(key))
    if (gone.length) await ItemRow.destroy({ where: { sourceId: id, key: gone }, transaction })
    const now = new Date()
    if (keys.length) await context.db.query(PLACE, { replacements: { id, keys: [...keys], now }, transaction })
    await source.update({ okAt: now, fetchedAt: now }, { transaction })
    await recomputeFor(context, 'source', id, transaction)
    return read.entries
  })
}

/** Keys with one of them at another place. */
export function moved(keys: readonly string[], key: string, to: number): string[] {
  const others = keys.filter((one) => one !== key)
  return [...others.slice(0, to), key, ...others.slice(to)]
}
