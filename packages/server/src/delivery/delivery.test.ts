import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { Install } from '../installs/models'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { setScene, type Scene } from '../testing/scene'
import { ItemRow, Source } from '../sources/models'
import { refreshSource } from '../sources/refresh'
import { recomputeForSource } from './compute'
import { Payload } from './models'

let system: TestSystem
let ada: Person
let scene: Scene
let publicId = ''
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada, 'ninefold-choir', '/concerts')
  const { id } = (
    await ada.post('/api/installs', {
      widgetId: scene.widgetId,
      pageId: scene.pageId,
      placementId: scene.placements.main,
    })
  ).body as { id: string }
  publicId = (await Install.findByPk(id))!.publicId
})
afterAll(() => system.stop())

const get = (url: string, headers: Record<string, string> = {}) => system.app.inject({ url, headers })
const payload = async () => (await get(`/p/${publicId}.json`)).json<{ release: number; items: { title: string }[] }>()
/** A change is heard by notification: a moment later. */
const eventually = async (truth: () => Promise<boolean>) => {
  for (let i = 0; i < 50; i++) {
    if (await truth()) return true
    await new Promise((resolve) => setTimeout(resolve, 40))
  }
  return false
}

describe('payload', () => {
  it('is served as stored bytes, for any origin, without cookies', async () => {
    const answer = await get(`/p/${publicId}.json`)
    expect(answer.statusCode).toBe(200)
    expect(answer.body).toBe((await Payload.findOne({ where: { publicId } }))!.body)
    expect(answer.headers).toMatchObject({
      'access-control-allow-origin': '*',
      'content-type': 'application/json; charset=utf-8',
      'cache-control': 'public, max-age=60, stale-while-revalidate=600',
      etag: expect.stringMatching(/^"/),
    })
    expect(answer.headers['set-cookie']).toBeUndefined()
  })
  it('is not sent again to who has it', async () => {
    const { etag } = (await get(`/p/${publicId}.json`)).headers
    const again = await get(`/p/${publicId}.json`, { 'if-none-match': etag! })
    expect([again.statusCode, again.body]).toEqual([304, ''])
  })
  it('tells nothing of sources, drafts, clients or accounts', async () => {
    const text = (await get(`/p/${publicId}.json`)).body
    for (const secret of [scene.sourceId, scene.widgetId, scene.siteId, 'ada@agency.example', 'feeds/harbour'])
      expect(text).not.toContain(secret)
  })
  it('follows a new release, with the page and the snippet as they were', async () => {
    expect((await payload()).items).toHaveLength(4)
    const { draft } = (await ada.get(`/api/widgets/${scene.widgetId}`)).body as {
      draft: { settings: object; version: number }
    }
    await ada.put(`/api/widgets/${scene.widgetId}/draft`, {
      settings: { ...draft.settings, count: 2 },
      version: draft.version,
    })
    expect((await payload()).items).toHaveLength(4) // a draft changes nothing
    await ada.post(`/api/widgets/${scene.widgetId}/releases`, { version: draft.version + 1 })
    expect(await eventually(async () => (await payload()).items.length === 2)).toBe(true)
    expect((await payload()).release).toBe(2)
  })
  it('is of the newest release, also when an older computation is slow to store', async () => {
    const { draft } = (await ada.get(`/api/widgets/${scene.widgetId}`)).body as {
      draft: { settings: object; version: number }
    }
    const settings = { ...draft.settings, count: 4 }
    await ada.put(`/api/widgets/${scene.widgetId}/draft`, { settings, version: draft.version })
    const store = Payload.bulkCreate.bind(Payload)
    const storing = vi.spyOn(Payload, 'bulkCreate').mockImplementationOnce(async (...args) => {
      await new Promise((resolve) => setTimeout(resolve, 400))
      return store(...args)
    })
    const older = recomputeForSource(system.context, scene.sourceId)
    await vi.waitFor(() => expect(storing).toHaveBeenCalledOnce())
    await ada.post(`/api/widgets/${scene.widgetId}/releases`, { version: draft.version + 1 })
    await older
    const stored = (await Payload.findOne({ where: { publicId } }))!
    expect(JSON.parse(stored.body)).toMatchObject({ release: 3, items: { length: 4 } })
  })
  it('reserves the height of its placement as it is now', async () => {
    const height = async () => (await Payload.findOne({ where: { publicId } }))!.height
    const before = await height()
    await ada.patch(`/api/placements/${scene.placements.main}`, { width: 160 })
    expect(await height()).toBeGreaterThan(before)
    await ada.patch(`/api/placements/${scene.placements.main}`, { width: 720 })
    expect(await height()).toBe(before)
  })
  it('follows its source, and stays up when the source fails', async () => {
    const source = (await Source.findByPk(scene.sourceId))!
    await ItemRow.update({ title: 'Old words' }, { where: { sourceId: source.id } })
    await source.update({ etag: null, lastModified: null, contentHash: null })
    await refreshSource(system.context, source.id)
    expect(
      await eventually(async () => (await payload()).items[0]!.title === 'Second ramp opens at Gullhaven pier'),
    ).toBe(true)
    await source.update({ url: system.standins('troubled-feeds', '/gone.xml') })
    await refreshSource(system.context, source.id)
    expect((await payload()).items[0]!.title).toBe('Second ramp opens at Gullhaven pier')
  })
})

describe('over the socket', () => {
  let address = ''
  beforeAll(async () => void (address = await system.app.listen({ port: 0, host: '127.0.0.1' })))

  it.each(['', '?v=2'])('the same bytes and headers, remembered or not%s', async (query) => {
    const url = `${address}/p/${publicId}.json${query}`
    const told = async () => {
      const answer = await fetch(url)
      return [
        answer.status,
        await answer.text(),
        ...['content-type', 'cache-control', 'etag'].map((h) => answer.headers.get(h)),
      ]
    }
    const first = await told()
    expect(first.slice(0, 2)).toEqual([200, (await Payload.findOne({ where: { publicId } }))!.body])
    expect(await told()).toEqual(first)
    const etag = first.at(-1) as string
    expect((await fetch(url, { headers: { 'if-none-match': etag } })).status).toBe(304)
    const head = await fetch(url, { method: 'HEAD' })
    expect([head.status, head.headers.get('etag'), await head.text()]).toEqual([200, etag, ''])
    expect((await fetch(url, { method: 'POST' })).status).toBe(404)
  })
  it('a change is heard, also where the old bytes are remembered', async () => {
    const name = async () => ((await (await fetch(`${address}/p/${publicId}.json`)).json()) as { name: string }).name
    expect(await name()).toBe('Harbour news')
    await ada.patch(`/api/widgets/${scene.widgetId}`, { name: 'Harbour words' })
    expect(await eventually(async () => (await name()) === 'Harbour words')).toBe(true)
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
  it.each(['f', 'v'])('/%s shows the widget without a script, and lets nothing run', async (path) => {
    const answer = await get(`/${path}/${publicId}`)
    expect(answer.body).toContain('Second ramp opens at Gullhaven pier')
    expect(answer.body).not.toContain('<script')
    expect(answer.headers['content-security-policy']).toContain("default-src 'none'")
    expect(answer.headers['x-frame-options']).toBeUndefined()
    expect((await get(`/${path}/${publicId}`, { 'if-none-match': answer.headers.etag! })).statusCode).toBe(304)
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
  })
})

describe('what is not there', () => {
  it.each([
    '/p/nothing-here.json',
    '/p/..%2f..%2fetc.json',
    `/p/${'x'.repeat(300)}.json`,
    "/p/'; drop table payloads;--.json",
  ])('%s: 404, nothing told', async (url) => {
    const answer = await get(encodeURI(decodeURI(url)))
    expect([404, 400, 414]).toContain(answer.statusCode)
    expect(answer.body).not.toMatch(/stack|sql|select/i)
  })
  it('a retired install: 410, so that the element takes itself away', async () => {
    const install = (await Install.findOne({ where: { publicId } }))!
    await ada.post(`/api/installs/${install.id}/retire`)
    await system.work()
    expect(await eventually(async () => (await get(`/p/${publicId}.json`)).statusCode === 410)).toBe(true)
    expect((await get(`/f/${publicId}`)).statusCode).toBe(410)
  })
})
