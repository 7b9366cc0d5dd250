import { ArticleBody } from '@pebblestrand/core/items'
import { formIds, type Payload } from '@pebblestrand/core/artefacts'
import { afterAll, beforeAll, expect, vi } from 'vitest'
import { Instance } from '../accounts/models'
import { ItemRow, Source } from '../sources/models'
import { refreshSource } from '../sources/refresh'
import { planned, setScene, type Scene } from '../testing/scene'
import { story } from '../testing/story'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { Artefact, THUMBNAIL } from '../artefacts/models'
import { recompute } from './recompute'
import { followRenderer } from './renderer-version'

// What an install serves follows its widget's releases and sources.

let system: TestSystem
let ada: Person
let scene: Scene
let publicId = ''
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada, 'ninefold-choir', '/concerts')
  publicId = (await planned(ada, scene, 'main')).publicId
  await system.work()
})
afterAll(() => system.stop())

const get = (url: string, headers: Record<string, string> = {}) => system.app.inject({ url, headers })
const payload = async () => (await get(`/p2/${publicId}.json`)).json<Payload>()
const titles = ({ html }: Payload) => [...html.matchAll(/<h3 class="t"[^>]*>(?:<a[^>]*>)?([^<]*)/g)].map((m) => m[1])
const stored = async (form = 'payload') => (await Artefact.findOne({ where: { publicId, form } }))!
const storedPayload = async () => JSON.parse((await stored()).bytes.toString()) as Payload
const draftOf = async () =>
  ((await ada.get(`/api/widgets/${scene.widgetId}`)).body as { draft: { settings: object; version: number } }).draft
const publishWith = async (change: object) => {
  const draft = await draftOf()
  const settings = { ...draft.settings, ...change }
  await ada.put(`/api/widgets/${scene.widgetId}/draft`, { settings, version: draft.version })
  return ada.post(`/api/widgets/${scene.widgetId}/releases`, { version: draft.version + 1 })
}
const isWriting = ([sql]: readonly unknown[]) => String(sql).includes('INSERT INTO artefacts')
/** A change is heard by notification: a moment later. */
const eventually = (truth: () => Promise<boolean>) => expect.poll(truth, { timeout: 4000, interval: 40 }).toBe(true)

