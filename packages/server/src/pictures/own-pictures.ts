import { readingOf, type Item, type Picture as ItemPicture, type PictureRole } from '@pebblestrand/core/items'
import { pathTo } from '@pebblestrand/core/wire'
import { Op, type Transaction } from 'sequelize'
import type { Context } from '../platform/context'
import { isDueAgain } from '../platform/queue'
import { pictureRetries, picturesJob } from './fetch-pictures'
import { Picture, WidgetPicture } from './models'

/** Where the pictures of some items come from, of those that are shown: each item's first one before any other. */
export function addressesIn(items: readonly Pick<Item, 'body'>[], shown: readonly PictureRole[]): string[] {
  const each = items.map(({ body }) => {
    const urls: string[] = []
    readingOf(body).withPictures(body, (picture, role) => {
      if (shown.includes(role)) urls.push(picture.url)
      return picture
    })
    return urls
  })
  return [...new Set([...each.flatMap(([first]) => first ?? []), ...each.flatMap(([, ...others]) => others)])]
}

/** Our copies of pictures, by the address each came from; those that could not be had are there with null. */
export async function knownPictures(
  { config }: Pick<Context, 'config'>,
  urls: readonly string[],
  transaction?: Transaction,
): Promise<Map<string, NonNullable<ItemPicture['own']> | null>> {
  if (!urls.length) return new Map()
  const rows = await Picture.findAll({ where: { sourceUrl: [...urls] }, transaction })
  return new Map(
    rows.map(({ sourceUrl, contentHash, widths }) => [
      sourceUrl,
      contentHash ? { base: config.origin + pathTo('picture', contentHash), widths } : null,
    ]),
  )
}

/** A picture with our copies of it; null where we have none. */
export function ownPicture(
  picture: ItemPicture | null,
  known: ReadonlyMap<string, ItemPicture['own'] | null>,
): ItemPicture | null {
  const own = picture && known.get(picture.url)
  return own ? { ...picture, own } : null
}

/**
 * Items as visitors get them: with our copies of the pictures that are shown; one that we have no copy of is left out. And as they
 * are `expected` to be in a moment, with those that are still to be fetched: room is kept for these.
 */
export async function withOwnPictures(
  context: Pick<Context, 'config'>,
  items: readonly Item[],
  shown: readonly PictureRole[],
  transaction?: Transaction,
): Promise<{ items: Item[]; expected: Item[]; missing: string[] }> {
  const urls = addressesIn(items, shown)
  const known = await knownPictures(context, urls, transaction)
  const each = (change: (picture: ItemPicture) => ItemPicture | null) =>
    items.map((item) => ({ ...item, body: readingOf(item.body).withPictures(item.body, change) }))
  return {
    items: each((picture) => ownPicture(picture, known)),
    expected: each((picture) => (known.has(picture.url) ? ownPicture(picture, known) : picture)),
    missing: urls.filter((url) => !known.has(url)),
  }
}

/** Entries as an editor's bench gets them: our copies where there are some, else the pictures as they are elsewhere. */
export async function withKnownPictures<E extends Pick<Item, 'body'>>(
  context: Pick<Context, 'config'>,
  entries: readonly E[],
): Promise<E[]> {
  const urls = addressesIn(entries, ['item', 'author'])
  const known = await knownPictures(context, urls)
  return entries.map((entry) => ({
    ...entry,
    body: readingOf(entry.body).withPictures(entry.body, (picture) => {
      const own = known.get(picture.url)
      return own === null ? null : { ...picture, ...(own ? { own } : {}) }
    }),
  }))
}

/**
 * Notes which pictures a widget's newest release shows, and has those fetched that are missing or may be had by now.
 * @param missing of them, those that it was drawn without: what came in the meantime is drawn by the job as well
 */
export async function notePictures(
  context: Context,
  widgetId: string,
  urls: readonly string[],
  missing: ReadonlySet<string>,
  transaction: Transaction,
): Promise<void> {
  const rows = urls.length ? await Picture.findAll({ where: { sourceUrl: [...urls] }, transaction }) : []
  await WidgetPicture.destroy({
    where: { widgetId, pictureId: { [Op.notIn]: rows.map(({ id }) => id) } },
    transaction,
  })
  await WidgetPicture.bulkCreate(
    rows.map(({ id }) => ({ widgetId, pictureId: id })),
    { ignoreDuplicates: true, transaction },
  )
  const settled = new Set(
    rows
      .filter(({ contentHash, triedAt }) => contentHash !== null || !isDueAgain(pictureRetries, triedAt))
      .map(({ sourceUrl }) => sourceUrl),
  )
  const wanted = urls.filter((url) => !settled.has(url) || missing.has(url))
  if (wanted.length) await context.queue.sendMany(picturesJob, [{ widgetId, urls: wanted }], transaction)
}
