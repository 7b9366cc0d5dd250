import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Check, Round } from '../findings/models'
import { removables, type Removable } from '@pebblestrand/contract'
import { Artefact } from '../artefacts/models'
import { Install } from '../installs/models'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { pasteAt, publishedWidget, setScene, type Scene } from '../testing/scene'
import { story } from '../testing/story'
import { forgetRemovals } from './forget'
import { Removal } from './models'
import { whatGoes } from './what-goes'

let system: TestSystem
let ada: Person
let scene: Scene
let installId = ''
let spareId = ''

const ask = <T extends object>(sql: string) => system.context.db.query<T>(sql, { type: QueryTypes.SELECT })
const plan = async (placementId: string) =>
  (
    (await ada.post('/api/installs', { widgetId: scene.widgetId, pageId: scene.pageId, placementId })).body as {
      id: string
    }
  ).id
const takeOut = async (what: Removable, id: string, standing = 0) =>
  (await ada.post('/api/removals', { what, id, standing })) as {
    status: number
    body: { id: string; error?: { code: string; data: unknown } }
  }
const bringBack = (id: string) => ada.delete(`/api/removals/${id}`)

/** Every row of every table that a removal may touch, as text, but for what says when it was computed. */
async function everything(): Promise<Record<string, string[]>> {
  const tables = [...new Set(removables.flatMap((what) => whatGoes(what).map((part) => part.table)))]
  const rows = await Promise.all(
    tables.map(async (table) => {
      const found = await ask<{ row: string }>(
        `SELECT (to_jsonb(t.*) - 'computed_at' - 'rendering')::text AS row FROM ${table} t ${
          table === 'activity' ? "WHERE verb NOT IN ('removed', 'brought-back')" : ''
        }`,
      )
      return [table, found.map(({ row }) => row).sort()] as const
    }),
  )
  return Object.fromEntries(rows)
}

beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada, 'pollard-cycles', '/workshop')
  await ada.post(`/api/sites/${scene.siteId}/placements`, {
    name: 'rail',
    region: 'sidebar',
    width: 280,
    pageId: scene.pageId,
  })
  installId = await plan(scene.placements.sidebar!)
  spareId = await plan(scene.placements.footer!)
  const { snippets } = (await ada.get(`/api/installs/${installId}`)).body as { snippets: { inline: string } }
  await pasteAt('pollard-cycles', '/workshop', { 'sidebar.code': snippets.inline })
  await ada.post(`/api/installs/${installId}/checks`)
  await system.work()
})
afterAll(async () => {
  await pasteAt('pollard-cycles', '/workshop', { 'sidebar.code': '' })
  await system.stop()
})

describe('what goes with a subject', () => {
  it('is all that the database would delete along with it or that would hold it back', async () => {
    const references = await ask<{ from: string; to: string }>(
      `SELECT DISTINCT c.conrelid::regclass::text AS "from", c.confrelid::regclass::text AS "to" FROM pg_constraint c
       WHERE c.contype = 'f' AND c.connamespace = 'public'::regnamespace AND c.confdeltype IN ('c', 'r')`,
    )
    expect(references.length).toBeGreaterThan(10)
    for (const what of removables) {
      const tables = whatGoes(what).map((part) => part.table)
      const missing = references.filter(({ from, to }) => tables.includes(to) && !tables.includes(from))
      expect([what, missing]).toEqual([what, []])
    }
  })
})

describe('taking out and bringing back', () => {
  const idOf: Record<Removable, () => string> = {
    site: () => scene.siteId,
    page: () => scene.pageId,
    placement: () => scene.placements.sidebar!,
    widget: () => scene.widgetId,
    install: () => installId,
  }

  it.each(removables)('a %s that visitors see is not taken out before that was said', async (what) => {
    const there = { installs: await Install.count(), removals: await Removal.count() }
    const { status, body } = await takeOut(what, idOf[what]())
    expect(status).toBe(409)
    expect(body.error).toMatchObject({
      code: 'still-standing',
      data: { what, standing: { total: 1, rows: [{ id: installId, status: 'confirmed', placement: 'sidebar' }] } },
    })
    expect({ installs: await Install.count(), removals: await Removal.count() }).toEqual(there)
  })

  it.each(removables)('a %s is gone with all that is its own, and back to the last row and byte', async (what) => {
    const before = await everything()
    const { publicId } = (await Install.findByPk(installId))!
    const served = await system.app.inject(`/p2/${publicId}.json`)
    expect(served.statusCode).toBe(200)

    const { status, body } = await takeOut(what, idOf[what](), 1)
    expect(status).toBe(200)
    const meanwhile = await everything()
    for (const { table, where } of whatGoes(what))
      expect([
        table,
        await ask(`SELECT 1 FROM ${table} WHERE ${where.replaceAll(':id', `'${idOf[what]()}'`)}`),
      ]).toEqual([table, []])
    expect(meanwhile).not.toEqual(before)
    await expect.poll(async () => (await system.app.inject(`/p2/${publicId}.json`)).statusCode).toBe(410)

    expect(await bringBack(body.id)).toMatchObject({ status: 200, body: { what, id: idOf[what]() } })
    expect(await everything()).toEqual(before)
    expect((await system.app.inject(`/p2/${publicId}.json`)).body).toBe(served.body)
    expect((await bringBack(body.id)).status).toBe(404)
  })

  it('what is only planned is taken out at once', async () => {
    const id = await plan(scene.placements.main!)
    const { status, body } = await takeOut('install', id)
    expect(status).toBe(200)
    expect((await ada.get(`/api/installs/${id}`)).status).toBe(404)
    await bringBack(body.id)
    await Install.destroy({ where: { id } })
  })
})

