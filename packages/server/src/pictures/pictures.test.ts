import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Payload } from '@pebblestrand/core/artefacts'
import { readFileSync } from 'node:fs'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Artefact } from '../artefacts/models'
import { planned, setScene } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { story } from '../testing/story'
import { fetchPictures } from './fetch-pictures'
import { Picture, PictureCopy, Upload, WidgetPicture } from './models'
import { notePictures } from './own-pictures'
import { copiesOf as copy, PictureProcess } from './copying/copies'
import { NoPicture } from './copying/no-picture'
import { makeCopies, WIDTHS } from './copying/resize'
import { tidyPictures } from './tidy'

const plain = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#2a6' } })
const jpeg = (width: number, height: number) => plain(width, height).jpeg().toBuffer()

const copiesOf = async (bytes: Uint8Array) => (await copy(bytes)).copies

/** The processor's ms that some work takes. */
async function spent(work: () => Promise<unknown>): Promise<number> {
  const before = process.cpuUsage()
  await work()
  const { user, system } = process.cpuUsage(before)
  return (user + system) / 1000
}

describe('copies', () => {
  it('stand in each width that is smaller, in WebP and JPEG, no wider than the picture is', async () => {
    const copies = await copiesOf(await jpeg(1600, 900))
    expect(copies.map(({ width, format }) => `${width}.${format}`).sort()).toEqual(
      WIDTHS.flatMap((width) => [`${width}.webp`, `${width}.jpg`]).sort(),
    )
    for (const { width, format, bytes } of copies)
      expect(await sharp(bytes).metadata()).toMatchObject({
        width,
        height: Math.round((width * 900) / 1600),
        format: format === 'jpg' ? 'jpeg' : 'webp',
      })
    expect([...new Set((await copiesOf(await jpeg(200, 300))).map(({ width }) => width))]).toEqual([96, 200])
  })
  it('are upright and know nothing of where the picture was taken', async () => {
    const sideways = await plain(400, 200)
      .withMetadata({ orientation: 6 })
      .withExif({ IFD0: { Copyright: 'Somebody' } })
      .jpeg()
      .toBuffer()
    const [copy] = await copiesOf(sideways)
    const { width, height, exif, orientation } = await sharp(copy!.bytes).metadata()
    expect([width, height, exif, orientation]).toEqual([96, 192, undefined, undefined])
  })
  it.each([
    [
      'an SVG',
      () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="50" height="50"><script>1</script></svg>'),
    ],
    ['a PDF', () => Buffer.from('%PDF-1.4\n1 0 obj <<>> endobj')],
    ['a web page', () => Buffer.from('<!DOCTYPE html><p>Not here</p>')],
    ['nothing', () => Buffer.alloc(0)],
    ['a picture of one pixel, that counts visits', () => jpeg(1, 1)],
    ['half a picture', async () => (await plain(900, 900).png().toBuffer()).subarray(0, 900)],
  ])('are not made of %s', async (_, bytes) => {
    await expect(copiesOf(await bytes())).rejects.toThrow(NoPicture)
  })
})

describe('a picture that costs more than it is worth', () => {
  it('is not decoded: 993 bytes of AVIF took a minute and a half', async () => {
    // Of one colour a picture of any size is a thousand bytes. Made by sharp, once: that takes longer than all else here.
    const bomb = readFileSync(new URL('fixtures/of-7000-px.avif', import.meta.url))
    expect(bomb.length).toBeLessThan(20_000)
    let problem: unknown
    const ms = await spent(() => makeCopies(bomb).catch((error: unknown) => (problem = error)))
    expect(problem).toEqual(new NoPicture('It is 7000 by 7000 px.'))
    expect(ms).toBeLessThan(2000)
  })
  it('is decoded once for all copies', async () => {
    const large = await sharp({
      create: { width: 4000, height: 3000, channels: 3, noise: { type: 'gaussian', mean: 128, sigma: 30 } },
    } as never)
      .png({ compressionLevel: 1 })
      .toBuffer()
    const once = await spent(() => sharp(large).resize({ width: 800 }).raw().toBuffer())
    expect(await spent(() => makeCopies(large))).toBeLessThan(3 * once)
  })
  it('is given up after its time; the next one is copied all the same', async () => {
    const hasty = new PictureProcess(1)
    await expect(hasty.copiesOf(await jpeg(3000, 2000))).rejects.toThrow(new NoPicture('It takes too long to open.'))
    const patient = new PictureProcess()
    expect((await patient.copiesOf(await jpeg(300, 200))).copies).not.toEqual([])
    patient.end()
    expect((await patient.copiesOf(await jpeg(300, 200))).copies).not.toEqual([])
    patient.end()
  })
})

