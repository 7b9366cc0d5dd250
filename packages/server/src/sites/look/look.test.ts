import { once } from 'node:events'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { lookFrom, type TakenLook } from '@pebblestrand/core/site-look'
import { request } from 'undici'
import { BrowserPool } from '../../platform/browser/pool'
import { Activity } from '../../activity/models'
import { story } from '../../testing/story'
import { Person, startTestSystem, type TestSystem } from '../../testing/system'
import { setScene, type Scene } from '../../testing/scene'
import { Site } from '../models'
import { noteLookChanges } from './note-changes'
import { takeLook } from './take-look'

let system: TestSystem
let ada: Person
let scene: Scene
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  scene = await setScene(system, ada)
})
afterAll(() => system.stop())

interface Theme {
  heading: string
  body: string
  ink: string
  ground: string
  accent: string
  contentWidth: number
}
/** Every simulated site, with what is written in its style sheet. */
async function written(): Promise<{ host: string; theme: Theme }[]> {
  const { body } = await request(
    new URL('/standins/sites', system.standins('standins').replace('standins.localhost', '127.0.0.1')),
  )
  return ((await body.json()) as { sites: { host: string; theme: Theme }[] }).sites
}
const family = (font: string | undefined) => font?.split(',')[0]!.replace(/"/g, '')
const shown = ({ text, background, accent, bodyFont, headingFont, contentWidth }: TakenLook) => ({
  ink: text?.value,
  ground: background?.value,
  accent: accent?.value,
  body: family(bodyFont?.value),
  heading: family(headingFont?.value),
  contentWidth: contentWidth?.value,
})
const wanted = ({ ink, ground, accent, body, heading, contentWidth }: Theme) => ({
  ink,
  ground,
  accent,
  body,
  heading,
  contentWidth,
})

describe('the look of every simulated site', () => {
  it('is what its style sheets say, where there is no browser', async () => {
    const sites = await written()
    expect(sites.length).toBeGreaterThanOrEqual(8)
    for (const { host, theme } of sites) {
      const { how, look } = await takeLook(system.context, system.standins(host))
      expect(how).toBe('style-sheets')
      expect(shown(look), host).toEqual(wanted(theme))
      expect(
        look.fontFaces.map((face) => face.family),
        host,
      ).toContain(theme.body)
    }
  })
  it('and what a browser draws', async () => {
    const { config } = system.context
    const browser = BrowserPool.at(config.chromium, { openings: { localhostNames: true }, own: config.origin })
    if (!browser) throw new Error('There is no Chromium here.')
    try {
      for (const { host, theme } of await written()) {
        const { how, look } = await takeLook({ ...system.context, browser }, system.standins(host))
        expect(how).toBe('browser')
        expect(shown(look), host).toEqual(wanted(theme))
        expect(
          look.fontFaces.map((face) => face.family),
          host,
        ).toContain(theme.body)
      }
    } finally {
      await browser.close()
    }
  }, 60_000)
})

/** Pages as sites are built that put colours of their own behind some of their words. */
const pages: Record<string, string> = {
  '/tables': `<body style="background:#f4efe2;color:#2b2b2b;font-family:Karla"><table width="100%">
    <tr><td style="background:#203a5c;color:#fff"><b>Ninefold Choir, who sing on every first Sunday of the month</b> <a href="/" style="color:#fff">Home</a></td></tr>
    <tr><td><table width="900" align="center"><tr><td><h1 style="color:#203a5c">Concerts</h1>
      <p>We sing in the chapel by the harbour, and whoever comes early gets a chair. <a href="/" style="color:#a3341f">When</a></p>
      <p>There is no fee, and what is given goes into the roof.</p></td><td width="220">Rehearsals on Tuesdays at seven</td></tr></table></td></tr></table></body>`,
  '/banner': `<body style="background:#ffffff;color:#333333"><header style="background:url(/sea.jpg)"><h1 style="color:#fff">Ferries</h1></header>
    <main style="width:960px;margin:auto"><h2 style="color:#14503c">Times</h2><p>Six sailings a day in summer, four in winter, and none in a storm.</p></main>
    <section style="background:#14503c;color:#fff"><p>Book a car before noon.</p></section></body>`,
  '/film': `<body><section style="color:#fff"><h1>Soon</h1><p>This page is being built, and the sea is filmed behind these words.</p></section></body>`,
}

describe('the look of a page with colours behind some of its words', () => {
  it('is that of most of its words, and of what stands where they stand', async () => {
    const server = createServer((request, response) =>
      response.writeHead(200, { 'content-type': 'text/html' }).end(pages[request.url ?? ''] ?? ''),
    ).listen(0, '127.0.0.1')
    await once(server, 'listening')
    const { config } = system.context
    const browser = BrowserPool.at(config.chromium, { openings: { localhostNames: true }, own: config.origin })!
    const read = async (path: string) => {
      const address = `http://look.localhost:${(server.address() as AddressInfo).port}${path}`
      const { how, look } = await takeLook({ ...system.context, browser }, address)
      expect(how).toBe('browser')
      return [look.background, look.text, look.heading, look.accent, look.contentWidth].map((one) => one?.value ?? null)
    }
    try {
      expect(await read('/tables')).toEqual(['#f4efe2', '#2b2b2b', '#203a5c', '#a3341f', 900])
      expect(await read('/banner')).toEqual(['#ffffff', '#333333', '#14503c', '#14503c', 960])
      expect(await read('/film')).toEqual([null, '#ffffff', null, null, null])
    } finally {
      server.close()
      await browser.close()
    }
  }, 30_000)
})

describe('a look', () => {
  it('is taken in pieces, noted, and worn by what stands there', async () => {
    const answer = await ada.put(`/api/sites/${scene.siteId}/look`, {
      pieces: { accent: '#6b7f1e', button: '#6b7f1e' },
    })
    expect(answer.body).toMatchObject({ look: { accent: '#6b7f1e', button: '#6b7f1e', background: '#ffffff' } })
    await ada.put(`/api/sites/${scene.siteId}/look`, { pieces: { background: '#fdfdf4' } })
    expect((await Site.findByPk(scene.siteId))!.look).toMatchObject({ accent: '#6b7f1e', background: '#fdfdf4' })
  })
  it('of a page elsewhere, or of none, is refused', async () => {
    const read = (address: string) => ada.post(`/api/sites/${scene.siteId}/look/read`, { address })
    expect((await read('https://elsewhere.example/')).body).toMatchObject({ error: { issues: [{ field: 'address' }] } })
    expect((await read('/nothing-here')).body).toMatchObject({ error: { code: 'unreadable-site' } })
  })
})

story('a look that changes', (step) => {
  const samples = (link: string) => ({
    texts: [{ font: 'Karla, serif', colour: '#000000', letters: 400 }],
    headings: [],
    links: [{ colour: link, letters: 20, where: 'text' as const }],
    buttons: [],
    ground: '#fdfdf4',
    edges: [],
    faces: [],
    content: null,
    spacing: null,
    radii: [],
  })
  const told = () => Activity.count({ where: { verb: 'look-changed' } })
  const changes = async () =>
    ((await ada.get(`/api/sites/${scene.siteId}`)).body as { lookChanges: object[] }).lookChanges

  step('is noticed once, and not again when what is noted is kept', async () => {
    await ada.put(`/api/sites/${scene.siteId}/look`, { pieces: { bodyFont: 'Karla, serif', accent: '#6b7f1e' } })
    await noteLookChanges(system.context, scene.pageId, samples('#6b7f1e'))
    expect(await changes()).toEqual([])
    await noteLookChanges(system.context, scene.pageId, samples('#b8472a'))
    await noteLookChanges(system.context, scene.pageId, samples('#b8472a'))
    expect(await changes()).toEqual([{ piece: 'accent', before: '#6b7f1e', after: '#b8472a' }])
    expect(await told()).toBe(1)
    await ada.delete(`/api/sites/${scene.siteId}/look/changes`)
    await noteLookChanges(system.context, scene.pageId, samples('#b8472a'))
    expect(await changes()).toEqual([])
    await noteLookChanges(system.context, scene.pageId, samples('#4a3fa0'))
    expect(await changes()).toHaveLength(1)
  })
  step('goes when the site is as it is noted again', async () => {
    await noteLookChanges(system.context, scene.pageId, samples('#6b7f1e'))
    expect(await changes()).toEqual([])
    expect(lookFrom(samples('#6b7f1e')).accent).toEqual({ value: '#6b7f1e', from: 'its links' })
  })
})
