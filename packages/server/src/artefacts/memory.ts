import { createHash } from 'node:crypto'
import { TELLS_HEIGHT } from '@pebblestrand/core/artefacts'
import { PAGE_SANDBOX } from '@pebblestrand/core/methods'
import { setTimeout as sleep } from 'node:timers/promises'
import { LRUCache } from 'lru-cache'
import { Client } from 'pg'
import { col, fn, Op } from 'sequelize'
import { CHANNEL } from './announce'
import { Artefact } from './models'
import { forAnyPage, marked, prepare, type Prepared } from './prepared'

/** What one install serves, by form. */
type Served = Map<string, Prepared>

/** Bytes may be a minute old at a visitor's; then they are asked about again, while the old ones still show. */
const CACHE = 'public, max-age=60, stale-while-revalidate=600'

/** The one script that stands in our pages, by its hash (CSP Level 3, section 2.3.1). */
const TELLS_HEIGHT_HASH = createHash('sha256').update(TELLS_HEIGHT).digest('base64')

/**
 * A page of ours shows text, pictures, fonts and the player of a film that was pressed, and runs the script of ours and its behaviours,
 * beside the page too; what is filled in goes to us. Nothing else.
 */
export const PAGE_POLICY = `default-src 'none'; style-src 'unsafe-inline'; img-src http: https:; font-src http: https:; script-src 'self' 'sha256-${TELLS_HEIGHT_HASH}'; connect-src 'self'; worker-src blob:; frame-src http: https:; base-uri 'none'; form-action 'self'; sandbox ${PAGE_SANDBOX} allow-forms`

/** On what may have changed since, because the database cannot be asked. */
export const STALE = { 'pebblestrand-stale': '1' }

