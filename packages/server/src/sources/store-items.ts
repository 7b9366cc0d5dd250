import { createHash } from 'node:crypto'
import type { Item } from '@pebblestrand/core/items'
import { Op, type Transaction } from 'sequelize'
import { ItemRow, type Source } from './models'

/** What a feed dropped is kept for the widgets that still show it, up to so many a source. */
const MOST_KEPT = 500

/** Puts a feed's items in place of the same ones stored before. */
export async function storeItems(source: Source, items: Item[], transaction: Transaction): Promise<void> {
  const now = new Date()
  await ItemRow.bulkCreate(
    items.slice(0, MOST_KEPT).map((item, position) => ({
      sourceId: source.id,
      guid: item.id,
      title: item.title,
      text: item.text,
      html: item.html,
      author: item.author,
      publishedAt: item.publishedAt ? new Date(item.publishedAt) : null,
      link: item.link,
      picture: item.picture,
      labels: item.labels,
      position,
      seenAt: now,
    })),
    {
      conflictAttributes: ['sourceId', 'guid'] as never,
      updateOnDuplicate: [
        'title',
        'text',
        'html',
        'author',
        'publishedAt',
        'link',
        'picture',
        'labels',
        'position',
        'seenAt',
      ],
      transaction,
    },
  )
  const surplus = await ItemRow.findAll({
    attributes: ['id'],
    where: { sourceId: source.id, seenAt: { [Op.lt]: now } },
    order: [['publishedAt', 'DESC NULLS LAST']],
    offset: Math.max(0, MOST_KEPT - items.length),
    transaction,
  })
  if (surplus.length) await ItemRow.destroy({ where: { id: surplus.map((row) => row.id) }, transaction })
}

export const contentHash = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('base64url')

/** A row as the core knows it. */
export const asItem = (row: ItemRow): Item => ({
  id: row.guid,
  title: row.title,
  text: row.text,
  html: row.html,
  author: row.author,
  publishedAt: row.publishedAt?.toISOString() ?? null,
  link: row.link,
  picture: row.picture,
  labels: row.labels,
})

/** All items of some sources, newest first; the same story from two sources stays two until the sieve looks. */
export async function itemsOf(sourceIds: string[], transaction?: Transaction): Promise<Item[]> {
  if (!sourceIds.length) return []
  const rows = await ItemRow.findAll({
    where: { sourceId: sourceIds },
    transaction,
    order: [
      ['publishedAt', 'DESC NULLS LAST'],
      ['position', 'ASC'],
      ['id', 'ASC'],
    ],
  })
  const several = sourceIds.length > 1
  return rows.map((row) => (several ? { ...asItem(row), id: `${row.sourceId} ${row.guid}` } : asItem(row)))
}
