import type { ReadBookmarks } from '@pebblestrand/contract'
import type { Entry } from '@pebblestrand/core/items'
import { writeBookmarks, type Bookmark } from '@pebblestrand/core/sources/bookmark-file'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import type { Source } from '../models'
import { readBrought } from '../read-brought'
import { contentHash, storedEntries } from '../store-items'
import { changeCollection } from './collection'

/** Bookmarks that are shown before they are kept. */
const SAMPLE = 5
/** What lies in no folder, and those within several, by the whole way to it. */
const folderOf = ({ labels }: Bookmark) => labels[0] ?? ''

/**
 * Reads a bookmark file: what it would add to a collection, by folders, and, where asked, adds it behind what is there. What leads
 * where a pick leads already is left as it is.
 */
export async function importBookmarks(
  context: Context,
  source: Source,
  { text, folders, keep }: { text: string; folders?: readonly string[] | null; keep: boolean },
): Promise<ReadBookmarks> {
  const { bookmarks, skipped } = await inThread(context, source, text)
  const [stored] = await storedEntries([source.id])
  const there = new Set(stored!.entries.map(({ link }) => link))
  const wanted = bookmarks.filter((one) => !folders || folders.includes(folderOf(one)))
  const fresh = [...new Map(wanted.filter(({ link }) => !there.has(link)).map((one) => [one.link, one])).values()]
  if (keep && fresh.length) {
    const entries = fresh.map(entryOf)
    await changeCollection(context, source, (keys) => ({
      keys: [...new Set([...keys, ...entries.map(({ key }) => key)])],
      entries,
    }))
  }
  const counts = new Map<string, number>()
  for (const one of bookmarks) counts.set(folderOf(one), (counts.get(folderOf(one)) ?? 0) + 1)
  return {
    bookmarks: bookmarks.length,
    skipped,
    added: fresh.length,
    there: wanted.filter(({ link }) => there.has(link)).length,
    folders: [...counts].map(([name, count]) => ({ name, count })),
    sample: fresh.slice(0, SAMPLE).map(({ title, link, labels }) => ({ title, link, labels })),
    kept: keep,
  }
}

async function inThread(context: Context, source: Source, text: string) {
  const read = await readBrought(context, 'readBookmarkFile', text, source.id)
  if (!read) {
    const message = 'is no bookmark file: browsers save one as HTML, by “export bookmarks”'
    throw new AppError('no-table', { message: `The file ${message}.`, issues: [{ field: 'text', message }] })
  }
  return read
}

const entryOf = ({ link, title, note, labels, addedAt }: Bookmark): Entry => ({
  key: `link:${contentHash(new TextEncoder().encode(link)).slice(0, 32)}`,
  author: null,
  publishedAt: addedAt,
  link,
  language: null,
  labels,
  body: { type: 'pick', title, text: note, site: new URL(link).hostname.replace(/^www\./, ''), picture: null },
})

/** A collection as a bookmark file; what leads nowhere is not in it. */
export const asBookmarks = ({ title }: Source, entries: readonly Entry[]): string =>
  writeBookmarks(
    title,
    entries.flatMap(({ link, publishedAt, labels, body }) =>
      link ? [{ link, title: body.title, note: body.text, labels, addedAt: publishedAt }] : [],
    ),
  )
