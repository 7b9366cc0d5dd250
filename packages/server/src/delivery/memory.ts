import { LRUCache } from 'lru-cache'
import { Client } from 'pg'
import { CHANNEL } from './compute'
import { Payload } from './models'

export interface Served {
  body: Buffer
  bodyEtag: string
  frame: Buffer
  frameEtag: string
}

/** Bytes of the installs asked for most. A change is heard from PostgreSQL; should the line drop, all is forgotten. */
export class PayloadMemory {
  private readonly kept = new LRUCache<string, Served>({
    maxSize: 128 * 1024 * 1024,
    sizeCalculation: (s) => s.body.length + s.frame.length + 200,
    ttl: 60_000,
  })
  private client: Client | null = null
  private closed = false

  constructor(
    private readonly databaseUrl: string,
    private readonly onError: (error: Error) => void,
  ) {}

  async listen(): Promise<void> {
    const client = new Client({ connectionString: this.databaseUrl })
    client.on('notification', ({ payload }) => payload && this.kept.delete(payload))
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

  /** Null where there is no such install, or none that may be served. Kept only while changes can be heard. */
  async get(publicId: string): Promise<Served | null> {
    const known = this.kept.get(publicId)
    if (known) return known
    const row = await Payload.findOne({ where: { publicId } })
    if (!row) return null
    const served = {
      body: Buffer.from(row.body),
      bodyEtag: row.bodyEtag,
      frame: Buffer.from(row.frame),
      frameEtag: row.frameEtag,
    }
    if (this.client) this.kept.set(publicId, served)
    return served
  }

  async close(): Promise<void> {
    this.closed = true
    await this.client?.end()
  }
}