story('what installs serve', (step) => {
  step('payload is served as stored bytes, for any origin, without cookies', async () => {
    const answer = await get(`/p2/${publicId}.json`)
    expect(answer.statusCode).toBe(200)
    expect(answer.body).toBe((await stored()).bytes.toString())
    expect(answer.headers).toMatchObject({
      'access-control-allow-origin': '*',
      'content-type': 'application/json; charset=utf-8',
      'cache-control': 'public, max-age=60, stale-while-revalidate=600',
      etag: expect.stringMatching(/^"/),
    })
    expect(answer.headers['set-cookie']).toBeUndefined()
  })
  step('payload is not sent again to who has it', async () => {
    const { etag } = (await get(`/p2/${publicId}.json`)).headers
    const again = await get(`/p2/${publicId}.json`, { 'if-none-match': etag! })
    expect([again.statusCode, again.body]).toEqual([304, ''])
  })
  step('payload tells nothing of sources, drafts, clients or accounts', async () => {
    const text = (await get(`/p2/${publicId}.json`)).body
    for (const secret of [scene.sourceId, scene.widgetId, scene.siteId, 'ada@agency.example', 'feeds/harbour'])
      expect(text).not.toContain(secret)
  })
  step('payload is there as soon as the install is', async () => {
    const { id } = (
      await ada.post('/api/installs', {
        widgetId: scene.widgetId,
        pageId: scene.pageId,
        placementId: scene.placements.footer,
      })
    ).body as { id: string }
    expect(await Artefact.count({ where: { installId: id } })).toBe(formIds.length)
  })
  step('payload follows a new release, with the page and the snippet as they were', async () => {
    expect(titles(await payload())).toHaveLength(4)
    const draft = await draftOf()
    await ada.put(`/api/widgets/${scene.widgetId}/draft`, {
      settings: { ...draft.settings, count: 2 },
      version: draft.version,
    })
    await system.work()
    expect(titles(await payload())).toHaveLength(4) // a draft changes nothing
    await ada.post(`/api/widgets/${scene.widgetId}/releases`, { version: draft.version + 1 })
    await system.work()
    await eventually(async () => titles(await payload()).length === 2)
    expect((await payload()).release).toBe(2)
  })
  step('payload reserves the height of its placement as it is now', async () => {
    const height = async () => (await stored()).facts.height!
    const before = await height()
    await ada.patch(`/api/placements/${scene.placements.main}`, { width: 160 })
    await system.work()
    expect(await height()).toBeGreaterThan(before)
    await ada.patch(`/api/placements/${scene.placements.main}`, { width: 720 })
    await system.work()
    expect(await height()).toBe(before)
  })
  step('payload follows its source, and stays up when the source fails', async () => {
    const source = (await Source.findByPk(scene.sourceId))!
    const [row] = await ItemRow.findAll({ where: { sourceId: source.id } })
    await row!.update({ body: { ...ArticleBody.parse(row!.body), title: 'Old words' } })
    await source.update({ etag: null, lastModified: null, contentHash: null })
    await refreshSource(system.context, source.id)
    await system.work()
    await eventually(async () => titles(await payload())[0] === 'Second ramp opens at Gullhaven pier')
    await source.update({ url: system.standins('troubled-feeds', '/gone.xml') })
    await refreshSource(system.context, source.id)
    await system.work()
    expect(titles(await payload())[0]).toBe('Second ramp opens at Gullhaven pier')
    await source.update({ url: system.standins('skerrow-post', '/feeds/harbour.atom') })
  })

  {
    const jobs = async () =>
      (await system.context.db.query(`SELECT id FROM queue.job WHERE name = 'recompute' AND state = 'created'`))[0]
        .length

    step('what is queued comes with the new items or not at all', async () => {
      const source = (await Source.findByPk(scene.sourceId))!
      await source.update({ etag: null, lastModified: null, contentHash: null })
      const queue = Object.create(system.context.queue, {
        sendMany: { value: () => Promise.reject(new Error('the queue is away')) },
      }) as typeof system.context.queue
      await refreshSource({ ...system.context, queue }, source.id)
      // The second in a row, with that of the step before.
      expect(await source.reload()).toMatchObject({ failures: 2, problem: { code: 'broken' } })
      // The next try finds the source as it was, not "unchanged": the story is not lost.
      expect((await source.reload()).contentHash).toBeNull()
      await refreshSource(system.context, source.id)
      expect(await jobs()).toBe(1)
      await system.work()
    })
    step('what is queued is done again when it failed, and nothing of the failed try is stored', async () => {
      await publishWith({ count: 3 })
      const { db } = system.context
      const query = db.query.bind(db) as (...args: unknown[]) => Promise<never>
      const failing = vi
        .spyOn(db, 'query')
        .mockImplementation(async (...args: unknown[]) =>
          isWriting(args) ? Promise.reject(new Error('the disk is full')) : query(...args),
        )
      await expect(system.work()).rejects.toThrow('the disk is full')
      failing.mockRestore()
      expect((await storedPayload()).release).toBe(2)
      await system.context.db.query(
        `UPDATE queue.job SET start_after = now() WHERE name = 'recompute' AND state = 'retry'`,
      )
      await system.work()
      expect(await storedPayload()).toMatchObject({ release: 3 })
    })
    step('what is queued writes only what changed: one more rendering of the same is no news', async () => {
      const asked = vi.spyOn(system.context.db, 'query')
      await recompute(system.context, scene.widgetId)
      expect(asked.mock.calls.filter(isWriting)).toEqual([])
      expect(asked).toHaveBeenCalled()
      asked.mockRestore()
    })
    step('what is queued a new version of the renderer queues every widget, once', async () => {
      await Instance.upsert({ key: 'renderer', value: 'an older one' })
      await followRenderer(system.context)
      expect(await jobs()).toBe(1)
      await followRenderer(system.context)
      expect(await jobs()).toBe(1)
      await system.work()
    })
    step('what is queued what a version before has left is rendered before anybody asks', async () => {
      await Artefact.destroy({ where: { publicId, form: 'payload' } })
      await followRenderer(system.context)
      expect((await storedPayload()).release).toBe(3)
    })
  }
  {
    const thumbnail = async (id: string) => {
      const row = await Artefact.findOne({ where: { publicId: id, form: THUMBNAIL } })
      return row && { ...(JSON.parse(row.bytes.toString()) as { html: string }), facts: row.facts }
    }
    step('a thumbnail is drawn from the newest release, with the heights of usual widths', async () => {
      const drawn = (await thumbnail(scene.widgetId))!
      expect(drawn.html).toContain('Second ramp opens')
      expect(drawn.facts).toMatchObject({ shown: 3, example: false })
      expect(drawn.facts.heights!.length).toBeGreaterThan(5)
    })
    step('a thumbnail of a draft without a source shows its kind’s example', async () => {
      const { id } = (await ada.post('/api/widgets', { kind: 'headlines', name: 'Empty yet' })).body as { id: string }
      await system.work()
      expect((await thumbnail(id))!.html).toContain('The first of your headlines stands here')
      expect((await thumbnail(id))!.facts).toMatchObject({ example: true })
      const { rows } = (await ada.get('/api/widgets')).body as { rows: { id: string; example: boolean }[] }
      expect(rows.filter((row) => row.example).map((row) => row.id)).toEqual([id])
    })
    step('a thumbnail is not among what the public can ask for', async () => {
      expect((await get(`/p2/${scene.widgetId}.json`)).statusCode).toBe(404)
      expect((await get(`/f/${scene.widgetId}`)).statusCode).toBe(404)
    })
  }
})
