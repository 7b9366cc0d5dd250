import { randomBytes } from 'node:crypto'
import { Client } from 'pg'
import { QueryTypes, type Sequelize } from 'sequelize'
import { SequelizeStorage } from 'umzug'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import { Artefact } from '../../../artefacts/models'
import { Install } from '../../../installs/models'
import { allMigrations } from '../../../start'
import { subjects } from '../../../subjects'
import { connect } from '../connect'
import { up as first } from './0001-founding'
import { up as second } from './0002-check-started'
import { up as third } from './0003-removals'
import { migrate } from './index'

// A database as the version before left it, with everything in it that a move could lose: an install that is served, its
// check with both answers and a finding, items with and without dates, and a removed install with the same.

const ids = {
  user: '00000000-0000-4000-8000-000000000001',
  client: '00000000-0000-4000-8000-000000000002',
  site: '00000000-0000-4000-8000-000000000003',
  page: '00000000-0000-4000-8000-000000000004',
  placement: '00000000-0000-4000-8000-000000000005',
  source: '00000000-0000-4000-8000-000000000006',
  widget: '00000000-0000-4000-8000-000000000007',
  release: '00000000-0000-4000-8000-000000000008',
  install: '00000000-0000-4000-8000-000000000009',
  check: '00000000-0000-4000-8000-00000000000a',
  removal: '00000000-0000-4000-8000-00000000000b',
  gone: '00000000-0000-4000-8000-00000000000c',
  goneCheck: '00000000-0000-4000-8000-00000000000d',
}
const check = (id: string, install: string) => `{
  "id": "${id}", "install_id": "${install}", "round_id": null, "cause": "person", "state": "done", "asked_by": null,
  "asked_at": "2026-11-01T10:00:00Z", "started_at": null, "finished_at": "2026-11-01T10:00:01Z", "status_after": "needs-a-hand",
  "facts": null, "problem": null }`
const finding = (of: string) => `{
  "id": "00000000-0000-4000-8000-0000000000ff", "check_id": "${of}", "code": "absent", "hands": "paste", "position": 0,
  "title": "t", "says": "s", "remedy": "r", "data": {}, "proof": {"page": "fresh", "excerpts": [], "headers": {}} }`
const answer = (of: string, which: string) => `{
  "check_id": "${of}", "which": "${which}", "url": "https://a.example/", "final_url": "https://a.example/", "status": 200,
  "headers": {"age": "1"}, "html": "<p>${which}</p>", "ms": 5, "at": "2026-11-01T10:00:00Z", "error": null }`
const install = (id: string, publicId: string, status: string) => `{
  "id": "${id}", "public_id": "${publicId}", "widget_id": "${ids.widget}", "page_id": "${ids.page}", "placement_id": "${ids.placement}",
  "method": "inline", "status": "${status}", "retiring": false, "steps_done": [], "baseline": null, "planned_by": null,
  "planned_at": "2026-11-01T09:00:00Z", "pasted_at": null, "confirmed_at": null, "retired_at": null, "checked_at": null, "last_check_id": null }`
const row = (table: string, json: string) =>
  `INSERT INTO ${table} SELECT * FROM jsonb_populate_record(NULL::${table}, '${json}');`
const removed = (position: number, table: string, json: string) =>
  `INSERT INTO removed_rows VALUES ('${ids.removal}', ${position}, '${table}', '${json}');`

