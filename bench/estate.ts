import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { Client } from 'pg'
import { settled } from '../bin/launch/settled.mjs'
import { startSystem } from '../bin/launch/system.mjs'
import { Owner } from './owner'
import { median, settings, type Ratio } from './stand'

/** More pages with an install of the same widget on each, as the register would have planned them. */
const manyInstalls = (count: number) => `
WITH new_pages AS (
  INSERT INTO pages (site_id, title, path, position)
  SELECT s.id, 'Bench ' || n, '/bench/' || n, 1000 + n FROM (SELECT id FROM sites LIMIT 1) s, generate_series(1, ${count}) n RETURNING id, site_id
)
INSERT INTO installs (public_id, widget_id, page_id, placement_id, method, status)
SELECT 'bench-' || substr(md5(p.id::text), 1, 20), $1, p.id, (SELECT id FROM placements WHERE site_id = p.site_id AND region = 'sidebar' LIMIT 1), 'inline', 'confirmed' FROM new_pages p`

const manyWidgets = (count: number) => `
WITH one AS (SELECT * FROM widgets WHERE id = $1), made AS (
  INSERT INTO widgets (kind, name, draft, draft_saved_at) SELECT kind, 'Bench ' || n || ' of ${count}', draft, now() FROM one, generate_series(1, ${count}) n RETURNING id
)
INSERT INTO artefacts (public_id, form, widget_id, content_type, bytes, etag, facts)
SELECT made.id::text, 'thumbnail', made.id, a.content_type, a.bytes, a.etag, a.facts FROM made, artefacts a WHERE a.widget_id = $1 AND a.form = 'thumbnail'`

/** Recomputing what 1,000 installs of one widget serve, and the list of many widgets against few, in the running system. */
export async function estate(): Promise<Ratio[]> {
  const own = { ...settings, data: join(settings.data, 'bench-estate') }
  rmSync(own.data, { recursive: true, force: true })
  const system = await startSystem(own, { durable: false })
  await settled(system.databaseUrl)
  const db = new Client({ connectionString: system.databaseUrl })
  try {
    await db.connect()
    const owner = new Owner()
    await owner.signIn()
    const { rows } = await owner.ask<{ rows: { id: string; name: string }[] }>('GET', '/api/widgets?q=Harbour')
    const widgetId = rows[0]!.id
    return [await recompute(owner, db, widgetId), await list(owner, db, widgetId)]
  } finally {
    await db.end()
    await system.stop()
  }
}

const INSTALLS = 1000

async function recompute(owner: Owner, db: Client, widgetId: string): Promise<Ratio> {
  await db.query(manyInstalls(INSTALLS), [widgetId])
  const current = async (release: number) =>
    Number(
      (
        await db.query(
          `SELECT count(*) FROM artefacts a JOIN installs i ON i.id = a.install_id WHERE i.widget_id = $1 AND a.form = 'payload' AND (a.facts ->> 'release')::int = $2`,
          [widgetId, release],
        )
      ).rows[0].count,
    )
  const times: number[] = []
  for (let round = 0; round < 4; round++) {
    const { draft } = await owner.ask<{ draft: { settings: Record<string, unknown>; version: number } }>(
      'GET',
      `/api/widgets/${widgetId}`,
    )
    const settings = { ...draft.settings, gap: round % 2 ? 12 : 16, excerpt: 20 * round }
    const { version } = await owner.ask<{ version: number }>('PUT', `/api/widgets/${widgetId}/draft`, {
      settings,
      version: draft.version,
    })
    const began = performance.now()
    const { number } = await owner.ask<{ number: number }>('POST', `/api/widgets/${widgetId}/releases`, { version })
    while ((await current(number)) < INSTALLS) await new Promise((resolve) => setTimeout(resolve, 25))
    if (round) times.push(performance.now() - began) // the first finds nothing compiled
  }
  // The same bytes written by the database alone: what it would cost if nothing had to be rendered or queued.
  const writing: number[] = []
  for (let round = 0; round < 3; round++) {
    const began = performance.now()
    await db.query(
      `INSERT INTO artefacts SELECT * FROM artefacts WHERE install_id IN (SELECT id FROM installs WHERE widget_id = $1)
       ON CONFLICT (public_id, form) DO UPDATE SET bytes = excluded.bytes, etag = excluded.etag, computed_at = now()`,
      [widgetId],
    )
    writing.push(performance.now() - began)
  }
  return {
    name: `release to the last of ${INSTALLS} installs of one widget served anew`,
    measured: `${Math.round(median(times))} ms, the queue's half second of waiting with it`,
    against: `the database alone writing the same rows: ${Math.round(median(writing))} ms`,
    ratio: median(times) / median(writing),
    wants: null,
  }
}

async function list(owner: Owner, db: Client, widgetId: string): Promise<Ratio> {
  const time = async () => {
    const times: number[] = []
    for (let i = 0; i < 25; i++) {
      const began = performance.now()
      await owner.ask('GET', '/api/widgets?size=24')
      if (i > 4) times.push(performance.now() - began)
    }
    return median(times)
  }
  await db.query(manyWidgets(25), [widgetId])
  const few = await time()
  await db.query(manyWidgets(475), [widgetId])
  const many = await time()
  return {
    name: 'list of 500 widgets',
    measured: `${many.toFixed(1)} ms`,
    against: `of 25: ${few.toFixed(1)} ms`,
    ratio: many / few,
    wants: { most: 1.5 },
  }
}
