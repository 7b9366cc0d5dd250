import { articleItem } from '@pebblestrand/core/items'
import { sourceKinds } from '@pebblestrand/core/sources'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { publishedWidget } from '../testing/scene'
import { ItemRow, Source } from './models'
import { queueDue, refreshSource, sourceRetries } from './refresh'
import { connectors } from './connector'

let system: TestSystem
let ada: Person
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
})
afterAll(() => system.stop())

/** What is stored of a source, each as one flat record. */
const itemsOf = async (id: string) => {
  const { rows: entries } = (await ada.get(`/api/sources/${id}/items`)).body as {
    rows: { key: string; body: Record<string, unknown> }[]
  }
  return entries.map(({ body, ...head }) => ({ ...head, ...body })) as never as {
    title: string
    link: string
    author: string
    picture: { url: string } | null
    html: string
  }[]
}
const find = (address: string) => ada.post('/api/sources/find', { address })
const troubled = (path: string) => system.standins('troubled-feeds', path)

describe('finding the source', () => {
  it('from a page: its feeds, each with its newest items', async () => {
    const { status, body } = await find(system.standins('skerrow-post'))
    expect(status).toBe(200)
    const { found } = body as {
      found: { title: string; format: string; count: number; how: string; newest: { title: string }[] }[]
    }
    expect(found.map((f) => [f.title, f.format, f.how])).toEqual([
      ['Skerrow Post: News', 'rss', 'declared'],
      ['Skerrow Post: Harbour', 'atom', 'declared'],
      ['Skerrow Post: Culture', 'json', 'declared'],
    ])
    expect(found[1]!.newest.map((i) => i.title)).toEqual([
      'Second ramp opens at Gullhaven pier',
      'Winter timetable: the 06:40 stays',
      'Seal keeps slipway closed for a second day',
      'Dredging begins in the outer basin',
    ])
  })
  it('from a feed: itself', async () =>
    expect((await find(system.standins('skerrow-post', '/feeds/news.xml'))).body).toMatchObject({
      found: [{ format: 'rss', how: 'given', count: 8 }],
    }))
  it('from an address without its scheme', async () =>
    expect((await find(system.standins('skerrow-post').replace('http://', ''))).status).toBe(200))

  it('tells of each try on the way to who wants to hear it', async () => {
    const told = async (address: string) => {
      const { body, headers } = await ada.call(
        'POST',
        '/api/sources/find',
        { address },
        { accept: 'application/x-ndjson' },
      )
      expect(headers['content-type']).toBe('application/x-ndjson')
      return (body as string)
        .trimEnd()
        .split('\n')
        .map((line) => JSON.parse(line) as Record<string, never>)
    }
    const good = await told(system.standins('skerrow-post'))
    expect(good.slice(0, -1)).toEqual([
      { step: { url: system.standins('skerrow-post'), outcome: 'a web page that names 3 feeds' } },
      ...Array.from({ length: 3 }, () => ({ step: { url: expect.stringContaining('/feeds/'), outcome: 'a feed' } })),
    ])
    expect(good.at(-1)).toEqual({ result: (await find(system.standins('skerrow-post'))).body })
    const bad = await told(troubled('/'))
    expect(bad.length).toBeGreaterThan(3)
    expect(bad.at(-1)).toMatchObject({ error: { code: 'no-feeds', issues: [{ field: 'address' }] } })
    expect((await told(troubled('/gone.xml'))).at(-1)).toMatchObject({ error: { code: 'fetch-failed' } })
  })
  it('reviews that a page marks up, where such are wanted: what they come to, the newest, then kept with both', async () => {
    const url = system.standins('skerrow-guide', '/places/orrin-kiln')
    const asked = (address: string) => ada.post('/api/sources/find', { address, gives: ['review'] })
    expect((await asked(url)).body).toMatchObject({
      found: [
        {
          kind: 'structured-data',
          title: 'Orrin Kiln Pottery',
          format: 'json-ld',
          count: 8,
          rating: { mean: 4.8, count: 214 },
        },
      ],
    })
    expect((await asked(system.standins('skerrow-post'))).body).toMatchObject({
      error: { code: 'fetch-failed', message: 'No reviews are marked up on this page.' },
    })
    const { body } = await ada.post('/api/sources', { kind: 'structured-data', url })
    expect(body).toMatchObject({ kind: 'structured-data', count: 8, rating: { mean: 4.8, count: 214 } })
    const only = (gives: string) => ada.get(`/api/sources?gives=${gives}`)
    expect(((await only('review')).body as { rows: { url: string }[] }).rows.map((row) => row.url)).toEqual([url])
    expect(JSON.stringify((await only('article')).body)).not.toContain(url)
    // It states its hours as well.
    expect(JSON.stringify((await only('hours')).body)).toContain(url)
    expect(body).toMatchObject({ gives: ['review', 'hours'] })
  })
  it('a page that states when a place is open, for a widget of its hours', async () => {
    const search = (address: string) => ada.post('/api/sources/find', { address, gives: ['hours'] })
    const { body } = await search(system.standins('skerrow-guide', '/places/orrin-kiln'))
    const { found } = body as { found: { hours: { week: unknown[][] } }[] }
    expect(found[0]!.hours.week.map((day) => day.length)).toEqual([0, 2, 2, 2, 2, 1, 0])
    expect((await search(system.standins('skerrow-guide', '/places/windle-knot-museum'))).body).toMatchObject({
      error: { code: 'fetch-failed', message: 'No opening hours are marked up on this page.' },
    })
  })
  it('a page without feeds: says what was tried and where to look', async () => {
    const { status, body } = await find(troubled('/'))
    expect(status).toBe(422)
    const { error } = body as {
      error: { code: string; remedy: string; data: { tried: { url: string; outcome: string }[] } }
    }
    expect(error).toMatchObject({ code: 'no-feeds', remedy: expect.stringContaining('Look on the site for a link') })
    expect(error.data.tried[0]).toMatchObject({ outcome: 'a web page that names no feed' })
    expect(error.data.tried.map((t) => t.url)).toContain(troubled('/feed'))
  })

  it.each([
    ['/empty.xml', 'fetch-failed', /empty/],
    ['/broken.xml', 'fetch-failed', /neither RSS|damaged/],
    ['/not-a-feed.txt', 'fetch-failed', /neither RSS, Atom nor JSON Feed/],
    ['/gone.xml', 'fetch-failed', /error 404/],
    ['/error.xml', 'fetch-failed', /error 500/],
    ['/large.xml', 'fetch-failed', /larger than 5 MiB/],
    ['/round.xml', 'fetch-failed', /more than 5 times/],
    ['/inward.xml', 'fetch-failed', /this machine itself/],
  ])('%s is named, with a remedy', async (path, code, says) => {
    const { status, body } = await find(troubled(path))
    const { error } = body as { error: { code: string; message: string; remedy: string; issues: { field: string }[] } }
    expect([status, error.code]).toEqual([422, code])
    expect(error.message).toMatch(says)
    expect(error.remedy).not.toBe('')
    expect(error.issues[0]!.field).toBe('address')
  })

  it.each(['ftp://site.example/feed', 'http://10.0.0.1/feed', 'http://localhost:5432/', 'file:///etc/passwd'])(
    '%s is refused with the reason',
    async (address) => {
      expect(await find(address)).toMatchObject({
        status: 400,
        body: { error: { code: 'address-refused', issues: [{ field: 'address' }] } },
      })
      expect(await ada.post('/api/sources', { url: address })).toMatchObject({ status: 400 })
    },
  )
})

