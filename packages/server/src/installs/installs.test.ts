import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Check, Look, Reading, Round } from '../findings/models'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { pasteAt, planned, publishedWidget, setScene, type Scene } from '../testing/scene'
import { story } from '../testing/story'
import { Install } from './models'

let system: TestSystem
let ada: Person
let scene: Scene
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
})
afterAll(() => system.stop())

interface Detail {
  id: string
  status: string
  method: string
  snippets: { inline: string; frame: string }
  stepsDone: string[]
  steps: { id: string }[]
  check: {
    findings: { code: string; remedy: string; proof: { excerpts: { line: number; text: string }[] } }[]
    looks: { how: string; status: number }[]
    facts: { region: string }
  } | null
  timeLine: { verb: string; data: { status?: string; code?: string } }[]
}
const plan = async (region: string, widgetId = scene.widgetId) =>
  (await ada.post('/api/installs', { widgetId, pageId: scene.pageId, placementId: scene.placements[region] })) as {
    status: number
    body: never
  }
const read = async (id: string) => (await ada.get(`/api/installs/${id}`)).body as Detail
const checked = async (id: string) => {
  await ada.post(`/api/installs/${id}/checks`)
  await system.work()
  return read(id)
}

story('one install, from plan to proof and out again', (step) => {
  let id = ''

  step('is planned by the best method, and the page is looked at once', async () => {
    id = ((await plan('sidebar')).body as { id: string }).id
    await system.work()
    const install = await read(id)
    expect(install).toMatchObject({
      status: 'planned',
      method: 'inline',
      check: { findings: [{ code: 'absent' }] },
      timeLine: [{ verb: 'planned' }],
    })
    expect((await Install.findByPk(id))!.baseline).toMatchObject({
      fingerprint: expect.stringMatching(/^p1:/),
      lastModified: expect.any(String),
    })
  })
  step('has a public id that tells nothing, and a snippet with its own reserved height', async () => {
    const { publicId } = (await Install.findByPk(id))!
    expect(publicId).toMatch(/^[2-9a-hj-km-np-z]{5}(-[2-9a-hj-km-np-z]{5}){3}$/)
    const { inline, frame } = (await read(id)).snippets
    expect(inline).toContain(`data-pebblestrand="${publicId}"`)
    expect(Number(/min-height:(\d+)px/.exec(inline)![1])).toBeGreaterThan(100)
    expect(frame).toContain('width="300"')
  })
  step('is not planned twice in one place; the one that is there is named', async () => {
    const again = await plan('sidebar')
    expect(again).toMatchObject({ status: 409, body: { error: { code: 'already-planned', data: { installId: id } } } })
  })
  step('ticks its steps', async () => {
    await ada.patch(`/api/installs/${id}`, { stepsDone: ['open', 'paste'] })
    expect((await read(id)).stepsDone).toEqual(['open', 'paste'])
  })
  step('is pasted when somebody says so, which can be taken back', async () => {
    expect((await ada.post(`/api/installs/${id}/pasted`)).body).toMatchObject({ status: 'pasted' })
    expect((await ada.post(`/api/installs/${id}/pasted`)).status).toBe(409)
    expect((await ada.delete(`/api/installs/${id}/pasted`)).body).toMatchObject({ status: 'planned' })
    await ada.post(`/api/installs/${id}/pasted`)
  })
  step('saved, but not published: told from absent by the first look', async () => {
    await pasteAt('brackenfold', '/orchard', { 'sidebar.code': (await read(id)).snippets.inline }, false)
    expect(await checked(id)).toMatchObject({
      status: 'needs-a-hand',
      check: { findings: [{ code: 'unpublished', remedy: expect.stringContaining('Publish page') }] },
    })
  })
  step('confirmed, with both looks kept', async () => {
    await pasteAt('brackenfold', '/orchard', { 'sidebar.code': (await read(id)).snippets.inline })
    const install = await checked(id)
    expect(install).toMatchObject({
      status: 'confirmed',
      check: {
        findings: [],
        facts: { region: 'sidebar' },
        looks: [
          { how: 'served', status: 200 },
          { how: 'fresh', status: 200 },
        ],
      },
    })
    const kept = await ada.get(
      `/api/checks/${(await Check.findOne({ where: { installId: id, state: 'done' }, order: [['askedAt', 'DESC']] }))!.id}/looks/fresh`,
    )
    expect(kept.headers['content-type']).toBe('text/plain; charset=utf-8')
    expect(kept.body).toContain('data-pebblestrand=')
  })
  step('gone after it was confirmed: absent, though the page is as it was before', async () => {
    await pasteAt('brackenfold', '/orchard', { 'sidebar.code': '' })
    expect(await checked(id)).toMatchObject({ status: 'needs-a-hand', check: { findings: [{ code: 'absent' }] } })
    await pasteAt('brackenfold', '/orchard', { 'sidebar.code': (await read(id)).snippets.inline })
    await checked(id)
  })
  step('notes in the time line what changed, and only that', async () => {
    await checked(id)
    await checked(id)
    expect((await read(id)).timeLine.map((e) => [e.verb, e.data.status ?? e.data.code]).reverse()).toEqual([
      ['planned', undefined],
      ['pasted', undefined],
      ['unpasted', undefined],
      ['pasted', undefined],
      ['checked', 'needs-a-hand'],
      ['checked', 'confirmed'],
      ['checked', 'needs-a-hand'],
      ['checked', 'confirmed'],
    ])
  })
  step('keeps whole pages of the newest looks only', async () => {
    for (let i = 0; i < 4; i++) await checked(id)
    // Those that saw a change are evidence, and stay longer (checks/history.test.ts).
    const plain = await Reading.findAll({ attributes: ['id'], where: { isEvidence: false } })
    expect(plain.length).toBeLessThanOrEqual(5)
    expect(await Look.count({ where: { readingId: plain.map((one) => one.id) } })).toBeLessThanOrEqual(10)
    expect(await Check.count({ where: { installId: id, state: 'done' } })).toBeGreaterThan(8)
  })
  step('is retired only when it is proved to be gone', async () => {
    await ada.post(`/api/installs/${id}/retire`)
    await system.work()
    expect(await read(id)).toMatchObject({ status: 'needs-a-hand', check: { findings: [{ code: 'still-there' }] } })
    await pasteAt('brackenfold', '/orchard', { 'sidebar.code': '' })
    expect((await checked(id)).status).toBe('retired')
    expect((await ada.post(`/api/installs/${id}/checks`)).status).toBe(409)
    expect((await plan('sidebar')).status).toBe(200) // the place is free again
  })
})

