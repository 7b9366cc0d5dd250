import { formIds } from '@pebblestrand/core/artefacts'
import { kindList, type Kind } from '@pebblestrand/core/kinds'
import { escapeText } from '@pebblestrand/core/markup'
import { afterAll, beforeAll, expect } from 'vitest'
import { z } from 'zod'
import { Artefact } from './artefacts/models'
import { Install } from './installs/models'
import { pasteAt, setScene, type Scene } from './testing/scene'
import { story } from './testing/story'
import { Person, startTestSystem, type TestSystem } from './testing/system'

// Kinds that nobody here has ever heard of: one in a placement, one over the page. Adding a kind is adding one folder and one
// line; nothing else knows of these, and they go all the way from starter to confirmed install.

const ToySettings = z.strictObject({
  words: z.string().max(40).default('High tide at noon'),
  links: z.array(z.strictObject({ words: z.string(), to: z.string() })).default([]),
})
type ToySettings = z.infer<typeof ToySettings>

const toy: Kind<ToySettings> = {
  id: 'toy-tide-line',
  name: 'Tide line',
  purpose: 'One line of words, for a test.',
  version: 2,
  // Version 1 called its words "text".
  upgrade: { 1: ({ text, ...rest }) => ({ ...rest, words: text }) },
  settings: ToySettings,
  starters: [{ id: 'plain', name: 'Plain', settings: { links: [{ words: 'Table', to: 'https://tides.example/' }] } }],
  parts: [],
  sample: () => ({ items: [], facts: {} }),
  render: ({ settings }) => ({
    html: `<p>${escapeText(settings.words)}</p>`,
    css: ':host{display:block}',
    font: null,
    behaviours: [],
    data: {},
  }),
  box: { one: 'a tide line', fit: () => ({ columns: 1, gap: 0, padding: 0, cellMin: 80 }), height: () => 24 },
}
const { box: _box, ...withoutBox } = toy
const overPage: Kind<ToySettings> = {
  ...withoutBox,
  id: 'toy-tide-bell',
  name: 'Tide bell',
  presence: () => ({ overPage: true }),
}

let system: TestSystem
let ada: Person
let scene: Scene
beforeAll(async () => {
  for (const kind of [toy, overPage]) kindList[kind.id] = kind as unknown as Kind
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada, 'brackenfold', '/club', 'Club news')
})
afterAll(async () => {
  for (const kind of [toy, overPage]) delete kindList[kind.id]
  await pasteAt('brackenfold', '/club', { 'sidebar.code': '', 'footer.code': '' })
  await pasteAt('brackenfold', '/', { 'footer.code': '' })
  await system.stop()
})

const body = <T>(answer: { body: unknown }) => answer.body as T
async function published(kind: Kind<ToySettings>): Promise<string> {
  const { id } = body<{ id: string }>(await ada.post('/api/widgets', { kind: kind.id, starter: 'plain' }))
  const { draft } = body<{ draft: { settings: ToySettings; version: number } }>(await ada.get(`/api/widgets/${id}`))
  expect(draft.settings.links).toHaveLength(1)
  expect((await ada.post(`/api/widgets/${id}/releases`, { version: draft.version })).status).toBe(200)
  await system.work()
  return id
}
const read = async (id: string) =>
  body<{
    status: string
    snippets: Record<string, string>
    placement: string | null
    region: string | null
    check: unknown
  }>(await ada.get(`/api/installs/${id}`))
const check = async (id: string) => {
  await ada.post(`/api/installs/${id}/checks`)
  await system.work()
  return read(id)
}

