import { factsOf, sourceKinds, wholeFacts, type ReadSource } from '@pebblestrand/core/sources'
import { QueryTypes, UniqueConstraintError, type Transaction } from 'sequelize'
import { recomputeFor } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { AppError } from '../platform/errors'
import { afterTry, doubling, job } from '../platform/queue'
import { Source } from './models'
import { connectors, type TellProgress } from './connector'
import type { Copy, SourceFault, SourceReading } from './reading'
import { storeItems } from './store-items'

const MINUTE = 60_000
const DAY = 24 * 60

/** The interval, doubled with every failure in a row, a day at most. */
export const sourceRetries = (intervalMinutes: number) => doubling(intervalMinutes, DAY)

/** Adds a source of one sort, or gives the one that is there, also when two add it at once. Its items are stored at once. */
export async function addSource(context: Context, url: string, kind = 'feed'): Promise<Source> {
  const there = await Source.findOne({ where: { url } })
  if (there) return there
  try {
    return await readNew(context, url, kind)
  } catch (error) {
    const meanwhile = error instanceof UniqueConstraintError && (await Source.findOne({ where: { url } }))
    if (meanwhile) return meanwhile
    throw error
  }
}

async function readNew(context: Context, url: string, kind: string): Promise<Source> {
  const reading = await connectors[kind]!.read(context, { url })
  if (reading.kind === 'fault')
    throw new AppError('fetch-failed', { message: reading.fault.message, remedy: reading.fault.remedy })
  if (reading.kind === 'page') throw new AppError('no-feeds', reading.fault)
  if (reading.kind !== 'read') throw new AppError('fetch-failed')
  const { read } = reading
  return context.db.transaction(async (transaction) => {
    const source = await Source.create(
      {
        kind,
        url,
        title: read.title || new URL(url).host,
        link: read.link,
        format: read.format,
        intervalMinutes: sourceKinds[kind]!.interval ?? DAY,
      },
      { transaction },
    )
    await storeItems(source, reading, transaction)
    await source.update({ ...wellNow(source), ...copyOf(reading) }, { transaction })
    // One that only its owner may read is there to be connected.
    if (reading.fault) await failed(source, reading.fault, transaction)
    return source
  })
}

/** What tells this copy from the next. */
const copyOf = ({ etag, lastModified, hash, state, read }: Copy) => ({
  etag: etag ?? null,
  lastModified: lastModified ?? null,
  contentHash: hash,
  state: state ?? null,
  cut: read.cut,
  facts: factsOf(read),
})

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

/** Read a source again. */
export const refreshJob = job<{ sourceId: string; share: string }>('source-refresh', { oneWaiting: true })

/**
 * One refresh: asks only for what is new, keeps the last good copy when that fails or gives nothing. What is new and the
 * rendering of the widgets that read it are noted in one transaction, so that neither is there without the other.
 */
export async function refreshSource(context: Context, sourceId: string, tell?: TellProgress): Promise<void> {
  const source = await Source.findByPk(sourceId)
  if (!source || !connectors[source.kind]) return
  const beganAt = new Date()
  try {
    const reading = await connectors[source.kind]!.read(context, source, undefined, tell)
    await unlessOvertaken(context, source.id, beganAt, (now, transaction) =>
      writeReading(context, now, reading, transaction),
    )
  } catch (error) {
    context.log.error(error)
    await unlessOvertaken(context, source.id, beganAt, (now, transaction) => failed(now, BROKEN, transaction))
  }
}

/** Whatever went wrong at our end: the source is tried again like one that does not answer, and a person hears of it. */
const BROKEN: SourceFault = {
  code: 'broken',
  message: 'What the source gives cannot be kept.',
  remedy: 'The last good copy stays up. If it stays so, send the source’s address to whoever runs this server.',
}

/** Writes down what came of a reading, unless one that began later is written down already: that saw what is newer. */
const unlessOvertaken = (
  { db }: Context,
  sourceId: string,
  beganAt: Date,
  write: (source: Source, transaction: Transaction) => Promise<void>,
): Promise<void> =>
  db.transaction(async (transaction) => {
    const source = await Source.findByPk(sourceId, { lock: transaction.LOCK.UPDATE, transaction })
    if (!source || (source.readingBeganAt && source.readingBeganAt > beganAt)) return
    await source.update({ readingBeganAt: beganAt }, { transaction })
    await write(source, transaction)
  })

async function writeReading(context: Context, source: Source, reading: SourceReading, transaction: Transaction) {
  const fault = faultOf(reading)
  if (fault) return failed(source, fault, transaction)
  if (reading.kind !== 'read' || reading.hash === source.contentHash) {
    const state = 'state' in reading ? { state: reading.state } : {}
    return void (await source.update({ ...wellNow(source), ...state }, { transaction }))
  }
  const { read } = reading
  await storeItems(source, reading, transaction)
  await source.update(
    {
      ...wellNow(source),
      ...copyOf(reading),
      title: read.title || source.title,
      link: read.link,
      format: read.format,
    },
    { transaction },
  )
  await recomputeFor(context, 'source', source.id, transaction)
}

function faultOf(reading: SourceReading): SourceFault | null {
  if (reading.kind === 'fault' || (reading.kind === 'read' && reading.fault)) return reading.fault ?? null
  if (reading.kind === 'page')
    return reading.fault.code === 'feed-is-html'
      ? {
          code: 'feed-is-html',
          message: 'The address gives a web page instead of the feed.',
          remedy: 'The feed may have moved: look for it on that page.',
        }
      : reading.fault
  if (
    reading.kind === 'read' &&
    reading.extent === 'window' &&
    !reading.read.entries.length &&
    !saysEnough(reading.read)
  )
    return {
      code: 'feed-no-items',
      message: 'The feed has no items just now.',
      remedy: 'Nothing to do: it is read again.',
    }
  return null
}

/** What a place's reviews come to, or a fact that a widget is made of: it needs no items. */
const saysEnough = (read: ReadSource) => Boolean(read.rating) || wholeFacts.some((name) => read[name])

async function failed(source: Source, { retryAt, ...fault }: SourceFault, transaction?: Transaction): Promise<void> {
  const now = new Date()
  const outcome = { how: 'failed', problem: fault.message, retryAt } as const
  const { tries, nextAt } = afterTry(sourceRetries(source.intervalMinutes), outcome, source.failures, now)
  await source.update(
    {
      fetchedAt: now,
      failures: tries,
      problem: { ...fault, at: now.toISOString() },
      ...(nextAt && { nextFetchAt: nextAt }),
    },
    { transaction },
  )
}

const DUE = `
SELECT id, url FROM sources s
WHERE next_fetch_at <= now() AND NOT paused AND s.kind IN (:kinds) AND EXISTS (SELECT 1 FROM widget_sources ws WHERE ws.source_id = s.id)
ORDER BY next_fetch_at LIMIT 500`

/** Queues every source that is due and that a widget reads. One that is taken up again later is due at once. */
export async function queueDue({ db, queue }: Context): Promise<void> {
  const due = await db.query<{ id: string; url: string }>(DUE, {
    replacements: { kinds: Object.keys(connectors) },
    type: QueryTypes.SELECT,
  })
  for (const { id, url } of due) await queue.send(refreshJob, { sourceId: id, share: new URL(url).host }, id)
}