story('pictures of a widget', (step) => {
  let system: TestSystem
  let ada: Person
  let host: Server
  let at: string
  let asked: string[] = []
  let publicId: string
  let widgetId: string

  beforeAll(async () => {
    const good = await jpeg(800, 450)
    host = createServer((request, response) => {
      asked.push(request.url!)
      if (request.url!.startsWith('/feed')) {
        const items = ['good', 'gone', 'drawn'].map((name) => ({
          id: name,
          title: `Item ${name}`,
          content_text: 'Words',
          image: `${at}/${name}`,
        }))
        response.setHeader('content-type', 'application/feed+json')
        return void response.end(
          JSON.stringify({ version: 'https://jsonfeed.org/version/1.1', title: 'Pictures', items }),
        )
      }
      if (request.url === '/good') return void response.end(good)
      if (request.url === '/drawn') return void response.end('<svg xmlns="http://www.w3.org/2000/svg"/>')
      response.statusCode = 404
      response.end()
    })
    await new Promise<void>((resolve) => host.listen(0, '127.0.0.1', resolve))
    at = `http://pictures.localhost:${(host.address() as AddressInfo).port}`
    system = await startTestSystem()
    ada = await new Person(system.app).join()
    const scene = await setScene(system, ada)
    const { id } = (await ada.post('/api/sources', { url: `${at}/feed` })).body as { id: string }
    widgetId = (
      (await ada.post('/api/widgets', { kind: 'headlines', starter: 'list-with-pictures', name: 'Seen' })).body as {
        id: string
      }
    ).id
    const { draft } = (await ada.get(`/api/widgets/${widgetId}`)).body as {
      draft: { settings: object; version: number }
    }
    await ada.put(`/api/widgets/${widgetId}/draft`, {
      settings: { ...draft.settings, sources: [id] },
      version: draft.version,
    })
    await ada.post(`/api/widgets/${widgetId}/releases`, { version: draft.version + 1 })
    publicId = (await planned(ada, scene, 'main', widgetId)).publicId
    await system.work()
  })
  afterAll(async () => {
    await system.stop()
    host.close()
  })

  const html = async () => (await system.app.inject({ url: `/p2/${publicId}.json` })).json<Payload>().html

  step('are ours, in two formats; what cannot be had is left out, and visitors call nobody else', async () => {
    await expect.poll(html, { timeout: 4000 }).toContain('<picture>')
    const shown = await html()
    expect(shown.match(/<img/g)).toHaveLength(1)
    expect(shown).not.toContain(at)
    const address = /src="(https:\/\/strand\.example\/i1\/[\w-]+-96\.jpg)"/.exec(shown)![1]!
    const answer = await system.app.inject({ url: new URL(address).pathname })
    expect(answer.headers).toMatchObject({
      'content-type': 'image/jpeg',
      'cache-control': 'public, max-age=31536000, immutable',
      'cross-origin-resource-policy': 'cross-origin',
    })
    expect((await sharp(answer.rawPayload).metadata()).width).toBe(96)
    expect((await system.app.inject({ url: new URL(address).pathname.replace('-96', '-97') })).statusCode).toBe(404)
    expect((await system.app.inject({ url: '/i1/../secret' })).statusCode).not.toBe(200)
  })
  step('are fetched once, failures too', async () => {
    asked = []
    const urls = ['/good', '/gone', '/drawn'].map((path) => at + path)
    await fetchPictures(system.context, { widgetId, urls })
    expect(asked).toEqual([])
    const rows = await Picture.findAll({ order: [['sourceUrl', 'ASC']] })
    expect(rows.map(({ sourceUrl, problem }) => [new URL(sourceUrl).pathname, problem])).toEqual([
      ['/drawn', 'It is no JPEG, PNG, WebP, GIF or AVIF.'],
      ['/gone', 'The address answers with error 404.'],
      ['/good', null],
    ])
  })
  for (const [when, come] of [
    ['asked for and found there', (urls: string[]) => fetchPictures(system.context, { widgetId, urls })],
    [
      'there by the time they are noted',
      (urls: string[]) =>
        system.context.db.transaction((transaction) =>
          notePictures(system.context, widgetId, urls, new Set(urls), transaction),
        ),
    ],
  ] as const)
    step(`that another widget’s job has fetched meanwhile are drawn: ${when}`, async () => {
      const urls = ['/good', '/gone', '/drawn'].map((path) => at + path)
      const before = { bytes: Buffer.from(JSON.stringify({ html: 'drawn without' })), etag: '"before"' }
      await Artefact.update(before, { where: { publicId, form: 'payload' } })
      await come(urls)
      await system.work()
      const stored = async () => (await Artefact.findOne({ where: { publicId, form: 'payload' } }))!.bytes.toString()
      await expect.poll(stored, { timeout: 4000 }).toContain('<picture>')
    })
  step(
    'stay while a release shows them, also of a widget that was removed and may come back; and go some days after',
    async () => {
      const removed = await ada.post('/api/removals', { what: 'widget', id: widgetId })
      expect(removed.status).toBe(200)
      await Picture.update({ usedAt: new Date('2026-01-01') }, { where: {} })
      await tidyPictures(system.context)
      expect(await Picture.count()).toBe(3)
      await WidgetPicture.destroy({ where: {} })
      await tidyPictures(system.context)
      expect(await Picture.count()).toBe(3)
      await Picture.update({ usedAt: new Date('2026-01-01') }, { where: {} })
      await tidyPictures(system.context)
      expect([await Picture.count(), await PictureCopy.count()]).toEqual([0, 0])
    },
  )
})

