import { createHash } from 'node:crypto'
import type { Entry, SourceEntries } from '@pebblestrand/core/items'
import { Op, type Transaction } from 'sequelize'
import { ItemRow, type Source } from './models'

/** What a source dropped is kept for the widgets that still show it, up to so many a source. */
const MOST_KEPT = 500

/** Puts a source's entries in place of the same ones stored before. */
export async function storeItems(source: Source, entries: Entry[], transaction: Transaction): Promise<void> {
  const now = new Date()
  await ItemRow.bulkCreate(
    entries.slice(0, MOST_KEPT).map(({ publishedAt, ...entry }, position) => ({
      ...entry,
      sourceId: source.id,
      publishedAt: publishedAt ? new Date(publishedAt) : null,
      position,
      seenAt: now,
    })),
    {
      conflictAttributes: ['sourceId', 'key'] as never,
      updateOnDuplicate: ['author', 'publishedAt', 'link', 'language', 'labels', 'body', 'position', 'seenAt'],
      transaction,
    },
  )
  const surplus = await ItemRow.findAll({
    attributes: ['id'],
    where: { sourceId: source.id, seenAt: { [Op.lt]: now } },
    order: [['publishedAt', 'DESC NULLS LAST']],
    offset: Math.max(0, MOST_KEPT - entries.length),
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

/** Some of one source's entries, in that order. */
export async function pageOfEntries(sourceId: string, window: { limit: number; offset: number }) {
  const { rows, count } = await ItemRow.findAndCountAll({ where: { sourceId }, order: AS_LISTED, ...window })
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