describe('a sort of source beside feeds', () => {
  it('is added and read by its own connector, and one that nobody knows is refused', async () => {
    const { id: _, ...bell } = articleItem('toy:1')
    const toy = { title: 'Tide bell', link: null, language: null, cut: {} }
    const asked: string[] = []
    sourceKinds.toy = { ...sourceKinds.feed!, id: 'toy', interval: 45 }
    connectors.toy = {
      find: () => Promise.resolve({ found: [], tried: [] }),
      async read(_context, { url: address }) {
        asked.push(address)
        const entry = { ...bell, key: String(asked.length) }
        const read = { format: 'bell', entries: [entry], ...toy }
        return { kind: 'read', url: address, extent: 'window', hash: entry.key, read }
      },
    }
    const url = system.standins('skerrow-post', '/bell')
    const { id, ...source } = (await ada.post('/api/sources', { kind: 'toy', url })).body as { id: string }
    expect(source).toMatchObject({ kind: 'toy', title: 'Tide bell', format: 'bell', count: 1, intervalMinutes: 45 })
    expect((await ada.post(`/api/sources/${id}/refresh`, {})).body).toMatchObject({ count: 2 })
    expect(asked).toEqual([url, url])
    delete connectors.toy
    delete sourceKinds.toy
    expect(await ada.post('/api/sources', { kind: 'toy', url: `${url}2` })).toMatchObject({
      status: 400,
      body: { error: { issues: [{ field: 'kind' }] } },
    })
  })
})

