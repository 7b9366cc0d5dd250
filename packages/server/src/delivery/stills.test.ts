import { textWidth } from '@pebblestrand/core/pictured'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { dotsOf } from './stills'
import type { Install } from '../installs/models'
import { planned, setScene } from '../testing/scene'
import { story } from '../testing/story'
import { Person, startTestSystem, type TestSystem } from '../testing/system'

let system: TestSystem
let install: Install
let ada: Person
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  install = await planned(ada, await setScene(system, ada), 'sidebar')
})
afterAll(() => system.stop())

const get = (url: string) => system.app.inject({ url })

story('a picture of an install', (step) => {
  step('is there from when it is wanted: at both sizes, and as a drawing that can load nothing', async () => {
    expect((await get(`/r1/${install.publicId}.png`)).statusCode).toBe(404)
    const { body } = await ada.patch(`/api/installs/${install.id}`, { method: 'picture' })
    const { picture } = (body as { snippets: { picture: string } }).snippets
    const [, width, height] = /width="(\d+)" height="(\d+)"/.exec(picture)!.map(Number)
    expect(picture).toMatch(/alt="[^"]*Second ramp opens at Gullhaven pier[^"]*"/)
    const png = await get(`/r1/${install.publicId}.png`)
    expect(png.headers['content-type']).toBe('image/png')
    expect(await sharp(png.rawPayload).metadata()).toMatchObject({ format: 'png', width, height })
    const twice = await sharp((await get(`/r2/${install.publicId}.png`)).rawPayload).metadata()
    expect(twice).toMatchObject({ width: 2 * width!, height: 2 * height! })
    const svg = await get(`/r3/${install.publicId}.svg`)
    expect(svg.headers['content-type']).toBe('image/svg+xml')
    expect(svg.headers['content-security-policy']).toContain("default-src 'none'")
    expect(svg.body).toContain('>Second ramp opens at')
  })
  step('follows what it says, also once the install stands by another way', async () => {
    await ada.patch(`/api/installs/${install.id}`, { method: 'frame' })
    const { body } = await ada.get(`/api/widgets/${install.widgetId}`)
    const { draft } = body as { draft: { settings: object; version: number } }
    const settings = { ...draft.settings, title: 'own', titleText: 'From the harbour' }
    const saved = await ada.put(`/api/widgets/${install.widgetId}/draft`, { settings, version: draft.version })
    await ada.post(`/api/widgets/${install.widgetId}/releases`, saved.body)
    await system.work()
    expect((await get(`/r3/${install.publicId}.svg`)).body).toContain('>From the harbour<')
  })
})

// What a line takes as worked out, against the drawing library's own letters (Liberation Sans, of the widths of Arial).
describe('the width of a text', () => {
  it.each([
    ['Second ramp opens at Gullhaven pier', 14, false],
    ['From 1,284 reviews, 4.6 of 5', 14, false],
    ['Wild & windy: WINTER TIMETABLE', 16, true],
    ['Żółć, naïveté, Ærøskøbing, Größe', 12, false],
  ])('%s', async (text, size, bold) => {
    const escaped = text.replace(/&/g, '&amp;')
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="40"><rect width="600" height="40" fill="#fff"/><text x="20" y="28" font-family="Liberation Sans, Arial" font-size="${size}"${bold ? ' font-weight="700"' : ''}>${escaped}</text></svg>`
    const drawn = await sharp(dotsOf(svg, 1)).trim().toBuffer({ resolveWithObject: true })
    const worked = textWidth(text, size, bold)
    expect(Math.abs(drawn.info.width - worked) / worked).toBeLessThan(0.06)
  })
})
