import type { FoundSource } from '@pebblestrand/contract'
import { gather, readingOf } from '@pebblestrand/core/items'
import { inOrder } from '@pebblestrand/core/sieve'
import {
  kindsGiving,
  type Meant,
  type ReadSource,
  type SourceCandidate,
  type SourceKind,
} from '@pebblestrand/core/sources'
import { AppError } from '../../platform/errors'
import type { Context } from '../../platform/context'
import { refusalOf } from '../../platform/outbound/refusal'
import { TooTangled } from '../../platform/threads/threads'
import type { Finding, Search } from '../connector'
import type { SourceReading } from '../reading'
import { readDocument } from './read-document'

const PREVIEW = 4
const MOST_CANDIDATES = 12
const MOST_NAMED = 3
/** A person waits: what has not answered by then is said so. */
const PATIENCE_MS = 15_000
const LATE: SourceReading = {
  kind: 'fault',
  fault: { code: 'late', message: 'no answer in time', remedy: 'Paste its address by itself.' },
}

/** The documents of one sort behind an address: itself, what its page names, or where such usually are. */
export async function findDocuments(
  context: Context,
  kind: SourceKind,
  meant: Meant,
  search: Search,
): Promise<Finding> {
  if (meant.what !== 'address') throw new AppError('address-refused')
  const { address } = meant
  const refusal = refusalOf(address, { localhostNames: context.config.demo })
  if (refusal)
    throw new AppError('address-refused', { message: refusal, issues: [{ field: 'address', message: refusal }] })
  const reading = await readDocument(context, kind, { url: address }, { wanted: search.gives })
  const elsewhere = 'url' in reading && (await behindRedirect(kind, address, reading.url, search))
  if (elsewhere) return elsewhere
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
  return behindPage(context, kind, address, reading, search)
}

/** A shortened address leads on: where it ends may be what another sort knows. */
async function behindRedirect(kind: SourceKind, given: string, end: string, search: Search) {
  if (new URL(end).host === new URL(given).host) return null
  for (const other of kindsGiving(search.gives)) {
    const meant = other === kind ? null : other.recognise(end)
    if (meant?.what === 'id' && !other.document) return search.other(other.id, meant)
    if (other === kind) return null
  }
  return null
}

async function behindPage(
  context: Context,
  kind: SourceKind,
  address: string,
  reading: Extract<SourceReading, { kind: 'page' }>,
  search: Search,
): Promise<Finding> {
  const byId = await namedById(context, reading, search)
  const named = await unlessTangled(
    context.threads.run(
      'discover',
      { kind: kind.id, html: reading.html, base: reading.url },
      new URL(reading.url).host,
    ),
  )
  const page = { url: address, outcome: pageNaming(kind, named.length, byId) }
  search.tell(page)
  const candidates = named.length || byId.length ? named : kind.document!.usualAddresses(reading.url)
  const tries = await tryAll(context, kind, candidates, search)
  const tried = [page, ...tries.map((one) => one.tried)]
  const found = [...byId, ...tries.flatMap((one) => one.found ?? [])]
  if (found.length) return { found, tried }
  if (!tries.length) {
    const { message, remedy } = reading.fault
    throw new AppError('fetch-failed', { message, remedy, data: { tried }, issues: [{ field: 'address', message }] })
  }
  throw new AppError('no-feeds', {
    data: { tried },
    issues: [{ field: 'address', message: 'no feed was found there' }],
  })
}

/** Sources of other sorts that the page names by their id, in a map embed for instance. */
async function namedById(context: Context, { html, url }: { html: string; url: string }, search: Search) {
  const found: FoundSource[] = []
  for (const kind of kindsGiving(search.gives)) {
    if (!kind.named) continue
    const ids = await unlessTangled(context.threads.run('named', { kind: kind.id, html, base: url }, new URL(url).host))
    for (const id of ids.slice(0, MOST_NAMED)) {
      const finding = await search.other(kind.id, { what: 'id', id }).catch(() => null)
      found.push(...(finding?.found ?? []))
    }
  }
  return found
}

/** A page too tangled to be read names none. */
const unlessTangled = <T>(list: Promise<T[]>): Promise<T[]> =>
  list.catch((error: unknown) => {
    if (error instanceof TooTangled) return []
    throw error
  })

const noun = (kind: SourceKind) => kind.name.toLowerCase()
const called = (kind: SourceKind) => `a ${noun(kind)}`

function pageNaming(kind: SourceKind, found: number, byId: readonly FoundSource[]): string {
  if (byId.length) return `a web page that names ${byId.map(({ title }) => title).join(', ')}`
  return `a web page that names ${found > 1 ? `${found} ${noun(kind)}s` : found ? called(kind) : `no ${noun(kind)}`}`
}

/** All at once; each is told of as it answers. */
async function tryAll(
  context: Context,
  kind: SourceKind,
  candidates: SourceCandidate[],
  { gives: wanted, tell }: Pick<Search, 'gives' | 'tell'>,
) {
  const until = AbortSignal.timeout(PATIENCE_MS) // whoever is late keeps no turn at its host
  const timeUp = new Promise<SourceReading>((resolve) => until.addEventListener('abort', () => resolve(LATE)))
  return Promise.all(
    candidates.slice(0, MOST_CANDIDATES).map(async ({ url, how }) => {
      const reading = await Promise.race([readDocument(context, kind, { url }, { until, wanted }), timeUp])
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
  { title, format, entries, rating, hours }: ReadSource,
  how: FoundSource['how'],
): FoundSource {
  const items = gather(['found'], [{ sourceId: 'found', entries }])
  return {
    kind: kind.id,
    url,
    title: title || new URL(url).host,
    address: null,
    format,
    count: entries.length,
    rating: rating ?? null,
    hours: hours ?? null,
    how,
    newest: inOrder(items, 'newest')
      .slice(0, PREVIEW)
      .map(({ body, publishedAt, link }) => ({ title: readingOf(body).title(body), publishedAt, link })),
  }
}