const asItWas = `
INSERT INTO users (id, email, name, password_hash, role) VALUES ('${ids.user}', 'a@a.example', 'Ada', 'x', 'owner');
INSERT INTO clients (id, name) VALUES ('${ids.client}', 'Ferries');
INSERT INTO sites (id, client_id, name, origin, platform) VALUES ('${ids.site}', '${ids.client}', 'Ferries', 'https://ferries.example', 'hand-coded');
INSERT INTO pages (id, site_id, title, path) VALUES ('${ids.page}', '${ids.site}', 'Home', '/');
INSERT INTO placements (id, site_id, name, region, width) VALUES ('${ids.placement}', '${ids.site}', 'sidebar', 'sidebar', 300);
INSERT INTO sources (id, url, title, format) VALUES ('${ids.source}', 'https://post.example/feed', 'Post', 'rss');
INSERT INTO items (source_id, guid, title, text, html, author, published_at, link, picture, labels, position) VALUES
  ('${ids.source}', 'one', 'Second ramp', 'It opens.', '<p>It opens.</p>', 'Isla', '2026-11-01T00:00:00Z', 'https://post.example/1', '{"url": "https://post.example/1.jpg", "width": 4, "height": 3, "alt": "x"}', '["pier"]', 0),
  ('${ids.source}', 'two', 'No date', '', '', NULL, NULL, NULL, NULL, '[]', 1);
INSERT INTO widgets (id, kind, name, draft) VALUES ('${ids.widget}', 'headlines', 'Harbour news', '{"count": 3, "sources": ["${ids.source}"]}');
INSERT INTO releases (id, widget_id, number, settings) VALUES ('${ids.release}', '${ids.widget}', 1, '{"count": 3, "sources": ["${ids.source}"], "a key nobody knows": 1}');
INSERT INTO widget_sources VALUES ('${ids.widget}', '${ids.source}');
${row('installs', install(ids.install, 'abcde-fghjk-mnpqr-stuvw', 'needs-a-hand'))}
INSERT INTO payloads (install_id, public_id, release_id, body, body_etag, frame, frame_etag, height)
  VALUES ('${ids.install}', 'abcde-fghjk-mnpqr-stuvw', '${ids.release}', '{"v":1,"kind":"headlines","é":1}', '"b"', '<!doctype html><p>é</p>', '"f"', 321);
${row('checks', check(ids.check, ids.install))}
${row('findings', finding(ids.check))}
${row('answers', answer(ids.check, 'served'))}
${row('answers', answer(ids.check, 'fresh'))}
UPDATE installs SET last_check_id = '${ids.check}';
INSERT INTO removals (id, what, subject_id, site_id, name, place, counts) VALUES ('${ids.removal}', 'install', '${ids.gone}', '${ids.site}', 'Gone', 'x', '{}');
${removed(0, 'installs', install(ids.gone, 'zzzzz-zzzzz-zzzzz-zzzzz', 'retired'))}
${removed(1, 'checks', check(ids.goneCheck, ids.gone))}
${removed(2, 'findings', finding(ids.goneCheck).replace('00ff', '00fe'))}
${removed(3, 'answers', answer(ids.goneCheck, 'served'))}
${removed(4, 'payloads', `{"install_id": "${ids.gone}"}`)}
${removed(5, 'activity', `{"id": "00000000-0000-4000-8000-0000000000aa", "at": "2026-11-01T10:00:00Z", "user_id": null, "verb": "planned", "install_id": "${ids.gone}", "widget_id": null, "site_id": null, "data": {}}`)}
`

/** Somebody who works with the database all the while: reads, writes, and for a moment holds a table that is to be changed. */
class Busy {
  private working = true
  private work: Promise<void>[] = []
  /** Longest wait for an answer, in ms; what could not be answered. */
  longest = 0
  answers = 0
  failed: string[] = []

  constructor(private readonly url: string) {}

  async begin(): Promise<void> {
    const holder = new Client({ connectionString: this.url })
    await holder.connect()
    await holder.query('BEGIN')
    await holder.query('SELECT * FROM installs FOR UPDATE')
    this.work.push(
      new Promise((resolve) => setTimeout(resolve, 3000)).then(() => holder.query('COMMIT')).then(() => holder.end()),
      this.each('SELECT count(*) FROM installs'),
      this.each(`UPDATE sites SET name = name || ''`),
    )
  }

  async end(): Promise<void> {
    this.working = false
    await Promise.all(this.work)
  }

  private async each(sql: string): Promise<void> {
    const client = new Client({ connectionString: this.url })
    await client.connect()
    while (this.working) {
      const began = Date.now()
      await client.query(sql).then(
        () => this.answers++,
        (error: Error) => this.failed.push(error.message),
      )
      this.longest = Math.max(this.longest, Date.now() - began)
    }
    await client.end()
  }
}

let db: Sequelize
let busy: Busy
let name = ''
const base = inject('databaseUrl')
const administrate = async (sql: string) => {
  const client = new Client({ connectionString: base })
  await client.connect()
  await client.query(sql)
  await client.end()
}
const rows = <T extends object>(sql: string) => db.query<T>(sql, { type: QueryTypes.SELECT })

beforeAll(async () => {
  name = `m_${randomBytes(6).toString('hex')}`
  await administrate(`CREATE DATABASE ${name}`)
  const url = new URL(base)
  url.pathname = `/${name}`
  db = await connect(url.href)
  for (const subject of subjects) subject.models?.(db)
  for (const sql of [first, second, third, asItWas]) await db.query(sql)
  const done = new SequelizeStorage({ sequelize: db })
  for (const name of ['0001-founding', '0002-check-started', '0003-removals']) await done.logMigration({ name })
  busy = new Busy(url.href)
  await busy.begin()
  await migrate(db, allMigrations).finally(() => busy.end())
})
afterAll(async () => {
  await db.close()
  await administrate(`DROP DATABASE ${name} WITH (FORCE)`)
})

