import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { SiteRead } from '@pebblestrand/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { CHROMIUM } from '../../platform/browser/chromium-path'
import { BrowserPool } from '../../platform/browser/pool'
import type { Context } from '../../platform/context'
import { Person, startTestSystem, type TestSystem } from '../../testing/system'
import { SiteReading } from './models'
import { carryOutReading } from './job'

let system: TestSystem
let context: Context
let ada: Person
let foreign: Server
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  const { origin } = system.context.config
  const browser = BrowserPool.at(CHROMIUM, { openings: { localhostNames: true }, own: origin })
  context = { ...system.context, browser }
  foreign = createServer((request, response) => {
    if (request.headers.host!.startsWith('wall.'))
      return void response.writeHead(401, { 'content-type': 'text/html' }).end('no')
    if (request.url !== '/') return void response.writeHead(404, { 'content-type': 'text/html' }).end('<h1>404</h1>')
    response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' })
    // Filled by its own script: only a browser sees its regions.
    response.end(`<!doctype html><html lang="fr"><title>Atelier</title><style>body{margin:0}main{width:612px;float:left}
aside{width:214px;float:right}</style><div id="app"></div><script>app.innerHTML='<header>Atelier</header><main><h1>Bonjour</h1><p>'+'mots '.repeat(80)+'</p></main><aside><h2>Aussi</h2><p>'+'x '.repeat(20)+'</p></aside>'</script>`)
  })
  await new Promise<void>((resolve) => foreign.listen(0, '127.0.0.1', resolve))
})
afterAll(async () => {
  foreign.close()
  await context.browser?.close()
  await system.stop()
})

interface Reading {
  state: string
  problem: string | null
  read: SiteRead | null
}

async function readAt(address: string, within: Context = context, siteId?: string): Promise<Reading & { id: string }> {
  const { id } = (await ada.post('/api/site-readings', { address, siteId })).body as { id: string }
  await carryOutReading(within, id)
  return ((await ada.get(`/api/site-readings/${id}`)).body as { reading: Reading & { id: string } }).reading
}

