import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { publishedWidget } from '../testing/scene'
import { Source } from '../sources/models'
import { Release, Widget, WidgetSource } from './models'

let system: TestSystem
let ada: Person
let sourceId = ''
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  sourceId = (
    (await ada.post('/api/sources', { url: system.standins('skerrow-post', '/feeds/harbour.atom') })).body as {
      id: string
    }
  ).id
})
afterAll(() => system.stop())

interface Detail {
  name: string
  draft: { settings: Record<string, unknown>; version: number }
  releases: { number: number; settings: Record<string, unknown>; by: string }[]
  sources: { id: string }[]
}
const make = async (name?: string) =>
  ((await ada.post('/api/widgets', { kind: 'headlines', starter: 'three-across', name })).body as { id: string }).id
const read = async (id: string) => (await ada.get(`/api/widgets/${id}`)).body as Detail
const save = (id: string, settings: Record<string, unknown>, version: number) =>
  ada.put(`/api/widgets/${id}/draft`, { settings, version })

describe('a new widget', () => {
  it('begins with its starter’s settings', async () => {
    const widget = await read(await make('Across'))
    expect(widget).toMatchObject({
      name: 'Across',
      releases: [],
      draft: { version: 1, settings: { layout: 'grid', columns: 3, count: 3, sources: [] } },
    })
  })
  it('gets a free name where its own is taken or missing', async () => {
    await make('Along')
    expect((await read(await make('along'))).name).toBe('along 2')
    const nameless = async () => ((await ada.post('/api/widgets', { kind: 'visit-counter' })).body as { id: string }).id
    expect((await read(await nameless())).name).toBe('New visit counter')
    expect((await read(await nameless())).name).toBe('New visit counter 2')
  })
  it('is of a kind there is', async () =>
    expect(await ada.post('/api/widgets', { kind: 'fireworks' })).toMatchObject({
      status: 400,
      body: { error: { issues: [{ field: 'kind' }] } },
    }))
  it('cannot take another’s name later', async () => {
    const id = await make('Mine')
    await make('Theirs')
    expect(await ada.patch(`/api/widgets/${id}`, { name: 'THEIRS' })).toMatchObject({
      status: 409,
      body: { error: { code: 'taken' } },
    })
    expect((await ada.patch(`/api/widgets/${id}`, { name: 'Ours' })).status).toBe(200)
  })
})

describe('the draft', () => {
  it('is saved, and counts its versions', async () => {
    const id = await make()
    const { settings } = (await read(id)).draft
    expect(await save(id, { ...settings, count: 7 }, 1)).toMatchObject({
      status: 200,
      body: { version: 2, settings: { count: 7 } },
    })
  })
  it('of two tabs: the second is told, gets the newer one, and overwrites nothing', async () => {
    const id = await make()
    const { settings } = (await read(id)).draft
    await save(id, { ...settings, count: 7 }, 1)
    const second = await save(id, { ...settings, count: 9 }, 1)
    expect(second).toMatchObject({
      status: 409,
      body: { error: { code: 'draft-changed', data: { version: 2, settings: { count: 7 } } } },
    })
    expect((await read(id)).draft.settings.count).toBe(7)
    expect((await save(id, { ...settings, count: 9 }, 2)).status).toBe(200)
  })
  it('of two tabs at the very same moment: one wins', async () => {
    const id = await make()
    const { settings } = (await read(id)).draft
    const answers = await Promise.all([3, 4, 5, 6].map((count) => save(id, { ...settings, count }, 1)))
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409, 409, 409])
  })
  it('keeps what was typed and is unfinished; publishes nothing before it is right', async () => {
    const id = await make()
    const { draft } = await read(id)
    const typed = { settings: { ...draft.settings, sources: [sourceId] }, unfinished: { accent: '#1', nobody: 1 } }
    const saved = (await ada.put(`/api/widgets/${id}/draft`, { ...typed, version: 1 })).body as { version: number }
    const kept = (await read(id)).draft
    expect(kept).toMatchObject({ unfinished: { accent: '#1' }, settings: { accent: draft.settings.accent } })
    expect(kept).not.toMatchObject({ unfinished: { nobody: 1 } })
    const publish = (version: number) => ada.post(`/api/widgets/${id}/releases`, { version })
    expect(await publish(saved.version)).toMatchObject({
      status: 409,
      body: {
        error: { code: 'unfinished', message: expect.stringContaining('Accent'), issues: [{ field: 'Accent' }] },
      },
    })
    expect((await read(id)).releases).toEqual([])
    const copy = ((await ada.post(`/api/widgets/${id}/copy`)).body as { id: string }).id
    expect((await read(copy)).draft).toMatchObject({ unfinished: { accent: '#1' } })
    await ada.put(`/api/widgets/${id}/draft`, { settings: typed.settings, version: saved.version })
    expect((await publish(saved.version + 1)).status).toBe(200)
  })
  it('is no place to keep books in', async () => {
    const id = await make()
    const { draft } = await read(id)
    const long = { settings: draft.settings, unfinished: { titleText: 'x'.repeat(100_001) }, version: 1 }
    expect(await ada.put(`/api/widgets/${id}/draft`, long)).toMatchObject({
      status: 400,
      body: { error: { issues: [{ field: 'unfinished' }] } },
    })
  })
  it('names the field that is wrong and keeps what was there', async () => {
    const id = await make()
    const { settings } = (await read(id)).draft
    expect(await save(id, { ...settings, count: 21 }, 1)).toMatchObject({
      status: 400,
      body: { error: { message: 'count: must be 20 or less.', issues: [{ field: 'count' }] } },
    })
    expect((await save(id, { ...settings, sources: ['11111111-1111-4111-8111-111111111111'] }, 1)).body).toMatchObject({
      error: { issues: [{ field: 'sources' }] },
    })
    expect((await read(id)).draft).toMatchObject({ version: 1, settings })
  })
})

