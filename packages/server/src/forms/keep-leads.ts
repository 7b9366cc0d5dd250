import { QueryTypes, type Sequelize, type Transaction } from 'sequelize'

/** A lead as it is written. */
export interface LeadRowToKeep {
  publicId: string
  key: string
  widgetId: string
  siteId: string | null
  path: string
  release: number
  state: string
  heldFor: string | null
  isTest: boolean
  content: string
  hashes: string[]
  at: Date
  deliveredAt: Date | null
}

/** The same key again finds what is there already: one lead, however often it is sent. */
const KEEP = `
INSERT INTO leads (public_id, key, widget_id, site_id, page_path, release, state, held_for, is_test, content, mail_hashes, at, delivered_at)
SELECT "publicId", key, "widgetId", "siteId", path, release, state, "heldFor", "isTest", content, hashes, at, "deliveredAt"
FROM jsonb_to_recordset($rows) AS r("publicId" text, key text, "widgetId" uuid, "siteId" uuid, path text, release integer, state text, "heldFor" text,
  "isTest" boolean, content text, hashes jsonb, at timestamptz, "deliveredAt" timestamptz)
ON CONFLICT (public_id, key) DO NOTHING RETURNING id, public_id AS "publicId", key`

/** Ids of those that are new, by their public id and key. */
export async function keepAll(
  db: Sequelize,
  rows: readonly LeadRowToKeep[],
  transaction?: Transaction,
): Promise<Map<string, string>> {
  const kept = await db.query<{ id: string; publicId: string; key: string }>(KEEP, {
    bind: { rows: JSON.stringify(rows) },
    type: QueryTypes.SELECT,
    transaction,
  })
  return new Map(kept.map(({ id, publicId, key }) => [`${publicId} ${key}`, id]))
}

/** Rows in one statement. */
const MOST = 200

interface Waiting {
  row: LeadRowToKeep
  settle: (id: string | null) => void
  fail: (error: unknown) => void
}

/**
 * Keeps leads that come at the same time in one statement: while one is written, the next gather. Each is answered once its own is
 * written, and one that cannot be written fails alone.
 */
export class LeadKeeper {
  private waiting: Waiting[] = []
  private isBusy = false

  constructor(private readonly db: Sequelize) {}

  /** Its id; null where it had been kept before. */
  keep(row: LeadRowToKeep): Promise<string | null> {
    return new Promise((settle, fail) => {
      this.waiting.push({ row, settle, fail })
      void this.go()
    })
  }

  private async go(): Promise<void> {
    if (this.isBusy) return
    this.isBusy = true
    while (this.waiting.length) await this.write(this.waiting.splice(0, MOST))
    this.isBusy = false
  }

  private async write(some: readonly Waiting[]): Promise<void> {
    try {
      const ids = await keepAll(
        this.db,
        some.map(({ row }) => row),
      )
      const first = new Set<string>()
      for (const { row, settle } of some) {
        const by = `${row.publicId} ${row.key}`
        // Of the same twice in one statement, one is new.
        settle(first.has(by) ? null : (ids.get(by) ?? null))
        first.add(by)
      }
    } catch (error) {
      const [only] = some
      if (some.length === 1) return only!.fail(error)
      for (const one of some) await this.write([one])
    }
  }
}

const keepers = new WeakMap<Sequelize, LeadKeeper>()
export function keeperOf(db: Sequelize): LeadKeeper {
  if (!keepers.has(db)) keepers.set(db, new LeadKeeper(db))
  return keepers.get(db)!
}
