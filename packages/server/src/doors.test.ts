import { connect } from 'node:net'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { refusalOf } from './platform/outbound/refusal'
import { planned, setScene } from './testing/scene'
import { Person, startTestSystem, type TestSystem } from './testing/system'

// What an attack on the first slice found in small; each was wrong once.

let system: TestSystem
let ada: Person
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
})
afterAll(() => system.stop())

describe('names that every object has', () => {
  it.each(['__proto__', 'toString', 'constructor', 'hasOwnProperty'])(
    '%s is no kind, platform, sort or event',
    async (name) => {
      expect((await ada.post('/api/widgets', { kind: name })).status).toBe(400)
      expect((await ada.post('/api/widgets', { kind: 'headlines', starter: name })).status).toBe(400)
      const site = { client: 'C', name: 'S', origin: 'https://a.example' }
      expect((await ada.post('/api/sites', { ...site, platform: name })).status).toBe(400)
      expect((await ada.post('/api/sources', { kind: name, url: 'https://a.example/' })).status).toBe(400)
      const told = await system.app.inject({ method: 'POST', url: `/b1/${name}/22222-22222-22222-22222` })
      expect(told.statusCode).toBe(404)
    },
  )
})

describe('numbers past what a column holds', () => {
  it('are refused by their field', async () => {
    const { id } = (await ada.post('/api/widgets', { kind: 'headlines', name: 'Numbers' })).body as { id: string }
    for (const version of [2 ** 31, 2 ** 53, -1, 1.5])
      expect(await ada.put(`/api/widgets/${id}/draft`, { settings: {}, version })).toMatchObject({
        status: 400,
        body: { error: { message: expect.stringMatching(/^version:/) as string } },
      })
  })
})

describe('answers', () => {
  it.each(['/api/session', '/%61pi/session', '/api/%73ession', '/api/nothing', '/%61pi/nothing'])(
    '%s is kept by nobody',
    async (url) => {
      const { headers } = await system.app.inject(url)
      expect(headers['content-type']).toContain('application/json')
      if (!url.includes('nothing')) expect(headers['cache-control']).toBe('no-store')
    },
  )
  it('of the public are taken for what they say they are, and not sent twice', async () => {
    const scene = await setScene(system, ada, 'ninefold-choir', '/concerts')
    const { publicId } = await planned(ada, scene, 'main')
    await system.work()
    for (const url of [`/p2/${publicId}.json`, `/f/${publicId}`, '/strand.js', '/stage']) {
      const first = await system.app.inject(url)
      expect([url, first.statusCode, first.headers['x-content-type-options']]).toEqual([url, 200, 'nosniff'])
      const etag = String(first.headers.etag)
      for (const known of [etag, `W/${etag}`, `"other", ${etag}`, `"a",W/${etag} , "b"`, '*'])
        expect((await system.app.inject({ url, headers: { 'if-none-match': known } })).statusCode).toBe(304)
      for (const unknown of ['"other"', 'W/"other", "more"', etag.slice(1, -1)])
        expect((await system.app.inject({ url, headers: { 'if-none-match': unknown } })).statusCode).toBe(200)
    }
  })
})

describe('a widget’s inner name', () => {
  it('comes to visitors with a release, not before', async () => {
    const scene = await setScene(system, ada, 'brackenfold', '/orchard', 'For the client only')
    const { publicId } = await planned(ada, scene, 'main')
    await system.work()
    const payload = async () => (await system.app.inject(`/p2/${publicId}.json`)).body
    expect(await payload()).toContain('For the client only')
    await ada.patch(`/api/widgets/${scene.widgetId}`, { name: 'They never pay' })
    await system.work()
    expect(await payload()).toContain('For the client only')
    expect(await payload()).not.toContain('They never pay')
    const { rows } = (await ada.get('/api/widgets?q=They')).body as { rows: { changes: number }[] }
    expect(rows[0]!.changes).toBe(1)
    const { draft } = (await ada.get(`/api/widgets/${scene.widgetId}`)).body as { draft: { version: number } }
    expect((await ada.post(`/api/widgets/${scene.widgetId}/releases`, { version: draft.version })).status).toBe(200)
    await system.work()
    await vi.waitFor(async () => expect(await payload()).toContain('They never pay'))
  })
})

describe('addresses', () => {
  const none = { localhostNames: false }
  it.each(['http://[::7f00:1]/', 'http://[::ffff:0:7f00:1]/', 'http://[::127.0.0.1]/', 'http://[::ffff:127.0.0.1]/'])(
    '%s leads to this machine in an old spelling, and is refused',
    (address) => expect(refusalOf(address, none)).not.toBeNull(),
  )
  it.each(['http://a.example:22/', 'http://a.example:6379/', 'https://a.example:5432/', 'http://a.example:25/'])(
    '%s is no place for a web page',
    (address) => expect(refusalOf(address, none)).toMatch(/^Only ports/),
  )
  it.each(['http://a.example/', 'https://a.example:443/', 'http://a.example:8080/'])('%s may be tried', (address) =>
    expect(refusalOf(address, none)).toBeNull(),
  )
  it.each([
    ['file:///etc/passwd', 400],
    ['ftp://a.example', 400],
    ['javascript:alert(1)', 400],
    ['ferries.example', 200],
    ['skerries.example:8080', 200],
  ])('as a site, %s gives %i', async (origin, status) =>
    expect((await ada.post('/api/sites', { client: 'C', name: origin, origin, platform: 'hand-coded' })).status).toBe(
      status,
    ),
  )
})

it('eight new sites at once of one new client are eight sites of one client', async () => {
  const answers = await Promise.all(
    Array.from({ length: 8 }, (_, at) =>
      ada.post('/api/sites', {
        client: 'All at once',
        name: `S${at}`,
        origin: `https://s${at}.example`,
        platform: 'hand-coded',
      }),
    ),
  )
  expect(answers.map((answer) => answer.status)).toEqual(Array(8).fill(200))
})

it('a source’s items come page by page', async () => {
  const { id } = (
    await ada.post('/api/sources', {
      url: system.standins('skerrow-post', '/feeds/news.xml'),
    })
  ).body as { id: string }
  const page = async (at: number) =>
    (await ada.get(`/api/sources/${id}/items?page=${at}&size=3`)).body as { rows: { key: string }[]; total: number }
  const pages = [await page(1), await page(2), await page(3)]
  expect(pages.map(({ rows, total }) => [rows.length, total])).toEqual([
    [3, 8],
    [3, 8],
    [2, 8],
  ])
  expect(new Set(pages.flatMap(({ rows }) => rows.map((row) => row.key))).size).toBe(8)
})

it('what makes this server ask others may be asked so often by one person', async () => {
  const bo = await new Person(system.app, 'bo@agency.example').join('member')
  const seen: number[] = []
  for (let at = 0; at < 21; at++) seen.push((await ada.post('/api/rounds')).status)
  expect(seen.slice(0, 20)).not.toContain(429)
  expect(seen[20]).toBe(429)
  expect((await bo.post('/api/rounds')).status).not.toBe(429)
})

it('a connection that says nothing is closed', async () => {
  await system.app.listen({ port: 0, host: '127.0.0.1' })
  const { port } = system.app.server.address() as { port: number }
  const began = Date.now()
  const closed = new Promise<number>((resolve) => {
    const socket = connect(port, '127.0.0.1')
    socket.once('close', () => resolve(Date.now() - began))
    socket.resume()
  })
  expect(await closed).toBeLessThan(20_000)
}, 30_000)
