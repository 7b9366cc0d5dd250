import { createHash } from 'node:crypto'
import type { Entry, SourceEntries } from '@pebblestrand/core/items'
import { sourceKinds } from '@pebblestrand/core/sources'
import { Op, type Transaction } from 'sequelize'
import { literally } from '../platform/database/like'
import { ItemRow, type Source } from './models'
import type { Copy } from './reading'

/** Rows that are written at once. */
const BATCH = 500

/**
 * Keeps what was read of a source in place of the same entries stored before. Of a `window`, what dropped out is kept for the
 * widgets that still show it, up to what its sort keeps; of the `whole`, what is missing is gone; of `changes`, the rest stays.
 */
export async function storeItems(
  source: Source,
  { read, extent }: Pick<Copy, 'read' | 'extent'>,
  transaction: Transaction,
): Promise<void> {
  const now = new Date()
  const { keeps } = sourceKinds[source.kind]!
  const entries = read.entries.slice(0, keeps)
  for (let from = 0; from < entries.length; from += BATCH)
    await ItemRow.bulkCreate(
      entries.slice(from, from + BATCH).map(({ publishedAt, ...entry }, at) => ({
        ...entry,
        sourceId: source.id,
        publishedAt: publishedAt ? new Date(publishedAt) : null,
        position: from + at,
        seenAt: now,
      })),
      {
        conflictAttributes: ['sourceId', 'key'] as never,
        updateOnDuplicate: ['author', 'publishedAt', 'link', 'language', 'labels', 'body', 'position', 'seenAt'],
        transaction,
      },
    )
  if (extent === 'changes') return
  const notSeen = { sourceId: source.id, seenAt: { [Op.lt]: now } }
  if (extent === 'whole') return void (await ItemRow.destroy({ where: notSeen, transaction }))
  const surplus = await ItemRow.findAll({
    attributes: ['id'],
    where: notSeen,
    order: [['publishedAt', 'DESC NULLS LAST']],
    offset: Math.max(0, keeps - entries.length),
    transaction,
  })
  if (surplus.length) await ItemRow.destroy({ where: { id: surplus.map((row) => row.id) }, transaction })
}

export const contentHash = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('base64url')

/** A row as the core knows it. */
export const asEntry = ({ key, author, publishedAt, link, language, labels, body }: ItemRow): Entry => ({
  key,
  author,
  publishedAt: publishedAt?.toISOString() ?? null,
  link,
  language,
  labels,
  body,
})

/** As the source lists them, with what it dropped behind. */
const AS_LISTED: [string, string][] = [
  ['seenAt', 'DESC'],
  ['position', 'ASC'],
  ['id', 'ASC'],
]

/** Some of one source's entries, in that order; of words, those whose author or text has them. */
export async function pageOfEntries(sourceId: string, window: { limit: number; offset: number }, words = '') {
  const has = { [Op.iLike]: `%${literally(words)}%` }
  const where = words
    ? { sourceId, [Op.or]: [{ author: has }, { 'body.text': has }, { 'body.title': has }] }
    : { sourceId }
  const { rows, count } = await ItemRow.findAndCountAll({ where, order: AS_LISTED, ...window })
  return { rows: rows.map(asEntry), total: count }
}

/** What is stored of some sources, each as it lists it, with what it dropped behind: the order `gather` builds on. */
export async function storedEntries(sourceIds: readonly string[], transaction?: Transaction): Promise<SourceEntries[]> {
  if (!sourceIds.length) return []
  const rows = await ItemRow.findAll({ where: { sourceId: sourceIds }, transaction, order: AS_LISTED })
  const bySource = new Map<string, Entry[]>(sourceIds.map((id) => [id, []]))
  for (const row of rows) bySource.get(row.sourceId)!.push(asEntry(row))
  return [...bySource].map(([sourceId, entries]) => ({ sourceId, entries }))
}
