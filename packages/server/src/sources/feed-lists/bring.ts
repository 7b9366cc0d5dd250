import type { BroughtFeeds, ReadFeedList } from '@pebblestrand/contract'
import { sourceKinds } from '@pebblestrand/core/sources'
import { writeFeedList, type FeedList, type ListedFeed } from '@pebblestrand/core/sources/feed-list'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import { Source } from '../models'
import { readBrought } from '../read-brought'
import { addSource } from '../refresh'

const FEED = sourceKinds.feed!.id
/** Feeds that are read at once. */
const AT_ONCE = 4

/** A slash parts names of folders here; within a name it becomes a dash. */
const pathOf = ({ folder }: ListedFeed) => folder.map((name) => name.replaceAll('/', '–')).join('/')

/** What a list of feeds holds, and which of it is known. */
export async function readList(context: Context, text: string): Promise<ReadFeedList> {
  const { title, feeds, skipped } = await inThread(context, text)
  const there = await Source.findAll({ attributes: ['url'], where: { kind: FEED, url: feeds.map(({ url }) => url) } })
  const known = new Set(there.map(({ url }) => url))
  return {
    title,
    skipped,
    feeds: feeds.map((feed) => ({
      url: feed.url,
      title: feed.title,
      folder: pathOf(feed),
      known: known.has(feed.url),
    })),
  }
}

async function inThread(context: Context, text: string): Promise<FeedList> {
  const read = await readBrought(context, 'readFeedList', text)
  if (!read) {
    const message = 'is no list of feeds: readers save one as OPML'
    throw new AppError('no-table', { message: `The file ${message}.`, issues: [{ field: 'text', message }] })
  }
  return read
}

/**
 * Adds feeds of a list, each read once; one that does not answer is told and holds up no other.
 * @param tell hears how many are done
 */
export async function bringFeeds(
  context: Context,
  { text, urls }: { text: string; urls: readonly string[] },
  tell: (step: { done: number; of: number }) => void,
): Promise<BroughtFeeds> {
  const { feeds } = await inThread(context, text)
  const wanted = feeds.filter(({ url }) => urls.includes(url))
  const brought: (BroughtFeeds['sources'][number] | BroughtFeeds['failed'][number])[] = []
  let [next, done] = [0, 0]
  const takeTurns = async () => {
    for (let at = next++; at < wanted.length; at = next++) {
      brought[at] = await bringFeed(context, wanted[at]!)
      tell({ done: ++done, of: wanted.length })
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, takeTurns))
  return {
    sources: brought.flatMap((one) => ('id' in one ? [one] : [])),
    failed: brought.flatMap((one) => ('id' in one ? [] : [one])),
  }
}

async function bringFeed(context: Context, feed: ListedFeed) {
  const { url, title } = feed
  try {
    const source = await addSource(context, url, FEED)
    if (!source.folder) await source.update({ folder: pathOf(feed) })
    return { id: source.id, title: source.title }
  } catch (error) {
    if (error instanceof AppError) return { url, title, message: error.message }
    throw error
  }
}

/** Feeds as OPML 2.0; films have feeds as well. */
export async function listOf(ids: readonly string[]): Promise<string> {
  const kinds = Object.values(sourceKinds).filter(({ id }) => id === FEED || id === 'video-feed')
  const sources = await Source.findAll({
    where: { kind: kinds.map(({ id }) => id), ...(ids.length ? { id: [...ids] } : {}) },
    order: [
      ['folder', 'ASC'],
      ['title', 'ASC'],
      ['id', 'ASC'],
    ],
  })
  const feeds = sources.map(({ url, title, link, folder }) => ({
    url,
    title,
    link,
    folder: folder ? folder.split('/') : [],
  }))
  // A list holds one feed at least (OPML 2.0, section body).
  if (!feeds.length)
    throw new AppError('cannot-now', {
      message: 'There is no feed among the sources.',
      remedy: 'Find one in a widget’s workbench, or bring in a list.',
    })
  return writeFeedList('Feeds', feeds, new Date())
}
