import type { PageFacts, ReadBookmarks, TypedPick } from '@pebblestrand/contract'
import type { Payload } from '@pebblestrand/core/artefacts'
import type { Entry, Picture } from '@pebblestrand/core/items'
import { readBookmarks } from '@pebblestrand/core/sources/bookmark-file'
import sharp from 'sharp'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { Upload } from '../../pictures/models'
import { tidyPictures } from '../../pictures/tidy'
import { startHost, type Host } from '../../testing/faults/host'
import { planned, setScene } from '../../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../../testing/system'
import { story } from '../../testing/story'

let system: TestSystem
let ada: Person
let pages: Host
let id: string
beforeAll(async () => {
  pages = await startHost('almanac', (request, response) => {
    if (request.url === '/gone') return void response.writeHead(410).end()
    if (request.url === '/file.pdf')
      return void response.writeHead(200, { 'content-type': 'application/pdf' }).end('%PDF-1.4')
    if (request.url === '/away') return void response.writeHead(302, { location: '/tides' }).end()
    response
      .writeHead(200, { 'content-type': 'text/html; charset=iso-8859-1' })
      .end(Buffer.from('<title>Tid\xe9s · Almanac</title><meta name="description" content="High and low.">', 'latin1'))
  })
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  id = ((await ada.post('/api/sources/picks', { title: 'Worth reading' })).body as { id: string }).id
})
afterAll(async () => {
  await system.stop()
  await pages.stop()
})

const put = (pick: Partial<TypedPick>) => ada.call('PUT', `/api/sources/${id}/picks`, pick)
const added = async (pick: Partial<TypedPick>) => (await put(pick)).body as Entry
const titles = async (of = id) =>
  ((await ada.get(`/api/sources/${of}/items?size=200`)).body as { rows: Entry[] }).rows.map(({ body }) => body.title)

story('a collection', (step) => {
  step('takes what is picked first of all, keeps its order, and moves', async () => {
    for (const title of ['One', 'Two', 'Three']) await put({ title })
    await put({ title: 'Four', at: 3 })
    expect(await titles()).toEqual(['Three', 'Two', 'One', 'Four'])
    const rows = ((await ada.get(`/api/sources/${id}/items`)).body as { rows: Entry[] }).rows
    await ada.post(`/api/sources/${id}/picks/move`, { key: rows[3]!.key, to: 1 })
    await ada.post(`/api/sources/${id}/picks/move`, { key: rows[0]!.key, to: 99 })
    expect(await titles()).toEqual(['Four', 'Two', 'One', 'Three'])
    expect(await ada.post(`/api/sources/${id}/picks/move`, { key: 'no such', to: 0 })).toMatchObject({ status: 404 })
  })
  step('a pick is corrected where it stands, taken out, and put back in its place', async () => {
    const [, two] = ((await ada.get(`/api/sources/${id}/items`)).body as { rows: Entry[] }).rows
    const corrected = await added({ key: two!.key, title: 'Two, better', text: 'A note', labels: ['a', 'b', 'a'] })
    expect(corrected).toMatchObject({ key: two!.key, labels: ['a', 'b'], publishedAt: two!.publishedAt })
    expect(await titles()).toEqual(['Four', 'Two, better', 'One', 'Three'])
    const gone = (await ada.post(`/api/sources/${id}/picks/drop`, { key: two!.key })).body as { at: number }
    expect(gone).toMatchObject({ at: 1, entry: { body: { title: 'Two, better' } } })
    expect(await ada.post(`/api/sources/${id}/picks/drop`, { key: two!.key })).toMatchObject({ status: 404 })
    await put({ key: two!.key, title: 'Two, better', at: gone.at })
    expect(await titles()).toEqual(['Four', 'Two, better', 'One', 'Three'])
  })
  step('its language is kept in its canonical form, and what is none is left out', async () => {
    const { key, language } = await added({ title: 'Deutsch', language: 'DE-at' })
    expect(language).toBe('de-AT')
    expect((await added({ key, title: 'Deutsch, anders' })).language).toBe('de-AT')
    expect((await added({ key, title: 'Deutsch', language: 'no language' })).language).toBeNull()
  })
  step('two who add at once both do', async () => {
    const before = (await titles()).length
    await Promise.all(Array.from({ length: 8 }, (_, n) => put({ title: `At once ${n}` })))
    expect(await titles()).toHaveLength(before + 8)
  })
  it.each([
    [{}, 'title'],
    [{ title: 'x', link: 'javascript:alert(1)' }, 'link'],
    [{ title: 'x', date: '2026-02-30' }, 'date'],
    [{ title: 'x', picture: { url: 'nowhere', width: null, height: null, alt: '' } }, 'picture.url'],
  ])('what is not right names the field: %j', async (pick, field) =>
    expect(await put(pick as never)).toMatchObject({ status: 400, body: { error: { issues: [{ field }] } } }),
  )
  step('one with an address alone is called by it; without a scheme it is https', async () =>
    expect(await added({ link: 'www.tides.example/tables/' })).toMatchObject({
      link: 'https://www.tides.example/tables/',
      body: { title: 'tides.example/tables' },
    }),
  )
  step('what is written elsewhere cannot be picked into', async () => {
    const book = ((await ada.post('/api/sources/kept', { title: 'Guest book' })).body as { id: string }).id
    expect(await ada.call('PUT', `/api/sources/${book}/picks`, { title: 'x' })).toMatchObject({ status: 409 })
    expect(await ada.call('PUT', `/api/sources/${id}/entries`, { key: null })).toMatchObject({ status: 400 })
  })
})

