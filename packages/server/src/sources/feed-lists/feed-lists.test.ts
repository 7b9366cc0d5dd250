import type { BroughtFeeds, ReadFeedList } from '@pebblestrand/contract'
import { readFeedList } from '@pebblestrand/core/sources/feed-list'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { Person, startTestSystem, type TestSystem } from '../../testing/system'
import { story } from '../../testing/story'
import { Source } from '../models'

let system: TestSystem
let ada: Person
let list: string
const post = (path: string) => system.standins('skerrow-post', path)
beforeAll(async () => {
  system = await startTestSystem()
  ada = await new Person(system.app).join()
  list = `<opml version="2.0"><head><title>Islands</title></head><body>
<outline text="News"><outline text="All of it" type="rss" xmlUrl="${post('/feeds/news.xml')}"/>
<outline text="By the sea / shore"><outline text="Harbour" type="rss" xmlUrl="${post('/feeds/harbour.atom')}"/></outline></outline>
<outline text="Gone" type="rss" xmlUrl="${post('/feeds/none.xml')}"/><outline text="A page" type="link" url="https://a.example/"/>
</body></opml>`
  await ada.post('/api/sources', { kind: 'feed', url: post('/feeds/news.xml') })
})
afterAll(() => system.stop())

story('a list of feeds', (step) => {
  step('a list is read with its folders, and what of it is known', async () => {
    expect((await ada.post('/api/feed-lists/read', { text: list })).body as ReadFeedList).toEqual({
      title: 'Islands',
      skipped: 1,
      feeds: [
        { url: post('/feeds/news.xml'), title: 'All of it', folder: 'News', known: true },
        { url: post('/feeds/harbour.atom'), title: 'Harbour', folder: 'News/By the sea – shore', known: false },
        { url: post('/feeds/none.xml'), title: 'Gone', folder: '', known: false },
      ],
    })
  })
  step(
    'those that are chosen are added in their folders; one that is not there is told and holds up no other',
    async () => {
      const urls = ['/feeds/news.xml', '/feeds/harbour.atom', '/feeds/none.xml'].map(post)
      const { body } = await ada.post('/api/feed-lists/bring', { text: list, urls })
      const { sources, failed } = body as BroughtFeeds
      expect(sources.map(({ title }) => title)).toEqual(['Skerrow Post: News', 'Skerrow Post: Harbour'])
      expect(failed).toEqual([{ url: urls[2], title: 'Gone', message: expect.stringContaining('404') }])
      expect((await Source.findAll({ order: [['title', 'ASC']] })).map(({ folder }) => folder)).toEqual([
        'News/By the sea – shore',
        'News',
      ])
    },
  )
  step('a folder is given and taken by hand', async () => {
    const { id } = (await Source.findOne({ where: { folder: 'News' } }))!
    const change = (folder: string) => ada.call('PATCH', `/api/sources/${id}`, { folder })
    expect((await change(' Papers / / Daily ')).body).toMatchObject({ folder: 'Papers/Daily' })
    expect((await change('')).body).toMatchObject({ folder: '' })
  })
  step('goes out as OPML and is read back, all of it or some', async () => {
    const saved = await ada.get('/api/feed-lists/feeds.opml')
    expect(saved.headers['content-disposition']).toContain('feeds.opml')
    expect(readFeedList(saved.body as string)!.feeds.map(({ title, folder }) => [title, ...folder])).toEqual([
      ['Skerrow Post: News'],
      ['Skerrow Post: Harbour', 'News', 'By the sea – shore'],
    ])
    const { id } = (await Source.findOne({ where: { folder: '' } }))!
    const some = await ada.get(`/api/feed-lists/feeds.opml?ids=${id}`)
    expect(readFeedList(some.body as string)!.feeds).toHaveLength(1)
  })
})
it.each([
  [{ text: '<rss/>' }, 422, 'text'],
  [{ text: '' }, 400, 'text'],
])('what is no list says so: %j', async (body, status, field) =>
  expect(await ada.post('/api/feed-lists/read', body)).toMatchObject({
    status,
    body: { error: { issues: [{ field }] } },
  }),
)
it('addresses within private networks are refused one by one', async () => {
  const text = '<opml version="2.0"><body><outline text="In" type="rss" xmlUrl="http://10.0.0.1/feed"/></body></opml>'
  const { body } = await ada.post('/api/feed-lists/bring', { text, urls: ['http://10.0.0.1/feed'] })
  expect(body as BroughtFeeds).toMatchObject({ sources: [], failed: [{ title: 'In' }] })
})
