import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { lookFrom, type TakenLook } from '@pebblestrand/core/site-look'
import { request } from 'undici'
import { BrowserPool } from '../../platform/browser/pool'
import { Activity } from '../../activity/models'
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

describe('a look that changes', () => {
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

  it('is noticed once, and not again when what is noted is kept', async () => {
    await ada.put(`/api/sites/${scene.siteId}/look`, { pieces: { bodyFont: 'Karla, serif' } })
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
  it('goes when the site is as it is noted again', async () => {
    await noteLookChanges(system.context, scene.pageId, samples('#6b7f1e'))
    expect(await changes()).toEqual([])
    expect(lookFrom(samples('#6b7f1e')).accent).toEqual({ value: '#6b7f1e', from: 'its links' })
  })
})
