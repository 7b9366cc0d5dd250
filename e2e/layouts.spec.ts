import { inEveryLayout, isRow } from './pages/every-layout'
import { api, siteAddress, test } from './pages/signed-in'

// Headlines and reviews share the layouts of the walls: on a live page in each of them, and nothing moves while it loads.

const place = { site: 'Brackenfold', host: 'brackenfold', path: '/club' }
const source = async (page: Parameters<typeof api>[0], kind: string, url: string) =>
  (await api<{ id: string }>(page, 'POST', '/api/sources', { kind, url })).id

test('headlines in every layout on a live page', async ({ signedIn: page, browser }) => {
  const own = {
    sources: [await source(page, 'feed', siteAddress('skerrow-post', '/feeds/news.xml'))],
    count: 6,
    columns: 3,
    picture: 'top',
    excerpt: 120,
    author: true,
  }
  const { away } = await inEveryLayout(page, browser, place, {
    kind: 'headlines',
    starter: 'list-with-pictures',
    name: 'News in all ways',
    layouts: ['list', 'grid', 'large-first', 'carousel'],
    settings: (layout) => ({ ...own, picture: layout === 'list' ? 'left' : 'top' }),
    shown: () => 6,
  })
  await away()
})

test('reviews in every layout on a live page', async ({ signedIn: page, browser }) => {
  const own = {
    sources: [await source(page, 'review-service', siteAddress('harbour-voices', '/map?place=hv9b1x7s5pd3gn'))],
    count: 6,
    columns: 3,
    onlyWithText: true,
    letters: 160,
    summary: true,
  }
  const { away } = await inEveryLayout(page, browser, place, {
    kind: 'reviews',
    starter: 'three-voices',
    name: 'Said in all ways',
    layouts: ['list', 'grid', 'large-first', 'carousel', 'one'],
    settings: (layout) => ({ ...own, letters: isRow(layout) ? 100 : 160 }),
    shown: () => 6,
  })
  await away()
})