/** Headers beyond those that all bytes have, by form. */
const headersOf: Record<string, Record<string, string>> = {
  frame: { 'content-security-policy': PAGE_POLICY, ...forAnyPage },
  page: { 'content-security-policy': PAGE_POLICY, ...forAnyPage },
  connector: forAnyPage,
  still: forAnyPage,
  'still-2': forAnyPage,
  // A drawing that is opened by itself is a page: it runs and loads nothing.
  'still-svg': { 'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox", ...forAnyPage },
}

/** Bytes, in memory. */
const MOST_BYTES = 128 * 1024 * 1024
/** What nobody asked for yet is only taken in while there is plenty of room. */
const ROOM_FOR_MORE = MOST_BYTES / 2
/** A change is heard of at once; should it be missed, it is seen after so long. */
const SURE_MS = 60_000
/** Changes that come together are read together. */
const GATHER_MS = 50
const BATCH = 100
const NEWEST = 5000
const RETRY_MS = { first: 200, most: 5000 }
/** A database that does not answer by then counts as away, and is not asked again for a while by whoever can be served without. */
const PATIENCE_MS = 2000
const AWAY_MS = 5000

interface Kept {
  served: Served
  /** The same with the mark of what may have changed since. */
  stale: Served
  /** Which connection it was read under: a change made between two of them is not heard. */
  line: number
  at: number
}

/**
 * Bytes of the installs that are there. A change is heard from PostgreSQL and read at once. While the database is away, what
 * is kept is served all the same, marked; nothing is thrown away but for want of room.
 */
export class ArtefactMemory {
  private readonly kept = new LRUCache<string, Kept>({
    maxSize: MOST_BYTES,
    sizeCalculation: ({ served }) => [...served.values()].reduce((sum, one) => sum + one.size, 2000),
  })
  private client: Client | null = null
  private closed = false
  /** Of the connection that changes are heard on. */
  private line = 0
  private changes = 0
  private readonly changed = new Set<string>()
  private gathering: NodeJS.Timeout | null = null
  private keepsAll = false
  private awayUntil = 0

  constructor(
    private readonly databaseUrl: string,
    private readonly onError: (error: Error) => void,
  ) {}

  async listen(): Promise<void> {
    const client = new Client({ connectionString: this.databaseUrl, connectionTimeoutMillis: 5000 })
    client.on('notification', ({ payload }) => this.hear(payload ?? ''))
    client.on('error', (error) => this.lost(client, error))
    client.on('end', () => this.lost(client, null))
    await client.connect()
    await client.query(`LISTEN ${CHANNEL}`)
    this.line++
    this.client = client
    if (this.keepsAll) void this.takeInNewest()
  }

  /** Also takes in what nobody has asked for yet, the newest first, so that it is there when the database is not. */
  keepAll(): void {
    this.keepsAll = true
    void this.takeInNewest()
  }

  private lost(client: Client, error: Error | null): void {
    if (error && !this.closed) this.onError(error)
    if (this.closed || this.client !== client) return
    this.client = null
    this.again(RETRY_MS.first)
  }

  private again(ms: number): void {
    const retry = (error: Error) => {
      this.onError(error)
      this.again(Math.min(RETRY_MS.most, ms * 2))
    }
    setTimeout(() => !this.closed && void this.listen().catch(retry), ms).unref()
  }

  private hear(publicId: string): void {
    this.changes++
    const kept = this.kept.peek(publicId)
    if (kept) kept.line = 0
    if (!kept && !(this.keepsAll && this.kept.calculatedSize < ROOM_FOR_MORE)) return
    this.changed.add(publicId)
    this.gathering ??= setTimeout(() => void this.readChanged(), GATHER_MS).unref()
  }

  private async readChanged(): Promise<void> {
    this.gathering = null
    const ids = [...this.changed].slice(0, BATCH)
    for (const id of ids) this.changed.delete(id)
    if (ids.length && !this.closed) await this.takeIn(ids).catch(this.onError)
    if (this.changed.size) this.gathering ??= setTimeout(() => void this.readChanged(), GATHER_MS).unref()
  }

  private async takeInNewest(): Promise<void> {
    try {
      const newest = await Artefact.findAll({
        attributes: ['publicId'],
        where: { installId: { [Op.ne]: null } },
        group: ['publicId'],
        order: [[fn('max', col('computed_at')), 'DESC']],
        limit: NEWEST,
      })
      for (let at = 0; at < newest.length && this.kept.calculatedSize < ROOM_FOR_MORE && !this.closed; at += BATCH)
        await this.takeIn(newest.slice(at, at + BATCH).map(({ publicId }) => publicId))
    } catch (error) {
      if (!this.closed) this.onError(error as Error)
    }
  }

  /** Reads what these serve. Kept only while changes can be heard, and none came meanwhile. */
  private async takeIn(publicIds: readonly string[]): Promise<Map<string, Served>> {
    const [changes, line] = [this.changes, this.line]
    const rows = await Artefact.findAll({ where: { publicId: [...publicIds], installId: { [Op.ne]: null } } })
    const found = new Map<string, Served>()
    for (const row of rows) {
      const served = found.get(row.publicId) ?? new Map<string, Prepared>()
      found.set(row.publicId, served)
      served.set(row.form, prepare(row.bytes, row.contentType, CACHE, headersOf[row.form], row.etag))
    }
    const sure = this.client && line === this.line && changes === this.changes
    for (const id of publicIds) {
      const served = found.get(id)
      if (!served) this.kept.delete(id)
      else if (sure) this.kept.set(id, { served, stale: new Map(), line, at: Date.now() })
    }
    return found
  }

  /** What can be served without asking the database: while it is away, what was known last. */
  peek(publicId: string, form: string): Prepared | undefined {
    const kept = this.kept.get(publicId)
    if (!kept) return undefined
    if (!this.client || Date.now() < this.awayUntil) return staleOf(kept, form)
    return kept.line === this.line && Date.now() - kept.at < SURE_MS ? kept.served.get(form) : undefined
  }

  /** Null where there is no such install, or none that may be served. Throws where the database is away and nothing is known. */
  async get(publicId: string, form: string): Promise<Prepared | null> {
    try {
      const read = await Promise.race([this.takeIn([publicId]), noAnswer()])
      return read.get(publicId)?.get(form) ?? null
    } catch (error) {
      this.awayUntil = Date.now() + AWAY_MS
      const kept = this.kept.get(publicId)
      const known = kept && staleOf(kept, form)
      if (!known) throw error
      return known
    }
  }

  async close(): Promise<void> {
    this.closed = true
    if (this.gathering) clearTimeout(this.gathering)
    await this.client?.end()
  }
}

const noAnswer = () =>
  sleep(PATIENCE_MS, undefined, { ref: false }).then((): never => {
    throw new Error(`The database did not answer within ${PATIENCE_MS / 1000} seconds.`)
  })

function staleOf({ served, stale }: Kept, form: string): Prepared | undefined {
  const known = served.get(form)
  if (known && !stale.has(form)) stale.set(form, marked(known, STALE))
  return stale.get(form)
}
