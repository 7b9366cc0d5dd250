import Fastify, { type FastifyInstance } from 'fastify'
import { QueryTypes } from 'sequelize'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { Artefact } from '../artefacts/models'
import { toldRoutes } from '../delivery/told'
import { Site } from '../sites/models'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { planned, setScene, type Scene } from '../testing/scene'
import { dayIn } from './day'
import { counterOf } from './subject'
import { tidyCounts } from './tidy'
import { turnDays } from './turn-of-day'
import { VisitCounter } from './visits'

let system: TestSystem
let ada: Person
let scene: Scene
let publicId = ''
let installId = ''
const BROWSER = 'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/126.0.0.0 Safari/537.36'

async function plan(settings: object = {}): Promise<{ id: string; publicId: string; widgetId: string }> {
  const { id: widgetId } = (await ada.post('/api/widgets', { kind: 'visit-counter', starter: 'footer-line' })).body as {
    id: string
  }
  const { draft } = (await ada.get(`/api/widgets/${widgetId}`)).body as { draft: { settings: object; version: number } }
  const { version } = (
    await ada.put(`/api/widgets/${widgetId}/draft`, {
      settings: { ...draft.settings, ...settings },
      version: draft.version,
    })
  ).body as { version: number }
  await ada.post(`/api/widgets/${widgetId}/releases`, { version })
  const { id, publicId } = await planned(ada, scene, 'footer', widgetId)
  await system.work()
  return { id, publicId, widgetId }
}

beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada, 'brackenfold', '/orchard')
  await Site.update({ timeZone: 'Pacific/Auckland' }, { where: { id: scene.siteId } })
})
beforeEach(async () => {
  await counterOf(system.context).write()
  await system.context.db.query('TRUNCATE visit_counts, visit_marks')
  ;({ id: installId, publicId } = await plan())
})
afterAll(() => system.stop())

const tell = (headers: Record<string, string> = {}, remoteAddress = '203.0.113.7', id = publicId) =>
  system.app.inject({
    method: 'POST',
    url: `/b1/count/${id}`,
    headers: { 'user-agent': BROWSER, ...headers },
    remoteAddress,
  })
const visit = (id = publicId) => ({ publicId: id, ip: '203.0.113.9', userAgent: BROWSER, body: undefined })
const settle = async () => {
  await counterOf(system.context).write()
  await system.work()
}
const rows = <T extends object>(sql: string) => system.context.db.query<T>(sql, { type: QueryTypes.SELECT })
const shown = async (id = installId) => {
  const { bytes } = (await Artefact.findOne({ where: { installId: id, form: 'payload' } }))!
  const { html } = JSON.parse(bytes.toString()) as { html: string }
  return [...html.matchAll(/<b>([\d,]+)<\/b>/g)].map((m) => Number(m[1]!.replace(',', '')))
}

