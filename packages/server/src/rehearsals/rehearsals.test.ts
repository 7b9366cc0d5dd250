import type { MadeUpVisit } from '@pebblestrand/core/presence'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { VisitExpectation } from './models'

let system: TestSystem
let ada: Person
let scene: Scene
let widgetId = ''
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
  const made = await ada.post('/api/widgets', { kind: 'centre-dialog', starter: 'offer', name: 'Cider voucher' })
  widgetId = (made.body as { id: string }).id
  await publish()
  await ada.post('/api/installs', { widgetId, pageId: scene.pageId })
})
beforeEach(async () => {
  await VisitExpectation.destroy({ where: {} })
  await save({ triggers: [{ on: 'seconds', seconds: 20 }], devices: ['desktop', 'phone'] })
  await publish()
})
afterAll(() => system.stop())

const draft = async () =>
  ((await ada.get(`/api/widgets/${widgetId}`)).body as { draft: { settings: object; version: number } }).draft
async function save(change: object): Promise<void> {
  const { settings, version } = await draft()
  await ada.put(`/api/widgets/${widgetId}/draft`, { settings: { ...settings, ...change }, version })
}
const publish = async (more: object = {}) =>
  ada.post(`/api/widgets/${widgetId}/releases`, { version: (await draft()).version, ...more })

/** Somebody at a desk who stays for so many seconds on the page. */
const visit = (stays: number, pages = 1): MadeUpVisit => ({
  device: 'desktop',
  languages: ['en'],
  country: null,
  begins: '2026-11-27T10:30',
  patience: 5,
  visits: [
    {
      afterDays: 0,
      pages: Array.from({ length: pages }, () => ({
        path: '/orchard',
        query: '',
        fragment: '',
        referrer: '',
        stays,
        steps: [],
      })),
    },
  ],
})
const keep = (name: string, made: MadeUpVisit, sees: boolean) =>
  ada.post(`/api/sites/${scene.siteId}/expectations`, { name, visit: made, expected: [{ widgetId, sees }] })

interface Told {
  overPage: { widget: string; on: string; rules: object; draft: object | null }[]
  expectations: { id: string; name: string; by: string | null }[]
}
const told = async () => (await ada.get(`/api/sites/${scene.siteId}/rehearsal`)).body as Told

describe('the rehearsal of a site', () => {
  it('knows what stands over its pages as it is published, and its draft only where that would change something', async () => {
    const { overPage } = await told()
    expect(overPage).toMatchObject([{ widget: 'Cider voucher', on: '/orchard', draft: null }])
    await save({ heading: 'Another heading' })
    expect((await told()).overPage[0]!.draft).toBeNull()
    await save({ triggers: [{ on: 'seconds', seconds: 5 }] })
    expect((await told()).overPage[0]).toMatchObject({
      rules: { triggers: [{ seconds: 20 }] },
      draft: { triggers: [{ seconds: 5 }] },
    })
  })
  it('is told to nobody who is not signed in', async () =>
    expect((await new Person(system.app).get(`/api/sites/${scene.siteId}/rehearsal`)).status).toBe(401))
})

describe('a kept visit', () => {
  it('stops publishing what would break it, with the reason, and no other; and can be overridden', async () => {
    expect((await keep('Who leaves soon is left alone', visit(10), false)).status).toBe(200)
    expect((await told()).expectations).toMatchObject([{ name: 'Who leaves soon is left alone', by: 'Ada Fenwick' }])
    await save({ triggers: [{ on: 'seconds', seconds: 15 }] })
    expect((await publish()).status).toBe(200)

    await save({ triggers: [{ on: 'seconds', seconds: 3 }] })
    const { broken } = (await ada.get(`/api/widgets/${widgetId}/publishing`)).body as { broken: object[] }
    expect(broken).toMatchObject([{ name: 'Who leaves soon is left alone', says: 'Cider voucher would be seen.' }])
    const stopped = await publish()
    expect(stopped.body).toMatchObject({ error: { code: 'expectations-unmet' } })
    expect((stopped.body as { error: { message: string } }).error.message).toContain('Who leaves soon is left alone')
    expect((await publish({ despite: true })).status).toBe(200)
  })
  it('that was broken before is no reason to stop the next release', async () => {
    await keep('Who leaves soon is left alone', visit(10), false)
    await save({ triggers: [{ on: 'seconds', seconds: 3 }] })
    await publish({ despite: true })
    await save({ triggers: [{ on: 'seconds', seconds: 4 }] })
    expect((await publish()).status).toBe(200)
  })
  it('says as well that something would never be seen', async () => {
    await keep('Who reads is told of the voucher', visit(60), true)
    await save({ devices: ['phone'] })
    expect((await publish()).body).toMatchObject({
      error: { message: expect.stringContaining('Cider voucher would never be seen.') },
    })
  })
  it('is refused at its field where it is none, or longer than can be played', async () => {
    const fields = async (name: string, made: object) => {
      const { body } = await keep(name, made as MadeUpVisit, true)
      return ((body as { error?: { issues: { field: string }[] } }).error?.issues ?? []).map(({ field }) => field)
    }
    expect(await fields('', visit(10))).toEqual(['name'])
    expect(await fields('Too long', visit(100_000))).toContain('visit.visits.0.pages.0.stays')
    expect(await fields('Off the calendar', { ...visit(10), begins: 'tomorrow' })).toEqual(['visit.begins'])
  })
  it('is dropped', async () => {
    await keep('One', visit(10), false)
    await keep('Another', visit(60), true)
    const [first, second] = (await told()).expectations
    expect((await ada.call('DELETE', `/api/expectations/${first!.id}`)).status).toBe(200)
    expect((await told()).expectations).toEqual([second])
    expect((await ada.call('DELETE', `/api/expectations/${first!.id}`)).status).toBe(404)
  })
  it('goes with its site', async () => {
    const { siteId } = await setScene(system, ada, 'ninefold-choir', '/concerts')
    await ada.post(`/api/sites/${siteId}/expectations`, {
      name: 'One',
      visit: visit(10),
      expected: [{ widgetId, sees: false }],
    })
    expect(await VisitExpectation.count()).toBe(1)
    await ada.post('/api/removals', { what: 'site', id: siteId, standing: 0 })
    expect((await ada.get(`/api/sites/${siteId}/rehearsal`)).status).toBe(404)
    expect(await VisitExpectation.count()).toBe(0)
  })
})
