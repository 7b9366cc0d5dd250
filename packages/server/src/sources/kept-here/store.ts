import type { Entry } from '@pebblestrand/core/items'
import { limited, sourceKinds } from '@pebblestrand/core/sources'
import { recomputeFor } from '../../artefacts/queue-recompute'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import { ItemRow, type Source } from '../models'
import { storeItems } from '../store-items'

/** Keeps entries over those under the same keys, and has the widgets that show them rendered anew. */
export async function store(
  context: Context,
  source: Source,
  entries: readonly Entry[],
  more: { state?: Record<string, unknown> } = {},
): Promise<Entry[]> {
  const { format, title, link } = source
  const read = limited({ format, title, link, language: null, entries: [...entries] })
  const { keeps } = sourceKinds[source.kind]!
  await context.db.transaction(async (transaction) => {
    await storeItems(source, { read, extent: 'changes' }, transaction)
    if ((await ItemRow.count({ where: { sourceId: source.id }, transaction })) > keeps)
      throw new AppError('invalid', {
        message: `A source holds ${keeps.toLocaleString('en')} reviews.`,
        remedy: 'Begin another for the rest: a widget can show several.',
      })
    const now = new Date()
    await source.update({ okAt: now, fetchedAt: now, problem: null, ...more }, { transaction })
    await recomputeFor(context, 'source', source.id, transaction)
  })
  return read.entries
}
