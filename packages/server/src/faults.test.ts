import { randomBytes } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { Check, Round } from './findings/models'
import { startRound } from './checks/rounds'
import { Install } from './installs/models'
import { start, type Running } from './start'
import { addressOf, asking } from './testing/fresh-database'
import { startCluster, type Cluster } from './testing/faults/cluster'
import { giving, slowly, startHost, type Host } from './testing/faults/host'
import { publishedWidget } from './testing/scene'
import { Person } from './testing/system'

// The whole server, with its worker and its port, on a database of its own: which is then taken away.

let cluster: Cluster
let running: Running
let site: Host
const unheard: unknown[] = []
const note = (error: unknown) => void unheard.push(error)

const PORT = 4697
const origin = `http://localhost:${PORT}`
const INSTALLS = 12
let ids: string[] = []

beforeAll(async () => {
  process.on('unhandledRejection', note)
  cluster = await startCluster()
  const name = `f_${randomBytes(6).toString('hex')}`
  await asking(cluster.url, (client) => client.query(`CREATE DATABASE ${name}`))
  site = await startHost('slow-site', slowly(300, giving('<main>Hello</main>')))
  // Without a browser: how fast that is on a busy machine is no part of this.
  const env = {
    DATABASE_URL: addressOf(cluster.url, name),
    PEBBLESTRAND_PORT: String(PORT),
    PEBBLESTRAND_ORIGIN: origin,
    PEBBLESTRAND_CHROMIUM: '/nowhere/chromium',
  }
  running = await start(env, { logger: false, empty: true })
  const ada = await new Person(running.app).join()
  const { id: siteId } = (
    await ada.post('/api/sites', { client: 'C', name: 'S', origin: new URL(site.at()).origin, platform: 'hand-coded' })
  ).body as { id: string }
  const { placements } = (await ada.get(`/api/sites/${siteId}`)).body as { placements: { id: string }[] }
  const feed = await startHost(
    'feed',
    giving(
      '{"version":"https://jsonfeed.org/version/1.1","title":"F","items":[{"id":"1","title":"One"}]}',
      'application/feed+json',
    ),
  )
  const { id: sourceId } = (await ada.post('/api/sources', { url: feed.at('/feed.json') })).body as { id: string }
  await feed.stop()
  const widgetId = await publishedWidget(ada, 'News', sourceId)
  for (let at = 0; at < INSTALLS; at++) {
    const { id: pageId } = (await ada.post(`/api/sites/${siteId}/pages`, { title: `P${at}`, path: `/p${at}` }))
      .body as { id: string }
    await ada.post('/api/installs', { widgetId, pageId, placementId: placements[0]!.id })
  }
  ids = (await Install.findAll()).map((install) => install.publicId)
  await vi.waitFor(async () => expect(await Check.count({ where: { state: 'done' } })).toBe(INSTALLS), {
    timeout: 40_000,
    interval: 200,
  })
}, 90_000)

afterAll(async () => {
  cluster.start()
  await running.stop()
  await site.stop()
  cluster.stop()
  process.off('unhandledRejection', note)
})

const get = (path: string, headers: Record<string, string> = {}) => fetch(origin + path, { headers })
const payload = (id: string) => get(`/p2/${id}.json`)

describe('a database that stops during a round', () => {
  it('ends nothing: what is there is served, marked; what was begun is finished when it is back', async () => {
    const fresh = await payload(ids[0]!)
    expect([fresh.status, fresh.headers.get('pebblestrand-stale')]).toEqual([200, null])
    const bytes = await fresh.text()
    const round = await startRound(running.context, null)
    await vi.waitFor(
      async () => expect(await Check.count({ where: { roundId: round.id, state: 'done' } })).toBeGreaterThan(1),
      { timeout: 20_000, interval: 50 },
    )

    cluster.stop()
    for (let second = 0; second < 4; second++) {
      // Every one of them, asked for before or not.
      for (const id of ids) {
        const answer = await payload(id)
        expect([answer.status, answer.headers.get('pebblestrand-stale')]).toEqual([200, '1'])
        if (id === ids[0]) expect(await answer.text()).toBe(bytes)
        else await answer.text()
      }
      await new Promise((resolve) => setTimeout(resolve, 700))
    }
    const unknown = await payload('22222-22222-22222-22222')
    expect([unknown.status, unknown.headers.get('retry-after')]).toEqual([503, '10'])
    expect((await get('/api/health')).status).toBe(503)
    const api = await get('/api/session', { cookie: 'pebblestrand_session=x' })
    expect([api.status, ((await api.json()) as { error: { code: string } }).error.code]).toEqual([503, 'database-away'])

    cluster.start()
    await vi.waitFor(async () => expect((await Round.findByPk(round.id))!.state).toBe('done'), {
      timeout: 60_000,
      interval: 500,
    })
    await vi.waitFor(async () => expect((await payload(ids[0]!)).headers.get('pebblestrand-stale')).toBeNull(), {
      timeout: 15_000,
      interval: 200,
    })
    await vi.waitFor(async () => expect((await get('/api/health')).status).toBe(200), {
      timeout: 15_000,
      interval: 500,
    })
    expect(unheard).toEqual([])
  }, 150_000)
})
