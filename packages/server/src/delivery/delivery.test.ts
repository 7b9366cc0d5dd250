import { createHash } from 'node:crypto'
import { formIds } from '@pebblestrand/core/artefacts'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { planned, setScene, type Scene } from '../testing/scene'
import { story } from '../testing/story'
import { ArticleBody } from '@pebblestrand/core/items'
import { Instance } from '../accounts/models'
import { ItemRow, Source } from '../sources/models'
import { refreshSource } from '../sources/refresh'
import { announce } from './announce'
import { Artefact, THUMBNAIL } from './models'
import { recompute } from './recompute'
import { followRenderer } from './renderer-version'

let system: TestSystem
let ada: Person
let scene: Scene
let publicId = ''
let installId = ''
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada, 'ninefold-choir', '/concerts')
  ;({ id: installId, publicId } = await planned(ada, scene, 'main'))
  await system.work()
})
afterAll(() => system.stop())

const get = (url: string, headers: Record<string, string> = {}) => system.app.inject({ url, headers })
interface Payload {
  release: number
  name: string
  html: string
}
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
  step('payload is of the newest release, also when an older computation is slow to store', async () => {
    const store = Artefact.bulkCreate.bind(Artefact)
    await ItemRow.update({ author: 'Someone else' }, { where: { sourceId: scene.sourceId } })
    await publishWith({ author: true })
    const storing = vi.spyOn(Artefact, 'bulkCreate').mockImplementationOnce(async (...args) => {
      await new Promise((resolve) => setTimeout(resolve, 400))
      return store(...args)
    })
    const older = recompute(system.context, scene.widgetId)
    await vi.waitFor(() => expect(storing).toHaveBeenCalledOnce())
    await publishWith({ count: 4 })
    await Promise.all([older, system.work()])
    storing.mockRestore()
    expect(await storedPayload()).toMatchObject({ release: 4 })
    expect(titles(await storedPayload())).toHaveLength(4)
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
      expect(await source.reload()).toMatchObject({ failures: 1, problem: { code: 'broken' } })
      // The next try finds the source as it was, not "unchanged": the story is not lost.
      expect((await source.reload()).contentHash).toBeNull()
      await refreshSource(system.context, source.id)
      expect(await jobs()).toBe(1)
      await system.work()
    })
    step('what is queued is done again when it failed, and nothing of the failed try is stored', async () => {
      await publishWith({ count: 3 })
      const failing = vi.spyOn(Artefact, 'bulkCreate').mockRejectedValueOnce(new Error('the disk is full'))
      await expect(system.work()).rejects.toThrow('the disk is full')
      failing.mockRestore()
      expect((await storedPayload()).release).toBe(4)
      await system.context.db.query(
        `UPDATE queue.job SET start_after = now() WHERE name = 'recompute' AND state = 'retry'`,
      )
      await system.work()
      expect(await storedPayload()).toMatchObject({ release: 5 })
    })
    step('what is queued writes only what changed: one more rendering of the same is no news', async () => {
      const storing = vi.spyOn(Artefact, 'bulkCreate')
      await recompute(system.context, scene.widgetId)
      expect(storing).not.toHaveBeenCalled()
      storing.mockRestore()
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
      expect((await storedPayload()).release).toBe(5)
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

describe('a release that holds more than its kind knows', () => {
  it('is served all the same, and the list of widgets answers', async () => {
    await system.context.db.query(
      `UPDATE releases SET settings = settings || '{"colour_of_last_year": "red", "count": 99}' WHERE widget_id = :id`,
      { replacements: { id: scene.widgetId } },
    )
    await recompute(system.context, scene.widgetId)
    expect(titles(await storedPayload()).length).toBeGreaterThan(3) // the default in place of 99
    expect((await ada.get('/api/widgets')).status).toBe(200)
    expect((await ada.get(`/api/widgets/${scene.widgetId}`)).status).toBe(200)
  })
})

describe('over the socket', () => {
  let address = ''
  beforeAll(async () => void (address = await system.app.listen({ port: 0, host: '127.0.0.1' })))

  it.each(['', '?v=2'])('the same bytes and headers, remembered or not%s', async (query) => {
    const url = `${address}/p2/${publicId}.json${query}`
    const told = async () => {
      const answer = await fetch(url)
      return [
        answer.status,
        await answer.text(),
        ...['content-type', 'cache-control', 'etag'].map((h) => answer.headers.get(h)),
      ]
    }
    const first = await told()
    expect(first.slice(0, 2)).toEqual([200, (await stored()).bytes.toString()])
    expect(await told()).toEqual(first)
    const etag = first.at(-1) as string
    expect((await fetch(url, { headers: { 'if-none-match': etag } })).status).toBe(304)
    const head = await fetch(url, { method: 'HEAD' })
    expect([head.status, head.headers.get('etag'), await head.text()]).toEqual([200, etag, ''])
    expect((await fetch(url, { method: 'POST' })).status).toBe(404)
  })
  it('a change is heard, also where the old bytes are remembered', async () => {
    const name = async () => ((await (await fetch(`${address}/p2/${publicId}.json`)).json()) as Payload).name
    expect(await name()).toBe('Harbour news')
    await ada.patch(`/api/widgets/${scene.widgetId}`, { name: 'Harbour words' })
    const { draft } = (await ada.get(`/api/widgets/${scene.widgetId}`)).body as { draft: { version: number } }
    await ada.post(`/api/widgets/${scene.widgetId}/releases`, { version: draft.version })
    await system.work()
    await eventually(async () => (await name()) === 'Harbour words')
  })
  it('frame and application stand beside it', async () => {
    expect(await (await fetch(`${address}/f/${publicId}`)).text()).toContain('Second ramp opens')
    expect((await fetch(`${address}/f/${publicId}`)).headers.get('content-security-policy')).toContain(
      "default-src 'none'",
    )
    expect((await fetch(`${address}/api/today`)).status).toBe(401)
  })
})

describe('frame and link', () => {
  it.each(['f', 'v'])(
    '/%s shows the widget without a script but the one that tells its height, and lets nothing of others run',
    async (path) => {
      const answer = await get(`/${path}/${publicId}`)
      expect(answer.body).toContain('Second ramp opens at Gullhaven pier')
      expect(answer.body.split('<script')).toHaveLength(2)
      const told = /<script>([^<]+)<\/script><\/body>/.exec(answer.body)![1]!
      const hash = createHash('sha256').update(told).digest('base64')
      expect(answer.headers['content-security-policy']).toContain(`script-src 'self' 'sha256-${hash}';`)
      expect(answer.headers['content-security-policy']).toContain("default-src 'none'")
      expect(answer.headers['content-security-policy']).toContain("script-src 'self'")
      expect(answer.headers['content-security-policy']).toContain('sandbox allow-scripts')
      expect(answer.headers['content-security-policy']).not.toContain('allow-same-origin')
      expect(answer.headers['x-frame-options']).toBeUndefined()
      expect((await get(`/${path}/${publicId}`, { 'if-none-match': answer.headers.etag! })).statusCode).toBe(304)
    },
  )
})

describe('an address of a version before', () => {
  it('shows the page for a frame, as it did, until its own is drawn', async () => {
    const { db } = system.context
    const page = (await get(`/v/${publicId}`)).body
    await db.transaction(async (transaction) => {
      await Artefact.destroy({ where: { publicId, form: 'page' }, transaction })
      await announce(system.context, [publicId], transaction)
    })
    const frame = (await get(`/f/${publicId}`)).body
    expect(frame).not.toBe(page)
    await eventually(async () => (await get(`/v/${publicId}`)).body === frame)
    await recompute(system.context, scene.widgetId)
    await eventually(async () => (await get(`/v/${publicId}`)).body === page)
  })
})

describe('a script of yesterday', () => {
  it('finds its payload until no browser keeps it any more, and else its link stays', async () => {
    expect((await get(`/p/${publicId}.json`)).statusCode).toBe(404)
    await Artefact.create({
      publicId,
      installId,
      form: 'payload-1',
      contentType: 'application/json; charset=utf-8',
      bytes: Buffer.from('{"v":1,"kind":"headlines"}'),
      etag: '"old"',
      facts: {},
    })
    await recompute(system.context, scene.widgetId)
    expect((await get(`/p/${publicId}.json`)).json()).toEqual({ v: 1, kind: 'headlines' })
  })
})

describe('the script and the fonts', () => {
  it('are public, small and cached', async () => {
    const script = await get('/strand.js')
    expect(script.headers).toMatchObject({
      'cross-origin-resource-policy': 'cross-origin',
      'x-content-type-options': 'nosniff',
      'content-type': 'text/javascript; charset=utf-8',
      'access-control-allow-origin': '*',
    })
    expect((await get('/fonts/jetbrains-mono.woff2')).headers).toMatchObject({
      'content-type': 'font/woff2',
      'cache-control': expect.stringContaining('immutable'),
    })
    expect((await get('/fonts/..%2f..%2fpackage.json')).statusCode).toBe(404)
    expect((await get('/b1/..%2f..%2fpackage.js')).statusCode).toBe(404)
  })
})

describe('the page around a placement', () => {
  const around = (placement = scene.placements.main!, pageId = scene.pageId) =>
    ada.get(`/stage/page?pageId=${pageId}&placementId=${placement}`)
  it('is the page as it was last looked at, with a room in the placement, and nothing of it runs', async () => {
    const { status, body, headers } = await around()
    expect(status).toBe(200)
    expect(body).toMatch(/#pebblestrand-room\{min-width:min\(100%,\d+px\)\}/)
    expect(body).toContain('<div id="pebblestrand-room"></div>')
    expect(body).toContain(`<base href="${system.standins('ninefold-choir', '/concerts').split('/concerts')[0]}`)
    expect(headers['content-security-policy']).toMatch(/script-src 'nonce-[^']+';/)
    expect(headers['content-security-policy']).toContain('sandbox allow-scripts')
  })
  it('is for who is signed in, and for a placement of that very site', async () => {
    expect((await get(`/stage/page?pageId=${scene.pageId}&placementId=${scene.placements.main}`)).statusCode).toBe(401)
    const other = await setScene(system, ada, 'brackenfold', '/orchard', 'Orchard news')
    expect((await around(other.placements.main)).status).toBe(404)
    expect((await around(other.placements.main, other.pageId)).body).toMatchObject({
      error: { remedy: expect.stringContaining('check one') },
    })
  })
})

describe('what is not there', () => {
  it.each([
    '/p2/nothing-here.json',
    '/p2/..%2f..%2fetc.json',
    `/p2/${'x'.repeat(300)}.json`,
    "/p2/'; drop table artefacts;--.json",
  ])('%s: 404, nothing told', async (url) => {
    const answer = await get(encodeURI(decodeURI(url)))
    expect([404, 400, 414]).toContain(answer.statusCode)
    expect(answer.body).not.toMatch(/stack|sql|select/i)
  })
  it('a retired install: 410, so that the element takes itself away', async () => {
    await ada.post(`/api/installs/${installId}/retire`)
    await system.work()
    await eventually(async () => (await get(`/p2/${publicId}.json`)).statusCode === 410)
    for (const path of [`/f/${publicId}`, `/p/${publicId}.json`]) expect((await get(path)).statusCode).toBe(410)
  })
})