describe('a site that is read', () => {
  it('tells its name, pages, cache, language and regions with their widths', async () => {
    const { read, state, id } = await readAt(system.standins('gullhaven', '/fares'))
    expect(state).toBe('done')
    expect(read).toMatchObject({
      origin: system.standins('gullhaven').slice(0, -1),
      name: { value: 'Gullhaven Ferries' },
      cacheMinutes: { value: 360 },
      language: { value: 'en' },
      notes: [],
      picture: { width: 1280 },
    })
    expect(read!.pages.map(({ path }) => path)).toEqual([
      '/',
      '/timetable',
      '/fares',
      '/news',
      '/lost-property',
      '/contact',
    ])
    expect(read!.rooms.map(({ name, widths }) => [name, widths])).toEqual([
      ['header', { desktop: 1040, tablet: 728, phone: 350 }],
      ['main', { desktop: 700, tablet: 388, phone: 350 }],
      ['sidebar', { desktop: 300, tablet: 300, phone: 350 }],
      ['footer', { desktop: 1040, tablet: 728, phone: 350 }],
    ])
    const picture = await ada.get(`/api/site-readings/${id}/picture`)
    expect(picture.status).toBe(200)
  }, 60_000)

  it('is added as it was read, and says so; a person’s own width is theirs', async () => {
    const { read, id } = await readAt(system.standins('orrin-kiln'))
    expect(read!.platform).toMatchObject({ value: 'cms-shortcodes', from: expect.stringContaining('themes') as string })
    const [header, main, sidebar] = read!.rooms
    const take = (room: typeof header, known: string, width = room!.widths.desktop) => ({
      name: room!.name,
      region: room!.region,
      width,
      widthTablet: room!.widths.tablet,
      widthPhone: room!.widths.phone,
      on: null,
      known,
    })
    const { id: siteId } = (
      await ada.post('/api/sites', {
        client: 'Orrin Kiln',
        name: read!.name.value,
        origin: read!.origin,
        platform: read!.platform.value,
        cacheMinutes: read!.cacheMinutes.value,
        language: 'en',
        readingId: id,
        pages: read!.pages.map(({ title, path }) => ({ title, path })),
        rooms: [take(header, 'read'), take(main, 'noted', 600), take(sidebar, 'read')],
      })
    ).body as { id: string }
    const site = (await ada.get(`/api/sites/${siteId}`)).body as Record<string, unknown>
    expect(site).toMatchObject({
      language: 'en',
      reading: { id },
      placements: [
        { name: 'header', known: 'read', widthPhone: 350 },
        { name: 'main', width: 600, known: 'noted' },
        { name: 'sidebar', width: 280, widthTablet: 280, known: 'read' },
      ],
    })
    expect(site.pages).toHaveLength(read!.pages.length)
    const again = (await readAt(system.standins('orrin-kiln'))).read!
    expect(again.notes).toEqual(['Orrin Kiln Pottery is kept at this address already.'])
    const own = await readAt(system.standins('orrin-kiln'), context, siteId)
    expect(own.read!.notes).toEqual([])
    const main2 = (site.placements as { id: string; name: string }[]).find(({ name }) => name === 'main')!
    const taken = await ada.post(`/api/sites/${siteId}/take`, {
      readingId: id,
      cacheMinutes: 5,
      pages: [
        { title: 'Home again', path: '/' },
        { title: 'Second yard', path: '/second-yard' },
      ],
      rooms: [{ ...take(main, 'read'), placementId: main2.id }],
    })
    expect(taken.status).toBe(200)
    const after = taken.body as {
      cacheMinutes: number
      pages: unknown[]
      placements: { name: string; width: number; known: string }[]
    }
    expect(after.cacheMinutes).toBe(5)
    expect(after.pages).toHaveLength(read!.pages.length + 1)
    expect(after.placements.find(({ name }) => name === 'main')).toMatchObject({ width: 640, known: 'read' })
    // What was read for one site is not taken from it by another.
    const other = await ada.post('/api/sites', {
      client: 'Orrin Kiln',
      name: 'Orrin Kiln Shop',
      origin: 'https://shop.orrin-kiln.example',
      platform: 'cms-shortcodes',
      cacheMinutes: 5,
      readingId: id,
    })
    expect(other.status).toBe(200)
    expect((await SiteReading.findByPk(id))!.siteId).toBe(siteId)
  }, 60_000)

  it('that its scripts fill is read in a browser', async () => {
    const { read } = await readAt(`http://atelier.localhost:${(foreign.address() as AddressInfo).port}/`)
    expect(read).toMatchObject({ name: { value: 'Atelier' }, language: { value: 'fr' } })
    expect(read!.rooms.map(({ name, widths }) => [name, widths.desktop])).toEqual(
      expect.arrayContaining([
        ['main', 612],
        ['sidebar', 214],
      ]),
    )
  }, 60_000)

  it('without a browser has the usual regions, said to be assumed', async () => {
    const { read } = await readAt(system.standins('gullhaven'), system.context)
    expect(read!.rooms.every(({ measured }) => !measured)).toBe(true)
    expect(read!.notes).toEqual(['This machine has no browser: the regions and their widths are as on most sites.'])
  })

  it('that does not answer says why, in words', async () => {
    const port = (foreign.address() as AddressInfo).port
    expect(await readAt(`http://wall.localhost:${port}/`)).toMatchObject({
      state: 'failed',
      problem: 'The site asks visitors to sign in or keeps them out (401).',
    })
  })

  it('is not asked for behind addresses that are nobody’s business', async () => {
    const refused = await ada.post('/api/site-readings', { address: 'http://192.168.0.10/' })
    expect(refused.status).toBe(400)
    expect(refused.body).toMatchObject({ error: { issues: [{ field: 'address' }] } })
    expect(await SiteReading.count({ where: { address: 'http://192.168.0.10/' } })).toBe(0)
  })

  it('stops when it is told to, and is not carried out after that', async () => {
    const { id } = (await ada.post('/api/site-readings', { address: system.standins('gullhaven') })).body as {
      id: string
    }
    await ada.delete(`/api/site-readings/${id}`)
    await carryOutReading(context, id)
    expect((await SiteReading.findByPk(id))!.state).toBe('stopped')
  })
})
