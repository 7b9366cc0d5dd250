import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Artefact } from '../artefacts/models'
import type { Install } from '../installs/models'
import { planned, publishedWidget, setScene, type Scene } from '../testing/scene'
import { story } from '../testing/story'
import { Person, startTestSystem, type TestSystem } from '../testing/system'

let system: TestSystem
let ada: Person
let scene: Scene
let inMain: Install
let inFooter: Install
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
  inMain = await planned(ada, scene, 'main')
  inFooter = await planned(ada, scene, 'footer')
})
afterAll(() => system.stop())

const credit = { words: 'Kept by Tern & Tiller', link: 'https://tern.example/', look: 'plain' }
const history = { evidenceDays: 90, verdictDays: 730 }
const keep = (change: object) => ada.put('/api/agency', { credit, naming: '{client}: {kind}', history, ...change })

describe('what is set for all widgets', () => {
  it('is kept, and its faults are named', async () => {
    expect((await keep({})).body).toEqual({ credit, naming: '{client}: {kind}', history })
    expect((await ada.get('/api/agency')).body).toEqual({ credit, naming: '{client}: {kind}', history })
    expect((await keep({ history: { evidenceDays: 90, verdictDays: 30 } })).body).toMatchObject({
      error: { issues: [{ field: 'history.verdictDays', message: 'must not be less than screenshots are kept' }] },
    })
    expect((await keep({ naming: '{weather} of {kind}' })).body).toMatchObject({
      error: { issues: [{ field: 'naming', message: expect.stringContaining('{weather}') as string }] },
    })
    expect((await keep({ credit: { ...credit, link: 'javascript:alert(1)' } })).body).toMatchObject({
      error: { issues: [{ field: 'credit.link' }] },
    })
  })
  it('the agency’s line stands below widgets of clients that have it, and of no others', async () => {
    await keep({})
    const html = async () => {
      await system.work()
      const artefact = (await Artefact.findOne({ where: { publicId: inMain.publicId, form: 'payload' } }))!
      return (JSON.parse(artefact.bytes.toString('utf8')) as { html: string }).html
    }
    expect(await html()).not.toContain('Kept by')
    expect((await ada.patch(`/api/sites/${scene.siteId}`, { credited: true })).body).toMatchObject({ credited: true })
    expect(await html()).toContain('<a part="link" href="https://tern.example/"')
    await keep({ credit: { words: 'By Tern & Tiller', link: '', look: 'centred' } })
    expect(await html()).toContain('>By Tern &amp; Tiller</p>')
    await ada.patch(`/api/sites/${scene.siteId}`, { credited: false })
    expect(await html()).not.toContain('Tiller')
  })
  it('words follow the language of the site, dates its time zone', async () => {
    const payload = async () => {
      await system.work()
      const artefact = (await Artefact.findOne({ where: { publicId: inFooter.publicId, form: 'payload' } }))!
      return (JSON.parse(artefact.bytes.toString('utf8')) as { html: string }).html
    }
    expect(await payload()).toContain('lang="en-GB" aria-label')
    await ada.patch(`/api/sites/${scene.siteId}`, { language: 'ar' })
    expect(await payload()).toContain('lang="ar" dir="rtl"')
    await ada.patch(`/api/sites/${scene.siteId}`, { language: 'en', timeZone: 'Pacific/Kiritimati' })
    expect(await payload()).toContain('lang="en-GB" aria-label')
  })
})