describe('a page that is picked', () => {
  const read = (address: string) => ada.post('/api/pages/read', { address })
  it('is read where it leads, in its own encoding', async () => {
    expect((await read(pages.at('/away'))).body as PageFacts).toMatchObject({
      link: pages.at('/tides'),
      title: 'Tidés · Almanac',
      description: 'High and low.',
      site: 'almanac.localhost',
    })
  })
  it.each([
    ['/gone', 'error 410'],
    ['/file.pdf', 'a file'],
  ])('%s says why it cannot be read', async (path, words) =>
    expect(await read(pages.at(path))).toMatchObject({
      body: {
        error: { code: 'fetch-failed', message: expect.stringContaining(words), issues: [{ field: 'address' }] },
      },
    }),
  )
  it('within a private network is not opened', async () =>
    expect(await read('http://10.0.0.1/')).toMatchObject({ body: { error: { code: 'fetch-failed' } } }))
})

describe('a bookmark file', () => {
  const file = `<!DOCTYPE NETSCAPE-Bookmark-file-1><DL><p><DT><A HREF="https://a.example/">A</A>
<DT><H3>Piers</H3><DL><p><DT><A HREF="https://b.example/" ADD_DATE="1763600000">B</A><DD>Note
<DT><A HREF="https://a.example/">A again</A><DT><A HREF="place:sort=8">Recent</A></DL><p></DL><p>`
  let other: string
  const bring = async (body: object) => (await ada.post(`/api/sources/${other}/bookmarks`, body)).body as ReadBookmarks
  beforeEach(async () => {
    other = ((await ada.post('/api/sources/picks', { title: 'From a browser' })).body as { id: string }).id
  })
  it('says what it would add before it is kept, all of it or some folders', async () => {
    expect(await bring({ text: file })).toMatchObject({
      bookmarks: 3,
      skipped: 1,
      added: 2,
      there: 0,
      kept: false,
      folders: [
        { name: '', count: 1 },
        { name: 'Piers', count: 2 },
      ],
    })
    expect(await titles(other)).toEqual([])
    expect(await bring({ text: file, folders: ['Piers'], keep: true })).toMatchObject({ added: 2, kept: true })
    expect(await titles(other)).toEqual(['B', 'A again'])
    expect(await bring({ text: file, keep: true })).toMatchObject({ added: 0, there: 3 })
  })
  it('goes out and is read back', async () => {
    await bring({ text: file, folders: ['Piers'], keep: true })
    const saved = await ada.get(`/api/sources/${other}/bookmarks.html`)
    expect(saved.headers['content-disposition']).toContain('bookmarks.html')
    expect(readBookmarks(saved.body as string)!.bookmarks).toMatchObject([
      { link: 'https://b.example/', note: 'Note', labels: ['Piers'], addedAt: '2025-11-20T00:53:20.000Z' },
      { link: 'https://a.example/', labels: ['Piers'] },
    ])
  })
  it('that is none says so', async () =>
    expect(await bring({ text: 'Dear all,' })).toMatchObject({ error: { issues: [{ field: 'text' }] } }))
})

describe('an uploaded picture', () => {
  const upload = async (bytes: Buffer) => ada.post('/api/uploads', { alt: 'A cover', data: bytes.toString('base64') })
  const red = () =>
    sharp({ create: { width: 600, height: 400, channels: 3, background: '#a22' } })
      .png()
      .toBuffer()
  it('stands in a published widget at once, without anyone publishing again, and stays while a pick shows it', async () => {
    const scene = await setScene(system, ada)
    const collection = ((await ada.post('/api/sources/picks', { title: 'Shelf' })).body as { id: string }).id
    const picked = (pick: object) => ada.call('PUT', `/api/sources/${collection}/picks`, pick)
    await picked({ title: 'The first' })
    const widgetId = (
      (await ada.post('/api/widgets', { kind: 'picks', starter: 'covers', name: 'Our shelf' })).body as { id: string }
    ).id
    const { draft } = (await ada.get(`/api/widgets/${widgetId}`)).body as {
      draft: { settings: object; version: number }
    }
    const settings = { ...draft.settings, sources: [collection] }
    await ada.put(`/api/widgets/${widgetId}/draft`, { settings, version: draft.version })
    await ada.post(`/api/widgets/${widgetId}/releases`, { version: draft.version + 1 })
    const { publicId } = await planned(ada, scene, 'main', widgetId)
    await system.work()
    const html = async () => (await system.app.inject({ url: `/p2/${publicId}.json` })).json<Payload>().html
    expect(await html()).toContain('The first')

    const picture = (await upload(await red())).body as Picture
    expect(picture).toMatchObject({ width: 600, height: 400, alt: 'A cover', own: { widths: [96, 320, 600] } })
    const { own: _, ...plain } = picture
    expect(await picked({ title: 'With a cover', picture: plain })).toMatchObject({ status: 200 })
    await system.work()
    await expect.poll(html, { timeout: 4000 }).toContain(`${picture.own!.base}-320.webp`)

    expect((await upload(await red())).status).toBe(200) // never kept by a pick
    await Upload.update({ createdAt: new Date('2026-01-01') } as never, { where: {} })
    await tidyPictures(system.context)
    expect((await Upload.findAll()).map((one) => picture.url.endsWith(one.id))).toEqual([true])
    const kept = await ada.get(new URL(picture.url).pathname)
    expect(kept.headers['content-type']).toBe('image/png')
    expect((await system.app.inject({ url: new URL(picture.url).pathname })).statusCode).toBe(401)
  })
  it.each([
    ['<svg xmlns="http://www.w3.org/2000/svg"/>', 'a drawing that could run'],
    ['%PDF-1.4', 'a document'],
  ])('%s is no picture', async (text) =>
    expect(await upload(Buffer.from(text))).toMatchObject({
      status: 400,
      body: { error: { issues: [{ field: 'data' }], remedy: expect.stringContaining('JPEG') } },
    }),
  )
})
