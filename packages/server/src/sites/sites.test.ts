import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { story } from '../testing/story'
import { Client } from './models'

let system: TestSystem
let ada: Person
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
})
afterAll(() => system.stop())

const site = {
  client: 'Gullhaven Ferries',
  name: 'Ferries',
  origin: 'https://ferries.example/some/path',
  platform: 'hand-coded',
  timeZone: 'Atlantic/Faroe',
}
const issues = async (payload: object) =>
  ((await ada.post('/api/sites', payload)).body as { error: { issues: { field: string; message: string }[] } }).error
    .issues

story('a site', (step) => {
  step('is one web address, with a first page and the usual placements', async () => {
    const { id } = (await ada.post('/api/sites', site)).body as { id: string }
    expect((await ada.get(`/api/sites/${id}`)).body).toMatchObject({
      name: 'Ferries',
      client: 'Gullhaven Ferries',
      origin: 'https://ferries.example',
      platform: { name: 'Hand-coded HTML' },
      pages: [{ title: 'Home', path: '/' }],
      placements: [
        { region: 'header' },
        { region: 'main', width: 720 },
        { region: 'sidebar', width: 300 },
        { region: 'footer' },
      ],
    })
  })
  step('shares a client by name', async () => {
    await ada.post('/api/sites', { ...site, client: 'gullhaven ferries', origin: 'https://shop.ferries.example' })
    expect((await Client.findAll()).filter(({ name }) => /^gullhaven ferries$/i.test(name))).toHaveLength(1)
  })
  step('is corrected, its look noted whole or not at all', async () => {
    const { rows } = (await ada.get('/api/sites?q=shop')).body as { rows: { id: string }[] }
    const change = (body: object) => ada.patch(`/api/sites/${rows[0]!.id}`, body)
    const look = {
      bodyFont: 'Cabin, sans-serif',
      headingFont: 'Zilla Slab, serif',
      text: '#16324a',
      background: '#fff',
      accent: '#1f5f99',
      contentWidth: 1080,
    }
    expect(await change({ cacheMinutes: 45, platform: 'cms-shortcodes', look })).toMatchObject({
      status: 200,
      body: {
        cacheMinutes: 45,
        platform: { id: 'cms-shortcodes' },
        look: { ...look, fontFaces: [] },
        lookedAt: expect.any(String),
      },
    })
    expect(await change({ look: { ...look, text: 'ink', bodyFont: 'x;}body{' } })).toMatchObject({
      status: 400,
      body: {
        error: {
          issues: [
            { field: 'look.bodyFont', message: expect.stringContaining('list of fonts') },
            { field: 'look.text', message: 'must be a colour like #1f5f99' },
          ],
        },
      },
    })
    expect(await change({ look: null })).toMatchObject({ body: { look: null, lookedAt: null, cacheMinutes: 45 } })
  })
  step('is listed by name, or where it needs most attention first', async () => {
    const names = async (order: string) =>
      ((await ada.get(`/api/sites?order=${order}`)).body as { rows: { name: string }[] }).rows.map((r) => r.name)
    expect(await names('name')).toEqual([...(await names('attention'))].sort())
    expect((await ada.get('/api/sites?order=drop')).status).toBe(400)
  })
  step('cannot be added twice', async () =>
    expect(await ada.post('/api/sites', { ...site, origin: 'https://FERRIES.example' })).toMatchObject({
      status: 409,
      body: { error: { code: 'taken', issues: [{ field: 'origin', message: 'is taken already' }] } },
    }),
  )

  it.each([
    [{ client: '' }, 'client', 'is missing'],
    [{ platform: 'stone-tablet' }, 'platform', /must be one of hand-coded, cms-shortcodes/],
    [{ origin: 'http://' }, 'origin', /must be an address/],
    [{ timeZone: 'Mars/Olympus' }, 'timeZone', /IANA time zone/],
    [{ cacheMinutes: -1 }, 'cacheMinutes', /0/],
    [{ origin: 'http://192.168.0.10' }, 'origin', /private network/],
    [{ origin: 'http://localhost:3000' }, 'origin', /this machine itself/],
  ])('%j is refused, field and reason named', async (wrong, field, message) => {
    expect(await issues({ ...site, origin: 'https://other.example', ...wrong })).toEqual([
      { field, message: typeof message === 'string' ? message : expect.stringMatching(message) },
    ])
  })
})

