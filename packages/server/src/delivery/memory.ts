import { LRUCache } from 'lru-cache'
import { Client } from 'pg'
import { CHANNEL } from './compute'
import { Payload } from './models'
import { forAnyPage, prepare, type Prepared } from './prepared'

/** What one install serves: its payload, and the page for frame and link. */
export interface Served {
  body: Prepared
  frame: Prepared
}

/** A payload may be a minute old at a visitor's; then it is asked about again, while the old one still shows. */
const CACHE = 'public, max-age=60, stale-while-revalidate=600'

/** The frame's page shows text, pictures and fonts, and lets nothing run. */
const FRAME_POLICY =
  "default-src 'none'; style-src 'unsafe-inline'; img-src http: https:; font-src http: https:; base-uri 'none'; form-action 'none'"

/** Bytes of the installs asked for most. A change is heard from PostgreSQL; should the line drop, all is forgotten. */
export class PayloadMemory {
  private readonly kept = new LRUCache<string, Served>({
    maxSize: 128 * 1024 * 1024,
    sizeCalculation: (s) => s.body.size + s.frame.size + 2000,
    ttl: 60_000,
    ttlResolution: 1000,
  })
  private client: Client | null = null
  private closed = false
  private changes = 0

  constructor(
    private readonly databaseUrl: string,
    private readonly onError: (error: Error) => void,
  ) {}

  async listen(): Promise<void> {
    const client = new Client({ connectionString: this.databaseUrl })
    client.on('notification', ({ payload }) => this.forget(payload ?? ''))
    client.on('error', (error) => this.lost(error))
    client.on('end', () => this.lost(null))
    await client.connect()
    await client.query(`LISTEN ${CHANNEL}`)
    this.client = client
    this.kept.clear()
  }

  private lost(error: Error | null): void {
    if (error) this.onError(error)
    if (this.closed || !this.client) return
    this.client = null
    this.kept.clear()
    setTimeout(() => this.listen().catch((e: Error) => this.retry(e)), 2000).unref()
  }

  private retry(error: Error): void {
    this.onError(error)
    if (!this.closed) setTimeout(() => this.listen().catch((e: Error) => this.retry(e)), 5000).unref()
  }

  private forget(publicId: string): void {
    this.changes++
    this.kept.delete(publicId)
  }

  peek(publicId: string): Served | undefined {
    return this.kept.get(publicId)
  }

  /** Null where there is no such install, or none that may be served. Kept only while changes can be heard, and none came meanwhile. */
  async get(publicId: string): Promise<Served | null> {
    const before = this.changes
    const row = await Payload.findOne({ where: { publicId } })
    if (!row) return null
    const served = {
      body: prepare(Buffer.from(row.body), 'application/json; charset=utf-8', CACHE, {}, row.bodyEtag),
      frame: prepare(
        Buffer.from(row.frame),
        'text/html; charset=utf-8',
        CACHE,
        { 'content-security-policy': FRAME_POLICY, ...forAnyPage },
        row.frameEtag,
      ),
    }
    if (this.client && before === this.changes) this.kept.set(publicId, served)
    return served
  }

  async close(): Promise<void> {
    this.closed = true
    await this.client?.end()
  }
}
