import { createHash } from 'node:crypto'
import { kindOf } from '@pebblestrand/core/kinds'
import { isbot } from 'isbot'
import { LRUCache } from 'lru-cache'
import { QueryTypes } from 'sequelize'
import { recomputeJob } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { secret } from '../platform/ids'
import type { Told } from '../subject'
import { dayIn } from './day'
import { counted, markVisits, secretOf } from './queries'

/** Name of the fact by which kinds ask for visits. */
export const FACT = 'visits'

/** So many waiting visits are written without waiting longer. */
const MOST_WAITING = 2000

interface Counted {
  id: string
  widgetId: string
  kind: string
  zone: string
}

/** A visit that waits to be written. */
interface Visit {
  install: Counted
  day: string
  publicId: string
  mark: string
}

const asksForVisits = (kind: string) => kindOf(kind)?.facts?.includes(FACT) ?? false

/** Hears visits, and writes them in batches. Each visitor counts once a day, robots not at all (by the list of the package isbot). */
export class VisitCounter {
  private waiting: Visit[] = []
  private timer: NodeJS.Timeout | null = null
  private readonly installs = new LRUCache<string, { known: Counted | null }>({ max: 5000, ttl: 60_000 })
  /**
   * The present day's, by zone: with the next day it is gone from memory, too. Looked up again now and then: a server whose clock is
   * ahead may have thrown it away, and all count with one.
   */
  private readonly secrets = new LRUCache<string, { day: string; secret: string }>({ max: 600, ttl: 60_000 })

  constructor(
    private readonly context: Context,
    private readonly writeEveryMs = 5000,
  ) {}

  /** Takes what a page told. An install that is gone, or counts nothing, is passed over. */
  async hear({ publicId, ip, userAgent }: Told, now = new Date()): Promise<void> {
    if (!userAgent || isbot(userAgent)) return
    const install = await this.installOf(publicId)
    if (!install) return
    const day = dayIn(install.zone, now)
    const salt = await this.secretOf(install.zone, day)
    const mark = createHash('sha256')
      .update(`${salt}\n${publicId}\n${ip}\n${userAgent}`)
      .digest('base64url')
      .slice(0, 22)
    this.waiting.push({ install, day, publicId, mark })
    if (this.waiting.length >= MOST_WAITING) await this.write()
    else this.writeSoon()
  }

  private writeSoon(): void {
    this.timer ??= setTimeout(() => void this.write().catch((e: Error) => this.context.log.error(e)), this.writeEveryMs)
  }

  private async installOf(publicId: string): Promise<Counted | null> {
    const kept = this.installs.get(publicId)
    if (kept) return kept.known
    const [found] = await this.context.db.query<Counted>(counted, {
      replacements: { publicId },
      type: QueryTypes.SELECT,
    })
    const known = found && asksForVisits(found.kind) ? found : null
    this.installs.set(publicId, { known })
    return known
  }

  private async secretOf(zone: string, day: string): Promise<string> {
    const kept = this.secrets.get(zone)
    if (kept?.day === day) return kept.secret
    const [row] = await this.context.db.query<{ secret: string }>(secretOf, {
      replacements: { zone, day, secret: secret() },
      type: QueryTypes.SELECT,
    })
    // Two who made it at once: the one that came second does not see the first's yet.
    if (!row) return this.secretOf(zone, day)
    this.secrets.set(zone, { day, secret: row.secret })
    return row.secret
  }

  /** Writes what waits, and queues in the same transaction that the numbers follow. What could not be written is tried again. */
  async write(): Promise<void> {
    if (this.timer) clearTimeout(this.timer)
    this.timer = null
    const visits = this.waiting
    if (!visits.length) return
    this.waiting = []
    const { db, queue } = this.context
    try {
      await db.transaction(async (transaction) => {
        const rows = (await db.query(markVisits, {
          bind: {
            zones: visits.map((v) => v.install.zone),
            days: visits.map((v) => v.day),
            publicIds: visits.map((v) => v.publicId),
            marks: visits.map((v) => v.mark),
          },
          type: QueryTypes.SELECT,
          transaction,
        })) as { publicId: string }[]
        await queue.sendMany(recomputeJob, jobsFor(visits, new Set(rows.map((row) => row.publicId))), transaction)
      })
    } catch (error) {
      this.waiting = [...visits, ...this.waiting].slice(0, MOST_WAITING * 5)
      this.writeSoon()
      throw error
    }
  }

  /** Ends it: what waits is written now or not at all. */
  async close(): Promise<void> {
    try {
      await this.write()
    } finally {
      if (this.timer) clearTimeout(this.timer)
    }
  }
}

/** One job a widget, for its installs whose numbers grew. */
function jobsFor(visits: readonly Visit[], grown: Set<string>) {
  const byWidget = new Map<string, Set<string>>()
  for (const { publicId, install } of visits)
    if (grown.has(publicId))
      byWidget.set(install.widgetId, (byWidget.get(install.widgetId) ?? new Set()).add(install.id))
  return [...byWidget].map(([widgetId, installIds]) => ({ widgetId, within: { installIds: [...installIds] } }))
}