story('what was taken out', (step) => {
  step('is listed, the newest first, with what went along and by whom', async () => {
    await takeOut('placement', scene.placements.header!)
    const { body } = await takeOut('page', scene.pageId, 1)
    expect((await ada.get('/api/removals')).body).toMatchObject({
      total: 2,
      daysKept: 30,
      rows: [
        {
          what: 'page',
          name: 'The page',
          place: 'pollard-cycles',
          counts: { placements: 1, installs: 2 },
          by: 'Ada Fenwick',
        },
        { what: 'placement', name: 'header', place: 'pollard-cycles', counts: {} },
      ],
    })
    await bringBack(body.id)
  })
  step('is current when it is back, whatever happened meanwhile', async () => {
    const { body } = await takeOut('install', installId, 1)
    const { draft } = (await ada.get(`/api/widgets/${scene.widgetId}`)).body as {
      draft: { settings: object; version: number }
    }
    const { version } = (
      await ada.put(`/api/widgets/${scene.widgetId}/draft`, {
        settings: { ...draft.settings, count: 2 },
        version: draft.version,
      })
    ).body as { version: number }
    expect((await ada.post(`/api/widgets/${scene.widgetId}/releases`, { version })).body).toEqual({ number: 2 })
    await bringBack(body.id)
    const { bytes } = (await Artefact.findOne({ where: { installId, form: 'payload' } }))!
    const payload = JSON.parse(bytes.toString()) as { release: number; html: string }
    expect([payload.release, payload.html.match(/<li/g)]).toEqual([2, ['<li', '<li']])
  })
  step('does not push out what took its place', async () => {
    const { body } = await takeOut('page', scene.pageId, 1)
    const { id } = (await ada.post(`/api/sites/${scene.siteId}/pages`, { title: 'Another', path: '/workshop' }))
      .body as {
      id: string
    }
    expect(await bringBack(body.id)).toMatchObject({
      status: 409,
      body: { error: { code: 'in-its-way', message: 'Another page of the site has its path by now.' } },
    })
    await takeOut('page', id)
    expect((await bringBack(body.id)).status).toBe(200)
    expect(await Install.count()).toBe(2)
  })
  step('is never the last page of a site', async () => {
    const { pages } = (await ada.get(`/api/sites/${scene.siteId}`)).body as { pages: { id: string; path: string }[] }
    const home = pages.find((page) => page.path === '/')!.id
    const kept = (await takeOut('page', home)).body.id
    expect(await takeOut('page', scene.pageId, 1)).toMatchObject({
      status: 409,
      body: { error: { code: 'last-page' } },
    })
    await bringBack(kept)
  })
  step('waits for what it belongs to', async () => {
    const install = (await takeOut('install', installId, 1)).body.id
    const widget = (await takeOut('widget', scene.widgetId)).body.id
    expect(await bringBack(install)).toMatchObject({
      status: 409,
      body: { error: { message: 'Something it belongs to was removed as well.' } },
    })
    expect((await bringBack(widget)).status).toBe(200)
    expect((await bringBack(install)).status).toBe(200)
  })
  step('is forgotten after thirty days, not before', async () => {
    const [old, young] = [
      (await takeOut('widget', await publishedWidget(ada, 'Old news', scene.sourceId))).body.id,
      (await takeOut('widget', await publishedWidget(ada, 'Young news', scene.sourceId))).body.id,
    ]
    const daysAgo = (days: number) => new Date(Date.now() - days * 86_400_000)
    await Removal.update({ removedAt: daysAgo(31) }, { where: { id: old } })
    await Removal.update({ removedAt: daysAgo(29) }, { where: { id: young } })
    const { publicId } = (await Install.findByPk(spareId))!
    await Removal.update({ removedAt: daysAgo(31) }, { where: { id: (await takeOut('install', spareId)).body.id } })
    await forgetRemovals()
    expect((await system.app.inject(`/p2/${publicId}.json`)).statusCode).toBe(410) // for good
    expect((await bringBack(old)).status).toBe(404)
    expect(await ask(`SELECT 1 FROM removed_rows WHERE removal_id = '${old}'`)).toEqual([])
    expect((await bringBack(young)).status).toBe(200)
  })
})

describe('what is under way', () => {
  it('a check in the queue ends with its install, and the round with its last check', async () => {
    const { body: round } = await ada.post('/api/rounds')
    expect((await Round.findByPk((round as { id: string }).id))!.state).toBe('running')
    const { body } = await takeOut('site', scene.siteId, 1)
    expect((await Round.findByPk((round as { id: string }).id))!.state).toBe('done')
    await bringBack(body.id)
    expect(await Check.count({ where: { state: ['queued', 'served', 'fresh', 'judging'] } })).toBe(0)
  })
  it.each([
    [{ what: 'client', id: '00000000-0000-4000-8000-000000000000' }, 400],
    [{ what: 'site', id: 'x' }, 400],
    [{ what: 'site', id: '00000000-0000-4000-8000-000000000000', standing: -1 }, 400],
    [{ what: 'site', id: '00000000-0000-4000-8000-000000000000' }, 404],
  ])('%j gives %i', async (body, status) => expect((await ada.post('/api/removals', body)).status).toBe(status))
})