describe('a visit', () => {
  it('is counted by Pebblestrand itself, without a cookie, and the widget shows it', async () => {
    const answer = await tell()
    expect([answer.statusCode, answer.headers['set-cookie'], answer.headers['access-control-allow-origin']]).toEqual([
      204,
      undefined,
      '*',
    ])
    expect(await shown()).toEqual([0, 0])
    await settle()
    expect(await shown()).toEqual([1, 1])
  })
  it('of one visitor counts once a day; of another as another', async () => {
    for (const ip of ['203.0.113.7', '203.0.113.7', '203.0.113.8']) await tell({}, ip)
    await settle()
    await tell()
    await tell({ 'user-agent': `${BROWSER} Edg/126` })
    await settle()
    expect(await shown()).toEqual([3, 3])
  })
  it('of the same visitor counts for each install by itself', async () => {
    const other = await plan()
    await tell()
    await tell({}, '203.0.113.7', other.publicId)
    await settle()
    expect([await shown(), await shown(other.id)]).toEqual([
      [1, 1],
      [1, 1],
    ])
  })
  it.each([
    'Kelpcrawler/2.1 (+http://kelp.example/crawler.html)',
    'Mozilla/5.0 (compatible; dulsebot/2.0; +http://dulse.example/bot)',
    'curl/8.5.0',
    'python-requests/2.31.0',
    'Mozilla/5.0 (X11; Linux x86_64) HeadlessChrome/126.0.0.0 Safari/537.36',
    '',
  ])('of a robot (%j) is left out', async (userAgent) => {
    expect((await tell({ 'user-agent': userAgent })).statusCode).toBe(204)
    await settle()
    expect(await shown()).toEqual([0, 0])
  })
  it('at an install that is none, counts nothing, or is gone is passed over', async () => {
    expect((await tell({}, '203.0.113.7', 'nobody-knows-this')).statusCode).toBe(204)
    expect((await tell({}, '203.0.113.7', "x'; drop table--")).statusCode).toBe(404)
    const headlines = await planned(ada, scene, 'main')
    expect((await tell({}, '203.0.113.7', headlines.publicId)).statusCode).toBe(204)
    await settle()
    expect(await rows('SELECT * FROM visit_counts')).toEqual([])
  })
  it('is counted by all servers together, and by no address that can be read', async () => {
    const from = '203.0.113.98'
    const second = Fastify()
    await second.register(async (app) => toldRoutes(app, system.context, { count: async () => {} }))
    const send = (app: FastifyInstance) =>
      app.inject({ method: 'POST', url: `/b1/count/${publicId}`, remoteAddress: from })
    const seen = await Promise.all([system.app, second].flatMap((app) => Array.from({ length: 80 }, () => send(app))))
    expect(seen.filter((answer) => answer.statusCode === 204)).toHaveLength(120)
    expect(seen.filter((answer) => answer.statusCode === 429)).toHaveLength(40)
    expect(JSON.stringify(await rows('SELECT key FROM tries'))).not.toContain(from)
    await second.close()
  })
  it('is not heard without end from one address, nor at any length', async () => {
    const many = await Promise.all(Array.from({ length: 130 }, () => tell({}, '203.0.113.99')))
    expect(many.filter((answer) => answer.statusCode === 429).length).toBeGreaterThan(5)
    const long = await system.app.inject({
      method: 'POST',
      url: `/b1/count/${publicId}`,
      headers: { 'content-type': 'text/plain', 'user-agent': BROWSER },
      payload: 'x'.repeat(5000),
    })
    expect(long.json()).toMatchObject({ error: { code: 'invalid' } })
  })
})

describe('what waits to be written', () => {
  const counts = () => rows<{ visits: number }>('SELECT visits FROM visit_counts')

  it('is tried again by itself when it could not be written, and not counted twice', async () => {
    const { queue } = system.context
    const errors: string[] = []
    const counter = new VisitCounter(
      { ...system.context, log: { error: (e: Error) => errors.push(e.message) } } as never,
      20,
    )
    const broken = vi.spyOn(queue, 'sendMany').mockRejectedValueOnce(new Error('the queue is away'))
    await counter.hear(visit())
    await vi.waitFor(async () => expect(await counts()).toEqual([{ visits: 1 }]), 5000)
    expect(errors).toEqual(['the queue is away'])
    broken.mockRestore()
    await system.work()
    expect(await shown()).toEqual([1, 1])
  })
  it('is followed by the numbers of every install that grew, however long ago it was last looked up', async () => {
    vi.useFakeTimers({ toFake: ['performance'] })
    const counter = new VisitCounter(system.context, 60_000)
    await counter.hear(visit())
    vi.advanceTimersByTime(120_000) // longer than installs are remembered
    vi.useRealTimers()
    await counter.close()
    await system.work()
    expect(await shown()).toEqual([1, 1])
  })
  it('by two servers at once, in any order, counts each once', async () => {
    const ids: string[] = []
    for (let n = 0; n < 6; n++) ids.push((await plan()).publicId)
    const servers = [new VisitCounter(system.context, 60_000), new VisitCounter(system.context, 60_000)]
    for (let round = 0; round < 5; round++) {
      for (const [at, counter] of servers.entries())
        for (const id of at ? ids : [...ids].reverse())
          await counter.hear({ ...visit(id), ip: `203.0.113.${10 * (round + 1) + at}` })
      await Promise.all(servers.map((counter) => counter.write()))
    }
    expect((await counts()).map((row) => row.visits)).toEqual(ids.map(() => 10))
  })
})

