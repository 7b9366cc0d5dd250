import type { Payload } from '@pebblestrand/core/artefacts'
import { afterAll, afterEach, beforeAll, expect, vi } from 'vitest'
import { planned, setScene, type Scene } from '../testing/scene'
import { story } from '../testing/story'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { followDay } from './day-turned'

// A widget whose order or rules depend on the day shows another answer the next day, though nobody changed anything.

let system: TestSystem
let ada: Person
let scene: Scene
let publicId: string
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
  const shelf = ((await ada.post('/api/sources/picks', { title: 'Shelf' })).body as { id: string }).id
  for (let at = 0; at < 12; at++) await ada.call('PUT', `/api/sources/${shelf}/picks`, { title: `Book ${at}` })
  const widget = (await ada.post('/api/widgets', { kind: 'picks', starter: 'covers', name: 'Shelf' })).body as {
    id: string
  }
  const { draft } = (await ada.get(`/api/widgets/${widget.id}`)).body as {
    draft: { settings: object; version: number }
  }
  const settings = { ...draft.settings, sources: [shelf], order: 'shuffled' }
  expect((await ada.put(`/api/widgets/${widget.id}/draft`, { settings, version: draft.version })).status).toBe(200)
  await ada.post(`/api/widgets/${widget.id}/releases`, { version: draft.version + 1 })
  publicId = (await planned(ada, scene, 'main', widget.id)).publicId
  await planned(ada, scene, 'sidebar')
  await system.work()
  await followDay(system.context)
  await system.work()
})
afterAll(() => system.stop())
afterEach(() => void vi.useRealTimers())

const DAY = 86_400_000
const order = async () =>
  [...(await system.app.inject({ url: `/p2/${publicId}.json` })).json<Payload>().html.matchAll(/Book \d+/g)].join()
const queued = async () =>
  (await system.context.db.query(`SELECT 1 FROM queue.job WHERE name = 'recompute' AND state = 'created'`))[0].length
const later = (days: number) => vi.useFakeTimers({ toFake: ['Date'], now: Date.now() + days * DAY })

story('a new day', (step) => {
  step('renders what is shuffled anew, once, and nothing else', async () => {
    const today = await order()
    await followDay(system.context)
    expect(await queued()).toBe(0)
    later(1)
    await Promise.all([followDay(system.context), followDay(system.context)])
    expect(await queued()).toBe(1)
    await system.work()
    vi.useRealTimers()
    await expect.poll(order, { timeout: 4000 }).not.toBe(today)
  })
  step('leaves what is retired alone', async () => {
    await system.context.db.query(`UPDATE installs SET status = 'retired' WHERE public_id = $1`, { bind: [publicId] })
    later(2)
    await followDay(system.context)
    expect(await queued()).toBe(0)
  })
})
