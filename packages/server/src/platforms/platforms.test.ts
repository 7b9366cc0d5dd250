import { profiles, type PlatformProfile } from '@pebblestrand/core/platforms'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Site } from '../sites/models'
import { planned, setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'

let system: TestSystem
let ada: Person
let scene: Scene
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
})
afterAll(() => system.stop())

interface Row {
  id: string
  name: string
  own: { from: string; siteId: string | null } | null
  sites: number
}
const list = async (siteId?: string) =>
  ((await ada.get(`/api/platforms${siteId ? `?siteId=${siteId}` : ''}`)).body as { rows: Row[] }).rows
const copy = async (from: string, name: string, siteId: string | null = null) =>
  ((await ada.post('/api/platforms', { from, name, siteId })).body as { key: string }).key
const read = async (key: string) => (await ada.get(`/api/platforms/${key}`)).body as { profile: PlatformProfile }
const issues = (answer: { body: unknown }) =>
  (answer.body as { error: { issues?: { field: string; message: string }[] } }).error.issues ?? []

describe('platform profiles', () => {
  it('nine ship, with how many sites are built with each', async () => {
    const rows = await list()
    expect(rows.filter(({ own }) => own === null)).toHaveLength(9)
    const sites = await Site.count({ where: { platform: 'hand-coded' } })
    expect(sites).toBeGreaterThan(0)
    expect(rows.find(({ id }) => id === 'hand-coded')!.sites).toBe(sites)
  })
  it('are copied, reworded, and used by a site: its steps and its findings speak so', async () => {
    const key = await copy('hand-coded', 'Our old editor')
    const { profile } = await read(key)
    const steps = profile.steps.map((step) => (step.id === 'save' ? { ...step, does: 'Press **Store it**.' } : step))
    const words = { ...profile.words, publish: 'ring the harbour office' }
    expect((await ada.put(`/api/platforms/${key}`, { profile: { ...profile, steps, words } })).status).toBe(200)
    expect((await ada.patch(`/api/sites/${scene.siteId}`, { platform: key })).status).toBe(200)
    const install = await planned(ada, scene, 'sidebar')
    const detail = (await ada.get(`/api/installs/${install.id}`)).body as {
      platform: string
      steps: { id: string; parts: { text: string }[] }[]
    }
    expect(detail.platform).toBe('Our old editor')
    expect(
      detail.steps
        .find(({ id }) => id === 'save')!
        .parts.map(({ text }) => text)
        .join(''),
    ).toBe('Press Store it.')
    expect((await list()).find(({ id }) => id === key)).toMatchObject({ own: { from: 'Hand-coded HTML' }, sites: 1 })
    expect((await ada.delete(`/api/platforms/${key}`)).status).toBe(200)
    expect((await ada.get(`/api/sites/${scene.siteId}`)).body).toMatchObject({ platform: { id: 'hand-coded' } })
  })
  it('what is changed in a copy changes what is advised', async () => {
    const key = await copy('hand-coded', 'Takes no scripts')
    const { profile } = await read(key)
    const boxes = profile.boxes.map((box) => ({ ...box, treats: { ...box.treats, script: 'strips' as const } }))
    await ada.put(`/api/platforms/${key}`, { profile: { ...profile, boxes } })
    await ada.patch(`/api/sites/${scene.siteId}`, { platform: key })
    const install = await planned(ada, scene, 'main')
    expect(install.method).toBe('frame')
    await ada.patch(`/api/sites/${scene.siteId}`, { platform: 'hand-coded' })
    expect((await ada.get(`/api/installs/${install.id}`)).body).toMatchObject({
      advice: { best: { method: 'inline', box: { name: 'Code box' } } },
    })
  })
  it('one for a single site is for that one alone', async () => {
    const other = await setScene(system, ada, 'pollard-cycles', '/hire', 'Other news')
    const key = await copy('blog-host', 'Theirs', scene.siteId)
    expect((await list(scene.siteId)).some(({ id }) => id === key)).toBe(true)
    expect((await list(other.siteId)).some(({ id }) => id === key)).toBe(false)
    expect((await ada.patch(`/api/sites/${scene.siteId}`, { platform: key })).status).toBe(200)
    expect(issues(await ada.patch(`/api/sites/${other.siteId}`, { platform: key }))).toMatchObject([
      { field: 'platform' },
    ])
  })
  it('go out as a file and come in again, the same', async () => {
    const file = (await ada.get('/api/platforms/hosted-shop/file')).body as PlatformProfile
    expect(file).toEqual(profiles['hosted-shop'])
    const { key } = (await ada.post('/api/platforms/file', { text: JSON.stringify(file) })).body as { key: string }
    expect((await read(key)).profile).toEqual({ ...file, id: key })
  })
  it.each([
    ['{', 'is not JSON'],
    ['[]', 'is no platform profile: the file'],
    [JSON.stringify({ ...profiles['hand-coded'], boxes: [] }), 'boxes must have a box'],
    [JSON.stringify({ ...profiles['hand-coded'], more: 1 }), 'is no platform profile'],
  ])('a file that is none is told what is wrong: %s', async (text, says) => {
    const [issue] = issues(await ada.post('/api/platforms/file', { text }))
    expect(issue).toMatchObject({ field: 'text', message: expect.stringContaining(says) as string })
  })
  it('what ships stays as it is, what is not there is said', async () => {
    expect((await ada.put('/api/platforms/hand-coded', { profile: profiles['hand-coded'] })).status).toBe(409)
    expect((await ada.get('/api/platforms/own-nothing')).status).toBe(404)
    expect(issues(await ada.patch(`/api/sites/${scene.siteId}`, { platform: 'nowhere' }))).toMatchObject([
      { field: 'platform' },
    ])
  })
})
