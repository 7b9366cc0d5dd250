import type { Payload } from '@pebblestrand/core/artefacts'
import { afterAll, beforeAll, expect } from 'vitest'
import { planned, setScene } from '../testing/scene'
import { story } from '../testing/story'
import { Person, startTestSystem, type TestSystem } from '../testing/system'

// What visitors see when nothing is left of what a widget shows.

let system: TestSystem
let ada: Person
let source: string
let widget: string
let publicId: string

const put = (key: string | null, text: string, rating = 5) =>
  ada.put(`/api/sources/${source}/entries`, {
    key,
    author: 'Ada',
    date: '2026-11-01',
    rating,
    title: '',
    text,
    reply: '',
    language: '',
  })
const drop = (key: string) => ada.post(`/api/sources/${source}/entries/drop`, { key })
const publish = async (change: object) => {
  const { draft } = (await ada.get(`/api/widgets/${widget}`)).body as { draft: { settings: object; version: number } }
  await ada.put(`/api/widgets/${widget}/draft`, { settings: { ...draft.settings, ...change }, version: draft.version })
  await ada.post(`/api/widgets/${widget}/releases`, { version: draft.version + 1 })
  await system.work()
}
const shown = async () => {
  const { html, release } = (await system.app.inject({ url: `/p2/${publicId}.json` })).json<Payload>()
  return { release, texts: [...html.matchAll(/<p class="x"[^>]*>([^<]*)/g)].map((match) => match[1]) }
}
/** What is served is heard of by notification, a moment later. */
const visitorsSee = (texts: string[]) =>
  expect.poll(async () => (await shown()).texts, { timeout: 4000, interval: 40 }).toEqual(texts)
const ranEmpty = async () =>
  ((await ada.get('/api/today')).body as { emptied: { name: string; installs: number }[] }).emptied

beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  source = ((await ada.post('/api/sources/kept', { title: 'Guest book' })).body as { id: string }).id
  await put(null, 'Fine scones')
  widget = (
    (await ada.post('/api/widgets', { kind: 'reviews', starter: 'whole-list', name: 'Said' })).body as { id: string }
  ).id
  await publish({ sources: [source] })
  const scene = await setScene(system, ada)
  publicId = (await planned(ada, scene, 'main', widget)).publicId
  await system.work()
})
afterAll(() => system.stop())

const keys = async () =>
  ((await ada.get(`/api/sources/${source}/items`)).body as { rows: { key: string }[] }).rows.map(({ key }) => key)

story('nothing is left of what a widget shows', (step) => {
  step('a source that gives nothing any more leaves the last good copy up, and Today says so once', async () => {
    await visitorsSee(['Fine scones'])
    const [key] = await keys()
    await drop(key!)
    await system.work()
    await visitorsSee(['Fine scones'])
    expect(await ranEmpty()).toMatchObject([{ name: 'Said', installs: 1 }])
  })

  step(
    'so does one whose items no longer pass the sieve; what is there again is shown, and nothing is told any more',
    async () => {
      await put(null, 'Better scones')
      await system.work()
      await visitorsSee(['Better scones'])
      expect(await ranEmpty()).toEqual([])
      await publish({ stars: '4' })
      const [key] = await keys()
      await put(key!, 'Worse scones', 2)
      await system.work()
      await visitorsSee(['Better scones'])
      expect(await ranEmpty()).toHaveLength(1)
    },
  )

  step('a release that shows nothing is published all the same: a person was told before', async () => {
    await publish({ include: ['submarine'] })
    await visitorsSee([])
    expect((await shown()).release).toBe(3)
    expect(await ranEmpty()).toEqual([])
  })
})