describe('a source', () => {
  const add = async (url: string) => ((await ada.post('/api/sources', { url })).body as { id: string }).id

  it('is found again by words of its title or address', async () => {
    for (const path of ['/feeds/culture.json', '/feeds/news.xml']) await add(system.standins('skerrow-post', path))
    const known = async (q: string) =>
      ((await ada.get(`/api/sources?q=${encodeURIComponent(q)}`)).body as { rows: { title: string }[] }).rows.map(
        (row) => row.title,
      )
    expect(await known('CULT')).toEqual(['Skerrow Post: Culture'])
    expect(await known('feeds/culture')).toEqual(['Skerrow Post: Culture'])
    expect(await known('%')).toEqual([])
  })
  it('is added once, with its items', async () => {
    const url = system.standins('skerrow-post', '/feeds/culture.json')
    const [a, b] = [await add(url), await add(url)]
    expect(a).toBe(b)
    const items = await itemsOf(a)
    expect(items).toHaveLength(7)
    expect(items[0]).toMatchObject({
      title: 'Observatory keeps its dome open for the meteor shower',
      author: 'Ada Fenwick',
      picture: { url: system.standins('skerrow-post', '/pictures/night-of-the-dome.jpg') },
    })
  })

  it('is one source also when two people add it at once', async () => {
    const url = troubled('/bare.xml')
    const [a, b] = await Promise.all([add(url), add(url)])
    expect(a).toBe(b)
    const items = await itemsOf(a)
    expect(items.map((i) => i.title).sort()).toEqual(['No guid', 'No link'])
  })

  it('is stored whatever characters its feed carries', async () => {
    const id = await add(troubled('/odd-letters.json'))
    expect((await ada.get(`/api/sources/${id}`)).body).toMatchObject({ title: 'Odd letters' })
    expect(await itemsOf(id)).toMatchObject([{ title: 'Half a pair \ufffd', text: 'Nothingness', labels: ['\ufffd'] }])
  })

  it('asks only for what is new', async () => {
    const source = (await Source.findByPk(await add(system.standins('skerrow-post', '/feeds/harbour.atom'))))!
    expect(source.etag).toMatch(/^"/)
    expect(await connectors.feed!.read(system.context, source)).toEqual({ kind: 'unchanged' })
    const before = await ItemRow.max('seenAt', { where: { sourceId: source.id } })
    await refreshSource(system.context, source.id)
    await source.reload()
    expect(source.failures).toBe(0)
    expect(source.okAt!.getTime()).toBeGreaterThan(new Date(before as unknown as string).getTime())
    expect(await ItemRow.max('seenAt', { where: { sourceId: source.id } })).toEqual(before) // nothing was stored again
  })

  it('keeps its last good copy when it fails, says why, and backs off', async () => {
    const source = (await Source.findByPk(await add(troubled(`/fails-later.xml?${Date.now()}`))))!
    expect(await ItemRow.count({ where: { sourceId: source.id } })).toBe(1)
    await refreshSource(system.context, source.id)
    await refreshSource(system.context, source.id)
    await source.reload()
    expect(source).toMatchObject({
      failures: 2,
      problem: { code: 'status-503', message: 'The address answers with error 503.' },
    })
    expect(await ItemRow.count({ where: { sourceId: source.id } })).toBe(1)
    const wait = (source.nextFetchAt.getTime() - source.fetchedAt!.getTime()) / 60_000
    expect(wait).toBeCloseTo(120, 0) // 30 minutes, doubled twice
  })

  it('keeps its last good copy when the feed is suddenly empty, or a page', async () => {
    const source = (await Source.findByPk(await add(system.standins('skerrow-post', '/feeds/news.xml'))))!
    for (const [path, code] of [
      ['/no-items.xml', 'feed-no-items'],
      ['/page-as-feed.xml', 'feed-is-html'],
      ['/empty.xml', 'feed-empty'],
    ]) {
      await source.update({ url: troubled(path!) })
      await refreshSource(system.context, source.id)
      expect((await source.reload()).problem?.code).toBe(code)
      expect(await ItemRow.count({ where: { sourceId: source.id } })).toBe(8)
    }
  })

  it('is not put back by a reading that began before and took longer', async () => {
    const source = (await Source.findByPk(await add(system.standins('skerrow-post', '/feeds/news.xml?slow'))))!
    const older = await connectors.feed!.read(system.context, { url: troubled('/bare.xml') })
    const newer = await connectors.feed!.read(system.context, {
      url: system.standins('skerrow-post', '/feeds/news.xml?slow'),
    })
    let release: () => void = () => {}
    const isReleased = new Promise<void>((resolve) => (release = resolve))
    const read = vi.spyOn(connectors.feed!, 'read')
    read.mockImplementationOnce(async () => (await isReleased, older))
    const slow = refreshSource(system.context, source.id)
    await vi.waitFor(() => expect(read).toHaveBeenCalledTimes(1))
    await new Promise((later) => setTimeout(later, 5)) // by the clock, too
    read.mockImplementationOnce(async () => newer)
    await refreshSource(system.context, source.id)
    release()
    await slow
    read.mockRestore()
    expect((await source.reload()).contentHash).toBe(newer.kind === 'read' && newer.hash)
    expect(await ItemRow.count({ where: { sourceId: source.id } })).toBe(8)
  })

  it('is well again after the next good answer', async () => {
    const source = (await Source.findByPk(await add(system.standins('skerrow-post', '/feeds/harbour.atom'))))!
    await source.update({ url: troubled('/empty.xml?again') })
    await refreshSource(system.context, source.id)
    expect((await source.reload()).failures).toBe(1)
    await source.update({
      url: system.standins('skerrow-post', '/feeds/news.xml?again'),
      etag: null,
      lastModified: null,
    })
    await refreshSource(system.context, source.id)
    expect(await source.reload()).toMatchObject({ failures: 0, problem: null })
  })

  it('is read in its own encoding, with links of its own', async () => {
    const id = await add(troubled('/latin.xml'))
    const items = await itemsOf(id)
    expect(items).toMatchObject([{ title: 'Smørrebrød', link: troubled('/a') }])
  })

  it('has an interval within bounds', async () => {
    const id = await add(troubled('/latin.xml'))
    expect(await ada.patch(`/api/sources/${id}`, { intervalMinutes: 60 })).toMatchObject({
      status: 200,
      body: { intervalMinutes: 60 },
    })
    expect(await ada.patch(`/api/sources/${id}`, { intervalMinutes: 1 })).toMatchObject({
      status: 400,
      body: { error: { issues: [{ field: 'intervalMinutes', message: 'must be a whole number from 5 to 10080' }] } },
    })
  })

  it('is queued when it is due and a widget reads it, once', async () => {
    const [due, notDue, unused] = await Promise.all(
      [
        troubled('/latin.xml'),
        system.standins('skerrow-post', '/feeds/harbour.atom'),
        system.standins('skerrow-post', '/feeds/culture.json'),
      ].map(async (url) => (await Source.findByPk(await add(url)))!),
    )
    await Source.update({ nextFetchAt: new Date(Date.now() + 3_600_000) }, { where: {} })
    await publishedWidget(ada, 'Reads what is due', due!.id)
    await publishedWidget(ada, 'Reads what is not', notDue!.id)
    for (const source of [due!, unused!]) await source.update({ nextFetchAt: new Date(Date.now() - 1000) })
    await queueDue(system.context)
    await queueDue(system.context)
    const [rows] = await system.context.db.query(`SELECT data FROM queue.job WHERE name = 'source-refresh'`)
    expect(rows).toEqual([{ data: { sourceId: due!.id, share: new URL(due!.url).host } }])
  })
})

describe('back-off', () => {
  it.each([
    [30, 0, 30],
    [30, 1, 60],
    [30, 3, 240],
    [30, 20, 1440],
    [10080, 5, 10080],
  ])('%i min after %i failures: %i min', (interval, failures, minutes) =>
    expect(sourceRetries(interval).pause(failures)).toBe(minutes),
  )
})