describe('starters of the agency’s own', () => {
  it('are kept from a widget without its content, saved as a file, brought in, begun from and dropped', async () => {
    const widgetId = await publishedWidget(ada, 'Begun from', scene.sourceId)
    const { id } = (await ada.post('/api/agency/starters', { widgetId, name: 'Our sidebar' })).body as { id: string }
    const file = await ada.get(`/api/agency/starters/${id}/file`)
    expect(file.headers['content-disposition']).toBe('attachment; filename="our-sidebar.starter.json"')
    const text = JSON.stringify(file.body)
    expect(text).not.toContain(scene.sourceId)
    const brought = (await ada.post('/api/agency/starters/file', { text })).body as { id: string }
    const { rows } = (await ada.get('/api/agency/starters')).body as {
      rows: { id: string; name: string; settings: object }[]
    }
    expect(rows.map(({ name }) => name)).toEqual(['Our sidebar', 'Our sidebar'])
    const made = (
      await ada.post('/api/widgets', { kind: 'headlines', starter: `own:${brought.id}`, sources: [scene.sourceId] })
    ).body as { id: string }
    const { draft, starterSettings } = (await ada.get(`/api/widgets/${made.id}`)).body as {
      draft: { settings: Record<string, unknown> }
      starterSettings: Record<string, unknown>
    }
    expect(draft.settings).toMatchObject({ count: 4, picture: 'none', sources: [scene.sourceId] })
    expect(starterSettings).toMatchObject({ count: 4 })
    expect((await ada.delete(`/api/agency/starters/${brought.id}`)).status).toBe(200)
    expect((await ada.get(`/api/widgets/${made.id}`)).status).toBe(200)
    for (const of of [widgetId, made.id]) await ada.post('/api/removals', { what: 'widget', id: of })
  })
  it('a file that is none says so, and a starter that is none is refused', async () => {
    expect((await ada.post('/api/agency/starters/file', { text: 'no' })).body).toMatchObject({
      error: { issues: [{ field: 'text', message: expect.stringContaining('is not JSON') as string }] },
    })
    for (const starter of ['own:nothing', 'own:7f1f6c0a-3d55-4a0e-9d59-0f6e5f6f7a11', 'nothing'])
      expect((await ada.post('/api/widgets', { kind: 'headlines', starter })).body).toMatchObject({
        error: { issues: [{ field: 'starter' }] },
      })
    expect(
      (await ada.post('/api/widgets', { kind: 'headlines', sources: ['7f1f6c0a-3d55-4a0e-9d59-0f6e5f6f7a11'] })).body,
    ).toMatchObject({ error: { issues: [{ field: 'sources' }] } })
  })
})

story('widgets in the list', (step) => {
  const list = async (query: string) =>
    ((await ada.get(`/api/widgets?${query}`)).body as { rows: { name: string }[] }).rows.map(({ name }) => name)
  step('another like it has its draft and nothing else; a name that is taken is told', async () => {
    const { id } = (await ada.post(`/api/widgets/${scene.widgetId}/copy`)).body as { id: string }
    expect((await ada.get(`/api/widgets/${id}`)).body).toMatchObject({
      name: 'Harbour news, copy',
      releases: [],
      places: [],
    })
    const named = (name: string) => ada.get(`/api/widgets/named?${new URLSearchParams({ name })}`)
    expect((await named('HARBOUR NEWS')).body).toMatchObject({ widget: { id: scene.widgetId } })
    expect((await named('Nothing of the kind')).body).toEqual({ widget: null })
  })
  step('one that is put away is out of it, and still shown where it stands', async () => {
    expect((await ada.put(`/api/widgets/${scene.widgetId}/away`, { away: true })).body).toEqual({ away: true })
    expect(await list('q=Harbour+news')).toEqual(['Harbour news, copy'])
    expect(await list('state=away')).toEqual(['Harbour news'])
    await ada.put(`/api/widgets/${scene.widgetId}/away`, { away: false })
    expect(await list('state=away')).toEqual([])
  })
  step('is narrowed by kind, client, state and use', async () => {
    const { clients, kinds } = (await ada.get('/api/widgets/filters')).body as { clients: string[]; kinds: string[] }
    expect([clients, kinds]).toEqual([['brackenfold Harbour news'], ['headlines']])
    expect(await list(`client=${encodeURIComponent(clients[0]!)}`)).toEqual(['Harbour news'])
    expect(await list('state=published')).toEqual(['Harbour news'])
    expect(await list('state=draft')).toContain('Harbour news, copy')
    expect(await list('use=unused')).not.toContain('Harbour news')
    expect(await list('kind=reviews')).toEqual([])
  })
  step('publishing says beforehand where it is seen, and where it fits no more', async () => {
    const { draft } = (await ada.get(`/api/widgets/${scene.widgetId}`)).body as {
      draft: { settings: Record<string, unknown>; version: number }
    }
    const settings = { ...draft.settings, layout: 'grid', columns: 6, picture: 'top' }
    const saved = (await ada.put(`/api/widgets/${scene.widgetId}/draft`, { settings, version: draft.version }))
      .body as {
      version: number
    }
    const { sites, misfits } = (await ada.get(`/api/widgets/${scene.widgetId}/publishing`)).body as {
      sites: { name: string; installs: number }[]
      misfits: { placement: string; says: string }[]
    }
    expect(sites).toMatchObject([{ name: 'brackenfold', installs: 2 }])
    expect(misfits.map(({ placement }) => placement)).toEqual(['main'])
    expect(misfits[0]!.says).toContain('6 columns would be')
    await ada.post(`/api/widgets/${scene.widgetId}/releases`, { version: saved.version, note: 'In a grid' })
    await ada.put(`/api/widgets/${scene.widgetId}/releases/2/note`, { note: 'In a grid, for the winter' })
    const { releases } = (await ada.get(`/api/widgets/${scene.widgetId}`)).body as { releases: { note: string }[] }
    expect(releases.map(({ note }) => note)).toEqual(['In a grid, for the winter', ''])
  })
})
