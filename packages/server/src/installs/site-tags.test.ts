import type { SiteList } from '@pebblestrand/core/artefacts'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Artefact } from '../artefacts/models'
import { Install } from './models'
import { pasteAt, planned, setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { story } from '../testing/story'

let system: TestSystem
let ada: Person
let scene: Scene
let tag: Install
const site = 'brackenfold'
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada, site)
  await ada.patch(`/api/placements/${scene.placements.sidebar}`, { selector: 'aside.side' })
})
afterAll(() => system.stop())

/** As it is stored: what is served follows as soon as it is heard of. */
const list = async () => {
  const stored = await Artefact.findOne({ where: { publicId: tag.publicId, form: 'site' } })
  return JSON.parse(stored!.bytes.toString('utf8')) as SiteList
}
const detail = async (install: Install) =>
  (await ada.get(`/api/installs/${install.id}`)).body as {
    status: string
    snippets: Record<string, string>
    siteTag: { id: string; status: string } | null
    steps: { id: string }[]
    advice: { best: { method: string } }
    check: { findings: { code: string }[] } | null
  }
const look = async (install: Install) => {
  await ada.post(`/api/installs/${install.id}/checks`)
  await system.work()
  return detail(install)
}

story('a site’s tag', (step) => {
  step('is an install of its own, one for a site', async () => {
    const { id } = (await ada.post(`/api/sites/${scene.siteId}/tag`)).body as { id: string }
    tag = (await Install.findByPk(id))!
    expect((await detail(tag)).snippets.tag).toContain(`data-pebblestrand-site="${tag.publicId}"`)
    expect((await ada.post(`/api/sites/${scene.siteId}/tag`)).body).toMatchObject({
      error: { code: 'already-planned', data: { installId: id } },
    })
    expect((await ada.get(`/api/sites/${scene.siteId}`)).body).toMatchObject({
      tag: { installId: id, status: 'planned' },
    })
    expect(await list()).toEqual({ v: 1, shows: [] })
    const served = await system.app.inject({ url: `/s1/${tag.publicId}.json` })
    expect(served.headers).toMatchObject({
      'content-type': 'application/json; charset=utf-8',
      'access-control-allow-origin': '*',
    })
    expect(served.json()).toEqual({ v: 1, shows: [] })
  })
  step('stands in no list of widgets', async () => {
    expect(JSON.stringify((await ada.get('/api/widgets')).body)).not.toContain('site-tag')
    expect(
      ((await ada.get(`/api/installs?siteId=${scene.siteId}`)).body as { rows: { kind: string }[] }).rows,
    ).toMatchObject([{ kind: 'site-tag' }])
  })
  step('is missing until it is pasted, then confirmed, and said on the site', async () => {
    await ada.post(`/api/installs/${tag.id}/pasted`)
    expect((await look(tag)).check!.findings).toMatchObject([{ code: 'absent' }])
    await pasteAt(site, '*', { 'head.head': (await detail(tag)).snippets.tag! })
    expect(await look(tag)).toMatchObject({ status: 'confirmed', check: { findings: [] } })
    expect((await ada.get(`/api/sites/${scene.siteId}`)).body).toMatchObject({
      tag: { status: 'confirmed', on: 1, of: 1 },
    })
  })
  step(
    'then brings what is planned where a placement has a selector: nothing is pasted, and a look confirms it',
    async () => {
      const install = await planned(ada, scene, 'sidebar')
      expect(install.method).toBe('tag')
      const { shows } = await list()
      expect(shows).toMatchObject([
        { id: install.publicId, at: 'aside.side', room: expect.stringMatching(/px/) as string },
      ])
      expect(new RegExp(shows[0]!.on, 'u').test('/orchard')).toBe(true)
      await ada.post(`/api/installs/${install.id}/pasted`)
      expect(await look(install)).toMatchObject({ status: 'confirmed' })
      // Without a selector there it is, as ever, pasted.
      expect((await planned(ada, scene, 'main')).method).toBe('inline')
    },
  )
  step('follows pages, placements and methods that change', async () => {
    await ada.patch(`/api/pages/${scene.pageId}`, { path: '/orchard/:tree' })
    expect(new RegExp((await list()).shows[0]!.on, 'u').test('/orchard/old-one')).toBe(true)
    await ada.patch(`/api/pages/${scene.pageId}`, { path: '/orchard' })
    await ada.patch(`/api/placements/${scene.placements.sidebar}`, { selector: '.nowhere' })
    expect((await list()).shows[0]!.at).toBe('.nowhere')
    const install = (await Install.findOne({ where: { method: 'tag', placementId: scene.placements.sidebar! } }))!
    expect((await look(install)).check!.findings).toMatchObject([{ code: 'place-gone' }])
    await ada.patch(`/api/installs/${install.id}`, { method: 'inline' })
    expect((await list()).shows).toEqual([])
    await ada.patch(`/api/installs/${install.id}`, { method: 'tag' })
    expect((await list()).shows).toHaveLength(1)
    await ada.post(`/api/installs/${install.id}/retire`)
    expect((await list()).shows).toEqual([])
  })
  step('follows what is taken out and brought back, and how high a thing is drawn', async () => {
    const rail = (
      (await ada.post(`/api/sites/${scene.siteId}/placements`, {
        name: 'rail',
        region: 'sidebar',
        width: 280,
        selector: '.rail',
        pageId: scene.pageId,
      })) as { body: { id: string } }
    ).body.id
    const wanted = { widgetId: scene.widgetId, pageId: scene.pageId, placementId: rail }
    const { id } = (await ada.post('/api/installs', wanted)).body as { id: string }
    const before = (await list()).shows
    expect(before).toMatchObject([{ at: '.rail' }])
    const room = before[0]!.room
    await ada.patch(`/api/placements/${rail}`, { width: 900 })
    await system.work()
    const after = (await list()).shows[0]!.room
    expect(after).toMatch(/px/)
    expect(after).not.toBe(room)
    for (const [what, gone] of [
      ['install', id],
      ['placement', rail],
    ]) {
      const removal = (await ada.post('/api/removals', { what, id: gone, standing: 1 })).body as { id: string }
      expect((await list()).shows).toEqual([])
      await ada.delete(`/api/removals/${removal.id}`)
      expect((await list()).shows).toMatchObject([{ at: '.rail', room: after }])
    }
    const removal = (await ada.post('/api/removals', { what: 'install', id: tag.id, standing: 1 })).body as {
      id: string
    }
    expect(await Artefact.findOne({ where: { publicId: tag.publicId } })).toBeNull()
    await ada.delete(`/api/removals/${removal.id}`)
    expect((await list()).shows).toMatchObject([{ at: '.rail' }])
  })
  step('taken out of the page it is missed, there and by what it brings', async () => {
    await pasteAt(site, '*', { 'head.head': '' })
    expect((await look(tag)).check!.findings[0]!.code).toBe('absent')
  })
})