describe('a database of the version before comes along with all that is in it', () => {
  it('items: every field in head or body, in the same order', async () => {
    expect(
      await rows('SELECT key, author, link, language, labels, body, position FROM items ORDER BY position'),
    ).toEqual([
      {
        key: 'one',
        author: 'Isla',
        link: 'https://post.example/1',
        language: null,
        labels: ['pier'],
        body: {
          type: 'article',
          title: 'Second ramp',
          text: 'It opens.',
          html: '<p>It opens.</p>',
          picture: { url: 'https://post.example/1.jpg', width: 4, height: 3, alt: 'x' },
        },
        position: 0,
      },
      {
        key: 'two',
        author: null,
        link: null,
        language: null,
        labels: [],
        body: { type: 'article', title: 'No date', text: '', html: '', picture: null },
        position: 1,
      },
    ])
  })
  it('what is served stays served, byte for byte, for scripts of before and for frames', async () => {
    const served = await Artefact.findAll({ order: [['form', 'ASC']] })
    expect(served.map((a) => [a.form, a.bytes.toString(), a.etag, a.facts.height])).toEqual([
      ['frame', '<!doctype html><p>é</p>', '"f"', 321],
      ['payload-1', '{"v":1,"kind":"headlines","é":1}', '"b"', undefined],
    ])
    expect((await Install.findByPk(ids.install))!.publicId).toBe('abcde-fghjk-mnpqr-stuvw')
  })
  it('a check keeps its findings, with subject, weight and look, and its pages as looks', async () => {
    expect(
      await rows(`SELECT code, next_action, subject, weight, proof FROM findings WHERE check_id = '${ids.check}'`),
    ).toEqual([
      {
        code: 'absent',
        next_action: 'paste',
        subject: 'install',
        weight: 30,
        proof: { look: 'fresh', excerpts: [], headers: {} },
      },
    ])
    const [known] = await rows<{ reading: string }>(
      `SELECT reading_id AS reading FROM checks WHERE id = '${ids.check}'`,
    )
    expect(await rows(`SELECT how, html FROM looks WHERE reading_id = '${known!.reading}' ORDER BY how`)).toEqual([
      { how: 'fresh', html: '<p>fresh</p>' },
      { how: 'served', html: '<p>served</p>' },
    ])
  })
  it('what was removed can still be brought back', async () => {
    const parts = await rows<{ name: string; json: Record<string, unknown> }>(
      `SELECT table_name AS name, row_before AS json FROM removed_rows ORDER BY position`,
    )
    expect(parts.map((part) => part.name)).toEqual(['installs', 'checks', 'findings', 'activity'])
    expect(parts[2]!.json).toMatchObject({ next_action: 'paste', weight: 30, proof: { look: 'fresh' } })
    expect(parts[1]!.json).toMatchObject({ reading_id: ids.goneCheck })
    expect(await rows(`SELECT how, html FROM looks WHERE reading_id = '${ids.goneCheck}'`)).toEqual([
      { how: 'served', html: '<p>served</p>' },
    ])
    for (const { name: table, json } of parts) {
      const columns = Object.keys(json).map((column) => `"${column}"`)
      await db.query(
        `INSERT INTO ${table} (${columns}) SELECT ${columns.map((c) => `b.${c}`)} FROM jsonb_populate_record(NULL::${table}, $json::jsonb) b`,
        { bind: { json: JSON.stringify(json) } },
      )
    }
    expect(await Install.count()).toBe(2)
  })
  it('while others read and write: they are answered all the while, and a table in use is waited for', () => {
    expect(busy.failed).toEqual([])
    expect(busy.answers).toBeGreaterThan(10)
    expect(busy.longest).toBeLessThan(30_000)
  })
  it('a step that fails leaves nothing behind, and is done when it can be', async () => {
    const half = { name: '9001-half', sql: 'CREATE TABLE half (id int); SELECT 1 / 0' }
    await expect(migrate(db, [...allMigrations, half])).rejects.toThrow(/division by zero/)
    expect(await rows(`SELECT to_regclass('half') AS half`)).toEqual([{ half: null }])
    const whole = { name: '9001-half', sql: 'CREATE TABLE half (id int)' }
    expect(await migrate(db, [...allMigrations, whole])).toEqual(['9001-half'])
  })
  it('an index is made beside others’ work, in a step of its own', async () => {
    const apart = {
      name: '9005-apart',
      sql: 'CREATE INDEX CONCURRENTLY IF NOT EXISTS other_id ON other (id)',
      apart: true as const,
    }
    const other = { name: '9004-other', sql: 'CREATE TABLE other (id int)' }
    await migrate(db, [...allMigrations, other])
    expect(await migrate(db, [...allMigrations, other, apart])).toEqual(['9005-apart'])
    await expect(
      migrate(db, [...allMigrations, other, { ...apart, name: '9006-apart', apart: undefined }]),
    ).rejects.toThrow(/cannot run inside a transaction/)
  })
  it('is not migrated twice', async () => expect(await migrate(db, allMigrations)).toEqual([]))
})