describe('what cannot be planned', () => {
  it('a widget without a release', async () => {
    const { id } = (await ada.post('/api/widgets', { kind: 'headlines', name: 'Only a draft' })).body as { id: string }
    expect((await plan('main', id)).body).toMatchObject({ error: { code: 'not-published' } })
  })
  it('a placement of another site', async () => {
    const other = await setScene(system, ada, 'ninefold-choir', '/concerts', 'Choir news')
    const answer = await ada.post('/api/installs', {
      widgetId: scene.widgetId,
      pageId: scene.pageId,
      placementId: other.placements.main,
    })
    expect(answer).toMatchObject({ status: 400, body: { error: { issues: [{ field: 'placementId' }] } } })
  })
})

story('the register', (step) => {
  step('filters by every column, sorts, and is paged', async () => {
    const widgetId = await publishedWidget(ada, 'Register news', scene.sourceId)
    await plan('footer', widgetId)
    const total = async (filters: string) =>
      ((await ada.get(`/api/installs?${filters}`)).body as { total: number }).total
    const retired = await total('status=retired')
    const gone = await planned(ada, scene, 'header', await publishedWidget(ada, 'News of the past', scene.sourceId))
    await gone.update({ status: 'retired' })
    expect(await total(`widgetId=${widgetId}`)).toBe(1)
    expect(
      await total(`widgetId=${widgetId}&region=footer&status=planned&method=inline&kind=headlines&q=register`),
    ).toBe(1)
    expect(await total(`widgetId=${widgetId}&region=main`)).toBe(0)
    const { clients, pages, people } = (await ada.get(`/api/installs/filters?siteId=${scene.siteId}`)).body as {
      [name: string]: { id: string; name: string }[]
    }
    expect([clients!.length, pages, people!.map((p) => p.name)]).toEqual([
      1,
      [{ id: scene.pageId, name: 'The page' }],
      ['Ada Fenwick'],
    ])
    const all = await total('')
    expect(
      await total(`client=${encodeURIComponent(clients![0]!.name)}&by=${people![0]!.id}&pageId=${scene.pageId}`),
    ).toBe(all)
    const today = new Date().toISOString().slice(0, 10)
    expect([await total(`from=${today}&to=${today}`), await total('to=2020-01-01')]).toEqual([all, 0])
    expect((await ada.get('/api/installs?from=yesterday')).body).toMatchObject({
      error: { message: 'from: must be a date like 2026-11-03.' },
    })
    expect(await total('q=%25')).toBe(0) // a sign like any other
    expect(await total('status=retired')).toBe(retired + 1)
    expect((await total('retired=1')) - (await total(''))).toBe(retired + 1)
    for (const sort of ['widget', 'site', 'page', 'placement', 'status', 'checked', 'planned'])
      expect((await ada.get(`/api/installs?sort=${sort}&dir=down&size=1`)).body).toMatchObject({ size: 1, rows: [{}] })
    expect((await ada.get('/api/installs?sort=name;drop')).status).toBe(400)
  })
  step('gives the same order as ids, for walking along', async () => {
    const { rows } = (await ada.get('/api/installs?sort=widget')).body as { rows: { id: string }[] }
    expect((await ada.get('/api/installs/ids?sort=widget')).body).toEqual({ ids: rows.map((r) => r.id) })
  })
})