story('pages and placements', (step) => {
  let id = ''
  beforeAll(async () => {
    id = (
      (await ada.post('/api/sites', { ...site, client: 'Choir', name: 'Choir', origin: 'https://choir.example' }))
        .body as { id: string }
    ).id
  })

  step('take paths and patterns', async () => {
    for (const path of ['/concerts', '/news/*', '/*', '/a/b-c_d.html'])
      expect((await ada.post(`/api/sites/${id}/pages`, { title: path, path })).status).toBe(200)
    expect((await ada.post(`/api/sites/${id}/pages`, { title: 'again', path: '/concerts' })).status).toBe(409)
  })
  it.each(['concerts', '/a b', '/a?b=1', '/a#b', '/(x)', '/*/*/*/*', ''])('refuse the path %j', async (path) =>
    expect(await ada.post(`/api/sites/${id}/pages`, { title: 'x', path })).toMatchObject({
      status: 400,
      body: { error: { issues: [{ field: 'path' }] } },
    }),
  )

  step('can be corrected when a page has moved', async () => {
    const { pages } = (await ada.get(`/api/sites/${id}`)).body as { pages: { id: string; path: string }[] }
    const page = pages.find((p) => p.path === '/concerts')!
    const { body } = await ada.patch(`/api/pages/${page.id}`, { path: '/events' })
    expect((body as { pages: { path: string }[] }).pages.map((p) => p.path)).toContain('/events')
  })
  step('have a width in bounds and a selector that is one', async () => {
    const placement = { name: 'rail', region: 'sidebar', width: 280, selector: 'aside > .rail' }
    expect((await ada.post(`/api/sites/${id}/placements`, placement)).status).toBe(200)
    expect(await ada.post(`/api/sites/${id}/placements`, { ...placement, name: 'b', width: 10 })).toMatchObject({
      status: 400,
      body: { error: { issues: [{ field: 'width', message: 'must be a whole number from 40 to 4000' }] } },
    })
    expect(await ada.post(`/api/sites/${id}/placements`, { ...placement, name: 'c', selector: 'a[[' })).toMatchObject({
      status: 400,
      body: { error: { issues: [{ field: 'selector' }] } },
    })
    expect((await ada.post(`/api/sites/${id}/placements`, placement)).status).toBe(409)
  })
})

describe('finding', () => {
  it('finds sites and pages by any part of their names, beginnings first', async () => {
    for (const name of ['An echo', 'Echo choir', 'Choral works'])
      await ada.post('/api/sites', {
        client: 'Sounds',
        name,
        origin: `https://${name.toLowerCase().replaceAll(' ', '-')}.example`,
        platform: 'hand-coded',
      })
    const rows = ((await ada.get('/api/find?q=chor')).body as { rows: { sort: string; name: string }[] }).rows
    expect(rows[0]).toMatchObject({ sort: 'site', name: 'Choral works' })
    await ada.post('/api/widgets', { kind: 'visit-counter', name: 'Zither visits' })
    const widgets = ((await ada.get('/api/find?q=zither')).body as { rows: { more: string }[] }).rows
    expect(widgets).toMatchObject([{ more: 'Visit counter' }])
    expect(((await ada.get('/api/find?q=100%25')).body as { rows: [] }).rows).toEqual([]) // a % is a letter, not a joker
  })
})

describe('placements to try a widget in', () => {
  it('are found by the words of site, page and placement, or by id', async () => {
    for (const name of ['Fell Farm', 'Dale Farm'])
      await ada.post('/api/sites', {
        client: name,
        name,
        origin: `https://${name.toLowerCase().replace(' ', '-')}.example`,
        platform: 'hand-coded',
      })
    const places = async (filters: string) =>
      (await ada.get(`/api/places?${filters}`)).body as {
        total: number
        rows: { placementId: string; site: string; placement: string }[]
      }
    const { total, rows } = await places('q=fell%20side')
    expect([total, rows[0]]).toMatchObject([1, { site: 'Fell Farm', placement: 'sidebar' }])
    expect((await places('q=farm&size=3')).total).toBe(8)
    expect((await places(`id=${rows[0]!.placementId}`)).rows).toEqual(rows)
    expect((await places('q=%25')).total).toBe(0)
  })
})