describe('releases', () => {
  it('are numbered from 1, never change, and say who published', async () => {
    const id = await publishedWidget(ada, 'Numbered', sourceId)
    const { draft } = await read(id)
    await save(id, { ...draft.settings, count: 2 }, draft.version)
    expect(await ada.post(`/api/widgets/${id}/releases`, { version: draft.version + 1 })).toMatchObject({
      status: 200,
      body: { number: 2 },
    })
    const { releases } = await read(id)
    expect(releases.map((r) => [r.number, r.settings.count, r.by])).toEqual([
      [2, 2, 'Ada Fenwick'],
      [1, 4, 'Ada Fenwick'],
    ])
  })
  it('need a source, and a change', async () => {
    const id = await make()
    expect((await ada.post(`/api/widgets/${id}/releases`, { version: 1 })).body).toMatchObject({
      error: { code: 'no-source' },
    })
    const published = await publishedWidget(ada, 'Once', sourceId)
    const { version } = (await read(published)).draft
    expect((await ada.post(`/api/widgets/${published}/releases`, { version })).body).toMatchObject({
      error: { code: 'nothing-to-publish' },
    })
  })
  it('are made of the draft that was seen, not of a newer one', async () => {
    const id = await publishedWidget(ada, 'Seen', sourceId)
    expect((await ada.post(`/api/widgets/${id}/releases`, { version: 1 })).body).toMatchObject({
      error: { code: 'draft-changed' },
    })
    expect(await Release.count({ where: { widgetId: id } })).toBe(1)
  })
  it('published twice at once make one number', async () => {
    const id = await publishedWidget(ada, 'Twice', sourceId)
    const { draft } = await read(id)
    await save(id, { ...draft.settings, count: 1 }, draft.version)
    const answers = await Promise.all(
      [1, 2].map(() => ada.post(`/api/widgets/${id}/releases`, { version: draft.version + 1 })),
    )
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409])
    expect(await Release.count({ where: { widgetId: id } })).toBe(2)
  })
  it('can be brought back as the draft', async () => {
    const id = await publishedWidget(ada, 'Back', sourceId)
    const { draft } = await read(id)
    await save(id, { ...draft.settings, count: 1 }, draft.version)
    const back = await ada.post(`/api/widgets/${id}/draft/restore`, { release: 1, version: draft.version + 1 })
    expect(back).toMatchObject({ status: 200, body: { settings: { count: 4 }, version: draft.version + 2 } })
    expect(
      (await ada.post(`/api/widgets/${id}/draft/restore`, { release: 9, version: draft.version + 2 })).status,
    ).toBe(404)
  })
})

describe('sources in use', () => {
  it('are known by draft and release alike, and cannot be removed', async () => {
    const id = await publishedWidget(ada, 'Uses', sourceId)
    const { draft } = await read(id)
    await save(id, { ...draft.settings, sources: [] }, draft.version)
    expect(await WidgetSource.count({ where: { widgetId: id, sourceId } })).toBe(1)
    await expect(Source.destroy({ where: { id: sourceId } })).rejects.toThrow(/foreign key/)
  })
})

describe('the list', () => {
  it('gives its last page where it has become shorter than the one asked for', async () => {
    const id = await publishedWidget(ada, 'Only one of its name', sourceId)
    const list = (q: string) => `/api/widgets?q=${q}&size=2&page=3`
    expect((await ada.get(list('Only one of its name'))).body).toMatchObject({ rows: [{ id }], total: 1, page: 1 })
    expect((await ada.get(list('nobody-has-this-name'))).body).toMatchObject({ rows: [], total: 0, page: 1 })
  })
  it('has a real render for each thumbnail, the changes since the release, and is paged', async () => {
    const id = await publishedWidget(ada, 'Listed', sourceId)
    const { draft } = await read(id)
    await save(id, { ...draft.settings, sources: [] }, draft.version)
    await system.work()
    const { rows, total } = (await ada.get('/api/widgets?q=Listed&size=5')).body as {
      rows: { name: string; release: number; changes: number; thumbnail: { html: string }; shown: number }[]
      total: number
    }
    expect(total).toBe(1)
    expect(rows[0]).toMatchObject({ name: 'Listed', release: 1, changes: 1, shown: 4 })
    expect(rows[0]!.thumbnail.html.match(/<li/g)).toHaveLength(4)
    await publishedWidget(ada, 'One more', sourceId)
    await publishedWidget(ada, 'And another', sourceId)
    const all = await Widget.count()
    expect((await ada.get('/api/widgets?size=2&page=2')).body).toMatchObject({ total: all, page: 2, size: 2 })
    expect((await ada.get('/api/widgets?size=1000')).status).toBe(400)
  })
})