story('a round of checks', (step) => {
  step('checks every living install, one round at a time, and says how far it is', async () => {
    await plan('footer')
    await system.work()
    const { id } = (await ada.post('/api/rounds')).body as { id: string }
    expect((await ada.post('/api/rounds')).body).toMatchObject({ error: { code: 'round-running' } })
    const total = await Install.count({ where: { status: ['planned', 'pasted', 'confirmed', 'needs-a-hand'] } })
    expect((await ada.get('/api/rounds/newest')).body).toMatchObject({
      round: { id, state: 'running', total, done: 0 },
    })
    await system.work()
    expect((await ada.get('/api/rounds/newest')).body).toMatchObject({ round: { state: 'done', done: total } })
  })
  step('can be stopped; what is queued is not begun any more', async () => {
    const { id } = (await ada.post('/api/rounds')).body as { id: string }
    expect((await ada.delete(`/api/rounds/${id}`)).body).toMatchObject({ round: { state: 'stopped' } })
    expect(await Check.count({ where: { roundId: id, state: 'stopped' } })).toBe((await Round.findByPk(id))!.total)
    await system.work()
    expect(await Check.count({ where: { roundId: id, state: 'done' } })).toBe(0)
    expect((await ada.post('/api/rounds')).status).toBe(200)
    await system.work()
  })
})

describe('today', () => {
  it('counts, and lists what waits with its finding', async () => {
    const { counts, waiting } = (await ada.get('/api/today')).body as {
      counts: Record<string, number>
      waiting: { status: string }[]
    }
    expect(counts.installs).toBe(counts.confirmed! + counts.waiting!)
    expect(waiting).toHaveLength(counts.waiting!)
  })
})
