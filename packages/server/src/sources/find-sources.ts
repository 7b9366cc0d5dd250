import type { FoundSource, Tried } from '@pebblestrand/contract'
import { gather, readingOf, type BodyType } from '@pebblestrand/core/items'
import { inOrder } from '@pebblestrand/core/sieve'
import { sourceKinds, type ReadSource, type SourceCandidate, type SourceKind } from '@pebblestrand/core/sources'
import { AppError } from '../platform/errors'
import type { Context } from '../platform/context'
import { refusalOf } from '../platform/outbound/refusal'
import { TooTangled } from '../platform/threads/threads'
import { connectors } from './connector'
import type { SourceReading } from './reading'

const PREVIEW = 4
const MOST_CANDIDATES = 12
/** A person waits: what has not answered by then is said so. */
const PATIENCE_MS = 15_000
const LATE: SourceReading = {
  kind: 'fault',
  fault: { code: 'late', message: 'no answer in time', remedy: 'Paste its address by itself.' },
}

/** From whatever address a person has to the sources behind it, each with its newest items, and what was tried; `tell` hears of each try. */
export async function findSources(
  context: Context,
  given: string,
  gives: readonly BodyType[],
  tell: (tried: Tried) => void = () => {},
): Promise<{ found: FoundSource[]; tried: Tried[] }> {
  const { kind, address } = recognised(given, gives)
  const refusal = refusalOf(address, { localhostNames: context.config.demo })
  if (refusal)
    throw new AppError('address-refused', { message: refusal, issues: [{ field: 'address', message: refusal }] })
  const reading = await connectors[kind.id]!.read(context, address)
  if (reading.kind === 'read')
    return {
      found: [describe(kind, reading.url, reading.read, 'given')],
      tried: [{ url: address, outcome: called(kind) }],
    }
  if (reading.kind === 'fault') {
    const { message, remedy } = reading.fault
    throw new AppError('fetch-failed', { message, remedy, issues: [{ field: 'address', message }] })
  }
  if (reading.kind !== 'page') throw new AppError('fetch-failed')
  const named = await namedIn(context, kind, reading.html, reading.url)
  const page = { url: address, outcome: pageNaming(kind, named.length) }
  tell(page)
  const tries = await tryAll(context, kind, named.length ? named : kind.usualAddresses(reading.url), tell)
  const tried = [page, ...tries.map((one) => one.tried)]
  const found = tries.flatMap((one) => one.found ?? [])
  if (!found.length)
    throw new AppError('no-feeds', {
      data: { tried },
      issues: [{ field: 'address', message: 'no feed was found there' }],
    })
  return { found, tried }
}

/** The first sort of source that what was pasted can mean. */
function recognised(given: string, gives: readonly BodyType[]): { kind: SourceKind; address: string } {
  for (const kind of Object.values(sourceKinds).filter((one) => one.gives.some((type) => gives.includes(type)))) {
    const meant = kind.recognise(given)
    if (meant) return { kind, address: meant.address }
  }
  throw new AppError('address-refused', { issues: [{ field: 'address', message: 'is no address' }] })
}

/** A page too tangled to be read names none. */
const namedIn = ({ threads }: Context, { id }: SourceKind, html: string, base: string) =>
  threads.run('discover', { kind: id, html, base }, new URL(base).host).catch((error: unknown) => {
    if (error instanceof TooTangled) return []
    throw error
  })

const noun = (kind: SourceKind) => kind.name.toLowerCase()
const called = (kind: SourceKind) => `a ${noun(kind)}`

const pageNaming = (kind: SourceKind, found: number) =>
  `a web page that names ${found > 1 ? `${found} ${noun(kind)}s` : found ? called(kind) : `no ${noun(kind)}`}`

/** All at once; each is told of as it answers. */
async function tryAll(context: Context, kind: SourceKind, candidates: SourceCandidate[], tell: (tried: Tried) => void) {
  const until = AbortSignal.timeout(PATIENCE_MS) // whoever is late keeps no turn at its host
  const timeUp = new Promise<SourceReading>((resolve) => until.addEventListener('abort', () => resolve(LATE)))
  return Promise.all(
    candidates.slice(0, MOST_CANDIDATES).map(async ({ url, how }) => {
      const reading = await Promise.race([connectors[kind.id]!.read(context, url, {}, until), timeUp])
      const tried = { url, outcome: outcomeOf(kind, reading) }
      tell(tried)
      return { tried, found: reading.kind === 'read' ? describe(kind, reading.url, reading.read, how) : null }
    }),
  )
}

function outcomeOf(kind: SourceKind, reading: SourceReading): string {
  if (reading.kind === 'read') return called(kind)
  return reading.kind === 'fault' ? reading.fault.message : `a web page, not ${called(kind)}`
}

function describe(
  kind: SourceKind,
  url: string,
  { title, format, entries, rating }: ReadSource,
  how: FoundSource['how'],
): FoundSource {
  const items = gather(['found'], [{ sourceId: 'found', entries }])
  return {
    kind: kind.id,
    url,
    title: title || new URL(url).host,
    format,
    count: entries.length,
    rating: rating ?? null,
    how,
    newest: inOrder(items, 'newest')
      .slice(0, PREVIEW)
      .map(({ body, publishedAt, link }) => ({ title: readingOf(body).title(body), publishedAt, link })),
  }
}