describe('who came', () => {
  it('is nowhere: neither address nor browser, only a hash with the day’s secret', async () => {
    await tell()
    await settle()
    const text = JSON.stringify([
      await rows('SELECT * FROM visit_marks'),
      await rows('SELECT * FROM visit_counts'),
      await rows('SELECT * FROM visit_days'),
    ])
    expect(text).not.toContain('203.0.113.7')
    expect(text).not.toContain('Mozilla')
    expect(await rows('SELECT 1 FROM visit_marks')).toHaveLength(1)
  })
  it('is thrown away with the day, in the site’s own zone; the counts stay and turn over', async () => {
    // One that has not seen any day yet: another test may have thrown this one away.
    const counter = new VisitCounter(system.context, 60_000)
    await counter.hear(visit())
    await counter.close()
    await system.work()
    const [{ day }] = (await rows<{ day: string }>(`SELECT to_char(day, 'YYYY-MM-DD') AS day FROM visit_days`)) as [
      { day: string },
    ]
    expect(day).toBe(dayIn('Pacific/Auckland', new Date()))
    await turnDays(system.context)
    await system.work()
    expect(await rows('SELECT 1 FROM visit_marks')).toHaveLength(1) // the day is not over
    await turnDays(system.context, new Date(Date.now() + 86_400_000))
    expect(await rows('SELECT 1 FROM visit_marks')).toEqual([])
    expect(await rows('SELECT 1 FROM visit_days')).toEqual([])
    expect(await rows('SELECT visits FROM visit_counts')).toEqual([{ visits: 1 }])
    const jobs = await rows(`SELECT 1 FROM queue.job WHERE name = 'recompute' AND state = 'created'`)
    expect(jobs.length).toBeGreaterThan(0)
    await system.work()
  })
  it('a day that began is followed once', async () => {
    const tomorrow = new Date(Date.now() + 2 * 86_400_000)
    await turnDays(system.context, tomorrow)
    await system.work()
    await turnDays(system.context, tomorrow)
    expect(await rows(`SELECT 1 FROM queue.job WHERE name = 'recompute' AND state = 'created'`)).toEqual([])
  })
})

describe('days', () => {
  // IANA time zones, seen through Intl: Auckland is 13 h ahead of UTC in November, Honolulu 10 h behind; Lisbon changes its
  // clocks on 2026-10-25 at 01:00 UTC.
  it.each([
    ['Pacific/Auckland', '2026-11-25T11:00:00Z', '2026-11-26'],
    ['Pacific/Auckland', '2026-11-25T10:59:59Z', '2026-11-25'],
    ['Pacific/Honolulu', '2026-11-25T09:59:59Z', '2026-11-24'],
    ['Europe/Lisbon', '2026-10-24T23:30:00Z', '2026-10-25'],
    ['Europe/Lisbon', '2026-10-25T23:30:00Z', '2026-10-25'],
    ['UTC', '2028-02-29T23:59:59Z', '2028-02-29'],
  ])('in %s at %s it is %s', (zone, at, day) => expect(dayIn(zone, new Date(at))).toBe(day))
})

describe('what is shown', () => {
  it('begins where another counter left off, for the total alone', async () => {
    const moved = await plan({ start: 41_000 })
    await tell({}, '203.0.113.7', moved.publicId)
    await settle()
    expect(await shown(moved.id)).toEqual([1, 41_001])
  })
  it('is the install’s own on the page plan, not the kind’s example', async () => {
    await planned(ada, scene, 'sidebar')
    await tell()
    await settle()
    const { thumbnails } = (await ada.get(`/api/sites/${scene.siteId}`)).body as {
      thumbnails: Record<string, { html: string }>
    }
    expect(thumbnails[installId]!.html).toContain('In all <b>1</b>')
    expect(thumbnails[scene.widgetId]!.html).toContain('<li')
  })
  it('follows the site into another time zone', async () => {
    await rows(`INSERT INTO visit_counts VALUES ('${publicId}', '${dayIn('Pacific/Honolulu', new Date())}', 7)`)
    await ada.patch(`/api/sites/${scene.siteId}`, { timeZone: 'Pacific/Honolulu' })
    await system.work()
    expect(await shown()).toEqual([7, 7])
    await ada.patch(`/api/sites/${scene.siteId}`, { timeZone: 'Pacific/Auckland' })
    await system.work()
    expect(await shown()).toEqual([
      dayIn('Pacific/Auckland', new Date()) === dayIn('Pacific/Honolulu', new Date()) ? 7 : 0,
      7,
    ])
  })
  it('lives through a removal', async () => {
    await tell()
    await settle()
    const { id } = (await ada.post('/api/removals', { what: 'install', id: installId, standing: 0 })).body as {
      id: string
    }
    await tidyCounts(system.context)
    await ada.delete(`/api/removals/${id}`)
    await system.work()
    expect(await shown()).toEqual([1, 1])
  })
  it('is forgotten of what is nowhere any more', async () => {
    await rows(`INSERT INTO visit_counts VALUES ('nowhere-any-more', '2026-01-01', 3)`)
    await tidyCounts(system.context)
    expect(await rows(`SELECT 1 FROM visit_counts WHERE public_id = 'nowhere-any-more'`)).toEqual([])
  })
})
