import { QueryTypes, UniqueConstraintError } from 'sequelize'
import { recomputeForSource } from '../delivery/compute'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { Source } from './models'
import { readFeed, type FeedProblem, type FeedReading } from './read-feed'
import { contentHash, storeItems } from './store-items'

const MINUTE = 60_000
const DAY = 24 * 60

/** Minutes until the next try: the interval, doubled with every failure in a row, a day at most. */
export const backOff = (intervalMinutes: number, failures: number) =>
  Math.min(Math.max(intervalMinutes, DAY), intervalMinutes * 2 ** Math.min(failures, 12))

/** Adds a feed as a source, or gives the one that is there, also when two add it at once. Its items are stored at once. */
export async function addSource(context: Context, url: string): Promise<Source> {
  const there = await Source.findOne({ where: { url } })
  if (there) return there
  try {
    return await readNew(context, url)
  } catch (error) {
    const meanwhile = error instanceof UniqueConstraintError && (await Source.findOne({ where: { url } }))
    if (meanwhile) return meanwhile
    throw error
  }
}

async function readNew(context: Context, url: string): Promise<Source> {
  const reading = await readFeed(context, url)
  if (reading.kind === 'problem')
    throw new AppError('fetch-failed', { message: reading.problem.message, remedy: reading.problem.remedy })
  if (reading.kind !== 'feed') throw new AppError('no-feeds', { message: 'This is a web page, not a feed.' })
  const { feed } = reading
  return context.db.transaction(async (transaction) => {
    const source = await Source.create(
      { url, title: feed.title || new URL(url).host, link: feed.link, format: feed.format },
      { transaction },
    )
    await storeItems(source, feed.items, transaction)
    await source.update(
      {
        ...wellNow(source),
        etag: reading.etag,
        lastModified: reading.lastModified,
        contentHash: contentHash(reading.bytes),
      },
      { transaction },
    )
    return source
  })
}

const wellNow = (source: Source) => {
  const now = new Date()
  return {
    fetchedAt: now,
    okAt: now,
    failures: 0,
    problem: null,
    nextFetchAt: new Date(now.getTime() + source.intervalMinutes * MINUTE),
  }
}

/** One refresh: asks only for what is new, keeps the last good copy when that fails or gives nothing, and tells the widgets. */
export async function refreshSource(context: Context, sourceId: string): Promise<void> {
  const source = await Source.findByPk(sourceId)
  if (!source) return
  const reading = await readFeed(context, source.url, source)
  const fault = faultOf(reading)
  if (fault) return failed(source, fault)
  if (reading.kind !== 'feed' || contentHash(reading.bytes) === source.contentHash)
    return void (await source.update(wellNow(source)))
  await context.db.transaction(async (transaction) => {
    await storeItems(source, reading.feed.items, transaction)
    await source.update(
      {
        ...wellNow(source),
        title: reading.feed.title || source.title,
        link: reading.feed.link,
        format: reading.feed.format,
        etag: reading.etag,
        lastModified: reading.lastModified,
        contentHash: contentHash(reading.bytes),
      },
      { transaction },
    )
  })
  await recomputeForSource(context, source.id)
}

function faultOf(reading: FeedReading): FeedProblem | null {
  if (reading.kind === 'problem') return reading.problem
  if (reading.kind === 'page')
    return {
      code: 'feed-is-html',
      message: 'The address gives a web page instead of the feed.',
      remedy: 'The feed may have moved: look for it on that page.',
    }
  if (reading.kind === 'feed' && !reading.feed.items.length)
    return {
      code: 'feed-no-items',
      message: 'The feed has no items just now.',
      remedy: 'Nothing to do: the last good copy stays up.',
    }
  return null
}

async function failed(source: Source, problem: FeedProblem): Promise<void> {
  const now = new Date()
  const failures = source.failures + 1
  await source.update({
    fetchedAt: now,
    failures,
    problem: { ...problem, at: now.toISOString() },
    nextFetchAt: new Date(now.getTime() + backOff(source.intervalMinutes, failures) * MINUTE),
  })
}

const DUE = `
SELECT id FROM sources s
WHERE next_fetch_at <= now() AND EXISTS (SELECT 1 FROM widget_sources ws WHERE ws.source_id = s.id)
ORDER BY next_fetch_at LIMIT 500`

/** Queues every source that is due and that a widget reads. One that is taken up again later is due at once. */
export async function queueDue({ db, queue }: Context): Promise<void> {
  const due = await db.query<{ id: string }>(DUE, { type: QueryTypes.SELECT })
  for (const { id } of due) await queue.send('source-refresh', { sourceId: id }, id)
}