story('a kind that was added', (step) => {
  let widgetId = ''
  step('is offered with its starters, and made', async () => {
    const { rows } = body<{ rows: { id: string; starters: { id: string }[] }[] }>(await ada.get('/api/kinds'))
    expect(rows.find((row) => row.id === toy.id)?.starters).toMatchObject([{ id: 'plain' }])
    widgetId = await published(toy)
  })
  step('is drawn in the list', async () => {
    const { rows } = body<{ rows: { id: string; thumbnail: { html: string } }[] }>(await ada.get('/api/widgets?q=tide'))
    expect(rows.find((row) => row.id === widgetId)!.thumbnail.html).toBe('<p>High tide at noon</p>')
  })
  step('goes from plan to confirmed, inline and as a frame', async () => {
    for (const [region, method] of [
      ['sidebar', 'inline'],
      ['footer', 'frame'],
    ] as const) {
      const { id } = body<{ id: string }>(
        await ada.post('/api/installs', {
          widgetId,
          pageId: scene.pageId,
          placementId: scene.placements[region],
          method,
        }),
      )
      const { snippets } = await read(id)
      expect(snippets[method]).toMatch(method === 'inline' ? /min-height:24px/ : /width="1280" height="28"/)
      await pasteAt('brackenfold', '/club', { [`${region}.code`]: snippets[method]! })
      expect(await check(id)).toMatchObject({ status: 'confirmed', check: { findings: [] } })
      const { publicId } = (await Install.findByPk(id))!
      expect((await system.app.inject(`/p2/${publicId}.json`)).json()).toMatchObject({
        html: '<p>High tide at noon</p>',
      })
      expect((await system.app.inject(`/f/${publicId}`)).body).toContain('<p>High tide at noon</p>')
    }
  })
  step('of which a release of last year is stored is upgraded when it is read', async () => {
    await system.context.db.query(
      `UPDATE releases SET settings = '{"text": "Low tide at six"}', kind_version = 1 WHERE widget_id = :widgetId`,
      { replacements: { widgetId } },
    )
    await ada.patch(`/api/widgets/${widgetId}`, { name: 'Tide line of last year' })
    await system.work()
    const install = (await Install.findOne({ where: { widgetId } }))!
    const { bytes } = (await Artefact.findOne({ where: { installId: install.id, form: 'payload' } }))!
    expect(JSON.parse(bytes.toString())).toMatchObject({ html: '<p>Low tide at six</p>' })
    const { releases } = body<{ releases: { settings: ToySettings }[] }>(await ada.get(`/api/widgets/${widgetId}`))
    expect(releases[0]!.settings).toEqual({ words: 'Low tide at six', links: [] })
  })
  step('that is gone from the program breaks no list and no page', async () => {
    delete kindList[toy.id]
    expect((await ada.get('/api/widgets')).status).toBe(200)
    expect((await ada.get(`/api/sites/${scene.siteId}`)).status).toBe(200)
    expect((await ada.get(`/api/widgets/${widgetId}`)).status).toBe(200)
    await ada.patch(`/api/widgets/${widgetId}`, { name: 'Nobody knows it' })
    await system.work() // what it served stays as it was
    const install = (await Install.findOne({ where: { widgetId } }))!
    expect(await Artefact.count({ where: { installId: install.id } })).toBe(formIds.length)
    kindList[toy.id] = toy as unknown as Kind
  })
})

story('a kind over the page', (step) => {
  let widgetId = ''
  const plan = async (where: object) => ada.post('/api/installs', { widgetId, ...where })
  step('wants no placement, and a kind that stands in one does', async () => {
    widgetId = await published(overPage)
    expect((await plan({ pageId: scene.pageId, placementId: scene.placements.main })).body).toMatchObject({
      error: { issues: [{ field: 'placementId' }] },
    })
    expect((await ada.post('/api/installs', { widgetId: scene.widgetId, pageId: scene.pageId })).body).toMatchObject({
      error: { message: 'placementId: is missing: this widget stands in a placement.' },
    })
  })
  step('is planned for a whole site, once, and confirmed wherever on the page it was pasted', async () => {
    const planned = await plan({ siteId: scene.siteId })
    expect(planned.status).toBe(200)
    const { id } = body<{ id: string }>(planned)
    expect(body<{ error: unknown }>(await plan({ siteId: scene.siteId })).error).toMatchObject({
      code: 'already-planned',
      data: { installId: id },
    })
    expect(await read(id)).toMatchObject({ status: 'planned', placement: null, region: null })
    await pasteAt('brackenfold', '/', { 'footer.code': (await read(id)).snippets.inline! })
    expect((await check(id)).status).toBe('confirmed')
  })
  step('is in the register, on the site’s plan, on its strand and in find', async () => {
    const register = body<{ rows: { placement: string | null }[] }>(await ada.get(`/api/installs?widgetId=${widgetId}`))
    expect(register.rows).toMatchObject([{ placement: null, width: null }])
    const site = body<{ installs: { widgetId: string; placementId: string | null }[] }>(
      await ada.get(`/api/sites/${scene.siteId}`),
    )
    expect(site.installs.find((install) => install.widgetId === widgetId)!.placementId).toBeNull()
    expect(JSON.stringify((await ada.get('/api/sites')).body)).toContain('New tide bell')
    expect(JSON.stringify((await ada.get('/api/find?q=tide+bell')).body)).toContain('"install"')
    expect((await ada.get('/api/today')).status).toBe(200)
  })
  step('is taken out and brought back', async () => {
    const { id } = (await Install.findOne({ where: { widgetId } }))!
    const removed = body<{ id: string }>(await ada.post('/api/removals', { what: 'install', id, standing: 1 }))
    expect((await ada.delete(`/api/removals/${removed.id}`)).status).toBe(200)
    expect((await Install.findByPk(id))!.status).toBe('confirmed')
  })
})