describe('an install that is to be brought by the tag of a site without one', () => {
  it('plans the tag with it, once, and its text is the tag’s', async () => {
    const other = await setScene(system, ada, 'pollard-cycles', '/workshop', 'Workshop news')
    const install = await planned(ada, other, 'sidebar')
    expect(await detail(install)).toMatchObject({ siteTag: null, snippets: { tag: '' } })
    await ada.patch(`/api/installs/${install.id}`, { method: 'tag' })
    const { siteTag, snippets, steps } = await detail(install)
    const own = (await Install.findByPk(siteTag!.id))!
    expect(siteTag).toMatchObject({ status: 'planned' })
    expect(snippets.tag).toBe((await detail(own)).snippets.tag)
    expect(snippets.tag).toContain(`data-pebblestrand-site="${own.publicId}"`)
    expect(steps.map(({ id }) => id)).toEqual(['look'])
    // Another one by it finds it there; one that was to go is kept.
    await ada.post(`/api/installs/${own.id}/retire`)
    await ada.patch(`/api/installs/${install.id}`, { method: 'inline' })
    await ada.patch(`/api/installs/${install.id}`, { method: 'tag' })
    expect((await detail(install)).siteTag).toEqual({ id: own.id, status: 'planned' })
    expect((await Install.findByPk(own.id))!.retiring).toBe(false)
  })
})
