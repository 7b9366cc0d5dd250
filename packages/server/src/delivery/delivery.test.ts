import { createHash } from 'node:crypto'
import type { Payload } from '@pebblestrand/core/artefacts'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { planned, publishedWidget, setScene, type Scene } from '../testing/scene'
import { announce } from '../artefacts/announce'
import { Artefact } from '../artefacts/models'
import { recompute } from './recompute'

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
const titles = ({ html }: Payload) => [...html.matchAll(/<h3 class="t"[^>]*>(?:<a[^>]*>)?([^<]*)/g)].map((m) => m[1])
const stored = async (form = 'payload') => (await Artefact.findOne({ where: { publicId, form } }))!
const storedPayload = async () => JSON.parse((await stored()).bytes.toString()) as Payload
/** A change is heard by notification: a moment later. */
const eventually = (truth: () => Promise<boolean>) => expect.poll(truth, { timeout: 4000, interval: 40 }).toBe(true)

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
    expect(body).toMatch(/<script nonce="[^"]+" src="[^"]+\/stage\.js" [^>]*data-in-page="1" data-width="\d+">/)
    expect((await get('/stage.js')).headers['content-type']).toContain('text/javascript')
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
    const gone = await planned(ada, scene, 'footer', await publishedWidget(ada, 'Gone soon', scene.sourceId))
    await system.work()
    await ada.post(`/api/installs/${gone.id}/retire`)
    await system.work()
    await eventually(async () => (await get(`/p2/${gone.publicId}.json`)).statusCode === 410)
    for (const path of [`/f/${gone.publicId}`, `/p/${gone.publicId}.json`])
      expect((await get(path)).statusCode).toBe(410)
  })
})
