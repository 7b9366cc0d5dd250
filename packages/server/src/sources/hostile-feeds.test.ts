import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { startHost, type Host } from '../testing/faults/host'
import { publishedWidget } from '../testing/scene'
import { Person, startTestSystem, type TestSystem } from '../testing/system'
import { ItemRow, Source } from './models'
import { queueDue, refreshSource } from './refresh'

let system: TestSystem
let ada: Person
let host: Host
let feed = ''
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  host = await startHost(
    'harbour',
    (_request, response) => void response.writeHead(200, { 'content-type': 'application/feed+json' }).end(feed),
  )
})
afterAll(async () => {
  await host.stop()
  await system.stop()
})

interface JsonItem {
  id: string
  title?: string
  content_text?: string
  url?: string
  authors?: { name: string }[]
}
const feedOf = (items: JsonItem[]) =>
  JSON.stringify({ version: 'https://jsonfeed.org/version/1.1', title: 'Harbour', items })
let count = 0
const add = async (items: JsonItem[]) => {
  feed = feedOf(items)
  const answer = await ada.post('/api/sources', { url: host.at(`/feed-${++count}.json`) })
  expect(answer.status).toBe(200)
  return (await Source.findByPk((answer.body as { id: string }).id))!
}
const stored = (source: Source) => ItemRow.findAll({ where: { sourceId: source.id }, order: [['position', 'ASC']] })

describe('a feed that was made to do harm, or by mistake', () => {
  it('may have ids longer than an index takes: they are kept apart all the same', async () => {
    const source = await add([
      { id: 'x'.repeat(3000) + '1', title: 'One' },
      { id: 'x'.repeat(3000) + '2', title: 'Two' },
    ])
    const [one, two] = await stored(source)
    expect(one!.key).toMatch(/^hash:[0-9a-f]{64}$/)
    expect(two!.key).not.toBe(one!.key)
    await refreshSource(system.context, source.id)
    expect((await source.reload()).problem).toBeNull()
    expect(await stored(source)).toHaveLength(2)
  })

  it('may hold halves of letters, in any place', async () => {
    feed = feedOf([{ id: 'a\ud800b', title: '\udc00', content_text: 'c\ud83d' }]).replace('Harbour', 'Harbour \\ud800')
    const { status, body } = await ada.post('/api/sources', { url: host.at('/halves.json') })
    expect([status, (body as { title: string }).title]).toEqual([200, 'Harbour \ufffd'])
  })

  it('may have texts without end: they are cut, and its health says so', async () => {
    const source = await add([
      {
        id: '1',
        title: 'A title '.repeat(600_000),
        content_text: 'Words '.repeat(30_000),
        url: `https://a.example/${'a'.repeat(3000)}`,
        authors: [{ name: 'N'.repeat(250) }],
      },
    ])
    const [row] = await stored(source)
    expect(row!.body.title).toHaveLength(300)
    expect(row!.body.title).toMatch(/…$/)
    expect(row!.body.text.length).toBeLessThanOrEqual(100_000)
    expect([row!.link, row!.author!.length]).toEqual([null, 200])
    expect(((await ada.get(`/api/sources/${source.id}`)).body as { notes: string[] }).notes).toEqual([
      '1 title longer than 300 characters is cut.',
      '1 author’s name longer than 200 characters is cut.',
      '1 address longer than 2,000 characters is left out.',
      '1 text longer than 100,000 characters is cut.',
    ])
    feed = feedOf([{ id: '1', title: 'Short' }])
    await refreshSource(system.context, source.id)
    expect(((await ada.get(`/api/sources/${source.id}`)).body as { notes: string[] }).notes).toEqual([])
  })

  it('that cannot be kept, for whatever reason, is a failure like any other: said, and tried later', async () => {
    const source = await add([{ id: '1', title: 'One' }])
    await publishedWidget(ada, 'Harbour news', source.id)
    feed = feedOf([{ id: '2', title: 'Two' }])
    const storing = vi.spyOn(ItemRow, 'bulkCreate').mockRejectedValue(new Error('index row size exceeds maximum'))
    await refreshSource(system.context, source.id)
    await source.reload()
    expect(source).toMatchObject({ failures: 1, problem: { code: 'broken' } })
    expect(source.nextFetchAt.getTime()).toBeGreaterThan(Date.now() + 30 * 60_000)
    storing.mockRestore()
    const today = (await ada.get('/api/today')).body as { ailing: { id: string; problem: { remedy: string } }[] }
    expect(today.ailing.find((one) => one.id === source.id)?.problem.remedy).toContain('last good copy stays up')
    await queueDue(system.context)
    expect(await waiting(source.id)).toBe(0) // not every minute anew
  })
})

const waiting = async (sourceId: string) =>
  (
    await system.context.db.query(
      `SELECT 1 FROM queue.job WHERE name = 'source-refresh' AND state = 'created' AND data->>'sourceId' = :sourceId`,
      { replacements: { sourceId } },
    )
  )[0].length
