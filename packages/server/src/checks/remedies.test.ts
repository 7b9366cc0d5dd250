import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import type { MethodId } from '@pebblestrand/core/methods'
import { Desks } from '../demo/desk'
import { bringAbout } from '../demo/outcomes'
import type { Outcome } from '../demo/chapters'
import { Install } from '../installs/models'
import { Page } from '../sites/models'
import { planned, setScene, type Scene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { Check } from '../findings/models'
import { standinsPort } from '../testing/standins'

// Every code that needs no browser, raised by what was done at a site's own desk, and gone once its remedy was done there.
// Those that a browser sees are held in browser/look-in-browser.test.ts.

const [site, path] = ['tarnside-vets', '/advice']
const region = 'sidebar'

let system: TestSystem
let ada: Person
let scene: Scene
let desks: Desks
beforeAll(async () => {
  // As in the demo, whose desks change this address where another is to be found.
  system = await startTestSystem({ PEBBLESTRAND_ORIGIN: 'http://localhost:4999' })
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada, site, path)
  desks = new Desks(standinsPort())
})
afterAll(() => system.stop())

interface Detail {
  status: string
  snippets: Record<MethodId, string>
  check: { findings: { code: string; remedy: string }[] } | null
}
const read = async (install: Install) => (await ada.get(`/api/installs/${install.id}`)).body as Detail

async function checked(install: Install): Promise<string[]> {
  await ada.post(`/api/installs/${install.id}/checks`)
  await system.work()
  return [(await read(install)).status, ...(await read(install)).check!.findings.map(({ code }) => code)]
}

/** An empty page, published, out of its cache, without trouble. */
const nothing = { 'main.code': '', 'sidebar.code': '', 'sidebar.visual': '', 'sidebar.filtered': '', 'main.visual': '' }
async function cleared(boxes: Record<string, string> = nothing): Promise<void> {
  await desks.trouble(site, path, null)
  await desks.publish(site, path, boxes)
  await desks.emptyCache(site)
}

const codes = [
  'absent',
  'unpublished',
  'signed-in-only',
  'cached-copy',
  'shown-as-text',
  'inert',
  'other-widget',
  'wrong-placement',
  'double',
  'wrong-host',
  'script-stripped',
  'no-width',
  'blocked',
  'hidden',
  'moved',
  'unreachable',
] as const satisfies Outcome[]

const second = () => Math.floor(Date.now() / 1000)
const nextSecond = (now = second()) => vi.waitUntil(() => second() > now, { timeout: 3000, interval: 20 })

it.each(codes)(
  '%s is raised, and gone after its remedy',
  async (code) => {
    await cleared()
    await Page.update({ previewUrl: null }, { where: { id: scene.pageId } })
    const install = await planned(ada, scene, region)
    await system.work()
    const method: MethodId = code === 'no-width' ? 'frame' : 'inline'
    if (method === 'frame') await ada.patch(`/api/installs/${install.id}`, { method })
    const snippet = (await read(install)).snippets[method]
    if (code === 'signed-in-only') {
      const from = (await desks.sites()).find(({ host }) => host === site)!
      const { preview } = from.pages.find((page) => page.path === path)!
      await Page.update({ previewUrl: desks.siteOrigin(site) + preview }, { where: { id: scene.pageId } })
    }
    // A page's Last-Modified counts whole seconds: what is changed within the one it was published in looks untouched.
    if (code === 'absent') await nextSecond()
    await bringAbout[code]({
      widget: 'Harbour news',
      site,
      page: path,
      region,
      outcome: code,
      hoursAgo: 0,
      method,
      desks,
      snippet,
      otherSnippet: snippet.replaceAll(install.publicId, 'another-widgets-place'),
      boxes: {},
      box: 'code',
    })
    await ada.post(`/api/installs/${install.id}/pasted`)
    // The demo's page has moved to one that this site has not.
    if (code === 'moved') await desks.trouble(site, path, { kind: 'moved', to: '/opening-hours' })
    // What the page led on to was read as well, and has nothing of it.
    expect(await checked(install)).toEqual(['needs-a-hand', code, ...(code === 'moved' ? ['absent'] : [])])
    expect((await read(install)).check!.findings[0]!.remedy.length).toBeGreaterThan(10)

    await cleared({ ...nothing, [`${region}.code`]: snippet })
    expect(await checked(install)).toEqual(['confirmed'])

    await ada.post('/api/removals', { what: 'install', id: install.id, standing: 100 })
    expect(await Check.count({ where: { installId: install.id } })).toBe(0)
  },
  30_000,
)

it('still-there is raised, and gone once it was taken out', async () => {
  await cleared()
  const install = await planned(ada, scene, region)
  await system.work()
  await cleared({ ...nothing, [`${region}.code`]: (await read(install)).snippets.inline })
  expect(await checked(install)).toEqual(['confirmed'])
  await ada.post(`/api/installs/${install.id}/retire`)
  await system.work()
  expect((await read(install)).check!.findings.map(({ code }) => code)).toEqual(['still-there'])
  await cleared()
  expect(await checked(install)).toEqual(['retired'])
  expect((await Install.findByPk(install.id))!.retiredAt).not.toBeNull()
}, 30_000)