describe('a picture that was uploaded for a widget', () => {
  let system: TestSystem
  let ada: Person
  beforeAll(async () => {
    system = await startTestSystem()
    ada = await new Person(system.app).join()
  })
  afterAll(() => system.stop())

  it('is known by its copies, and stays while the draft, a release or a widget that can come back names it', async () => {
    const bytes = await jpeg(900, 600)
    const uploaded = await ada.post('/api/uploads', { alt: '', data: bytes.toString('base64') })
    const { url } = uploaded.body as { url: string }
    const own = (who: Person) => who.get(`/api/pictures?address=${encodeURIComponent(url)}`)
    expect((await own(ada)).body).toMatchObject({ picture: { url, own: { widths: [96, 320, 800] } } })
    expect((await own(new Person(system.app))).status).toBe(401)
    const unknown = await ada.get(`/api/pictures?address=${encodeURIComponent('https://elsewhere.example/a.jpg')}`)
    expect(unknown.body).toEqual({ picture: null })

    const made = await ada.post('/api/widgets', { kind: 'corner-card', starter: 'tip', name: 'With a picture' })
    const { id } = made.body as { id: string }
    const save = async (picture: string) => {
      const { draft } = (await ada.get(`/api/widgets/${id}`)).body as { draft: { settings: object; version: number } }
      const settings = { ...draft.settings, picture }
      return (
        (await ada.put(`/api/widgets/${id}/draft`, { settings, version: draft.version })).body as { version: number }
      ).version
    }
    const isThere = async () => {
      await system.context.db.query(`UPDATE uploads SET created_at = now() - interval '9 days'`)
      await tidyPictures(system.context)
      return (await Upload.count()) === 1
    }
    const version = await save(url)
    expect(await isThere()).toBe(true)
    await ada.post(`/api/widgets/${id}/releases`, { version })
    await save('')
    expect(await isThere()).toBe(true)
    expect((await ada.post('/api/removals', { what: 'widget', id })).status).toBe(200)
    expect(await isThere()).toBe(true)
    await system.context.db.query('DELETE FROM removed_rows')
    expect(await isThere()).toBe(false)
  })
})
