import { readFileSync } from 'node:fs'
import { readBookmarks } from '@pebblestrand/core/sources/bookmark-file'
import { readFeedList } from '@pebblestrand/core/sources/feed-list'
import type { Page } from '@playwright/test'
import { violations } from './pages/axe'
import { cells, inEveryLayout } from './pages/every-layout'
import { widgetId as widgetCalled } from './pages/finds'
import { begin, publish, stand } from './pages/live-widget'
import { api, expect, siteAddress, test } from './pages/signed-in'
import { visitorsComeToSee } from './pages/visitor'

// Picks: collected by address, by a bookmark in the browser, from a file and by typing; set in order; shown on a client's page.

const post = (path: string) => siteAddress('skerrow-post', path)
const begun = (page: Page, title: string) => api<{ id: string }>(page, 'POST', '/api/sources/picks', { title })
const pick = (page: Page, id: string, body: object) => api(page, 'PUT', `/api/sources/${id}/picks`, body)
const titles = (page: Page) => page.getByRole('main').locator('ol > li b')

test('a collection from nothing to a client’s page, which follows without anyone publishing again', async ({
  signedIn: page,
  browser,
}) => {
  await page.goto('/sources')
  await page.getByRole('button', { name: 'Begin a collection of picks' }).click()
  await page.getByLabel('What it is called').fill('Worth the ferry')
  await page.getByRole('button', { name: 'Begin it' }).click()
  await expect(page.getByText('Nothing is picked yet.')).toBeVisible()
  const id = page.url().split('/sources/')[1]!.slice(0, 36)
  expect(await violations(page)).toEqual([])

  // By address: what the page says is filled in, and can be written over.
  await page.getByLabel(/^Address of what you pick/).fill(post('/harbour/second-ramp'))
  await page.getByRole('button', { name: 'Read and add' }).click()
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByLabel('Title')).toHaveValue('Second ramp opens at Gullhaven pier')
  await expect(sheet.getByLabel('Site')).toHaveValue('Skerrow Post')
  await expect(sheet.getByRole('radio', { name: 'Picture 1' })).toBeChecked()
  expect(await violations(page, '[role=dialog]')).toEqual([])
  await sheet.getByLabel('Note').fill('Nine minutes saved.')
  await sheet.getByLabel('Labels').fill('news, harbour')
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(titles(page)).toHaveText(['Second ramp opens at Gullhaven pier'])

  // One that cannot be read is said, and can be typed all the same.
  await page.getByLabel(/^Address of what you pick/).fill(post('/nowhere'))
  await page.getByRole('button', { name: 'Read and add' }).click()
  await expect(sheet.getByRole('alert')).toContainText('error 404')
  await sheet.getByLabel('Title').fill('Typed by hand')
  await sheet.getByLabel('Choose from this computer').setInputFiles({
    name: 'no-picture.png',
    mimeType: 'image/png',
    buffer: Buffer.from('This is no picture.'),
  })
  await expect(sheet.getByText('This picture cannot be used.')).toBeVisible()
  await sheet
    .getByLabel('Choose from this computer')
    .setInputFiles({ name: 'own.png', mimeType: 'image/png', buffer: ONE_COLOUR })
  await expect(sheet.getByRole('radio', { name: 'Picture 1' })).toBeVisible()
  await sheet.getByRole('radio', { name: 'Picture 1' }).check({ force: true })
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(titles(page)).toHaveText(['Typed by hand', 'Second ramp opens at Gullhaven pier'])
  await pick(page, id, { title: 'Third', labels: ['harbour'] })
  await page.reload()

  const widgetId = await begin(page, 'picks', 'covers', 'Worth the ferry: picks')
  await publish(page, widgetId, { sources: [id], labelled: ['harbour'] })
  const place = { site: 'Brackenfold', host: 'brackenfold', path: '/club' }
  const { at, away } = await stand(page, browser, place, [{ widgetId, region: 'main' }])
  const shown = async (expected: string[]) =>
    visitorsComeToSee(browser, at, async (visitor) => {
      const headings = cells(visitor, 'Worth the ferry: picks').getByRole('heading')
      await expect(headings).toHaveText(expected, { timeout: 5_000 })
    })
  await shown(['Third', 'Second ramp opens at Gullhaven pier'])

  // By keyboard: the arrow keys move what has the focus, and it keeps it.
  const handle = page.getByRole('button', { name: 'Move: Third' })
  await handle.focus()
  await page.keyboard.press('End')
  await expect(titles(page)).toHaveText(['Typed by hand', 'Second ramp opens at Gullhaven pier', 'Third'])
  await expect(handle).toBeFocused()
  await expect(page.getByText('Third is at 3 of 3.')).toBeAttached()
  await shown(['Second ramp opens at Gullhaven pier', 'Third'])
  await page.getByRole('button', { name: 'Move up: Third' }).click()
  await expect(titles(page)).toHaveText(['Typed by hand', 'Third', 'Second ramp opens at Gullhaven pier'])

  // By dragging.
  const stored = page.waitForResponse((answer) => answer.url().endsWith('/picks/move'))
  await page
    .getByRole('button', { name: 'Move: Second ramp opens at Gullhaven pier' })
    .dragTo(page.getByRole('listitem').filter({ hasText: 'Typed by hand' }), { targetPosition: { x: 200, y: 6 } })
  expect((await stored).ok()).toBe(true)
  await expect(titles(page)).toHaveText(['Second ramp opens at Gullhaven pier', 'Typed by hand', 'Third'])
  await page.reload()
  await expect(titles(page)).toHaveText(['Second ramp opens at Gullhaven pier', 'Typed by hand', 'Third'])

  await page.getByRole('button', { name: 'Take out: Third' }).click()
  await expect(titles(page)).toHaveCount(2)
  await shown(['Second ramp opens at Gullhaven pier'])
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(titles(page)).toHaveText(['Second ramp opens at Gullhaven pier', 'Typed by hand', 'Third'])
  expect(await violations(page)).toEqual([])
  await page.setViewportSize({ width: 390, height: 800 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0)
  await away()
})

test('a page is picked while one reads it, by a bookmark and one press', async ({ signedIn: page }) => {
  const { id } = await begun(page, 'While reading')
  await page.goto(`/sources/${id}`)
  const href = (await page.getByRole('link', { name: 'Pick this page' }).getAttribute('href'))!
  const reader = await page.context().newPage()
  await reader.goto(post('/culture/knot-lecture'))
  await reader.evaluate(() => {
    const range = document.createRange()
    range.selectNodeContents(document.querySelector('h1')!)
    getSelection()!.addRange(range)
  })
  const [window] = await Promise.all([
    page.context().waitForEvent('page'),
    reader.evaluate((address) => void (location.href = address), href),
  ])
  await expect(window.getByRole('heading', { name: 'Pick this page' })).toBeVisible()
  await expect(window.getByLabel('Title')).toHaveValue('The knot that nobody can untie')
  await expect(window.getByLabel('Note')).toHaveValue('The knot that nobody can untie') // what was chosen on the page
  await window.getByLabel('Collection').selectOption('While reading')
  expect(await violations(window)).toEqual([])
  await window.getByRole('button', { name: 'Keep it' }).click()
  await expect(window.getByRole('heading', { name: 'Kept in While reading' })).toBeVisible()
  await page.reload()
  await expect(titles(page)).toHaveText(['The knot that nobody can untie'])
  // The next time it is the first choice, and its one button has the focus.
  const [again] = await Promise.all([
    page.context().waitForEvent('page'),
    reader.evaluate((address) => void (location.href = address), href),
  ])
  await expect(again.getByLabel('Collection')).toHaveValue(id)
  await expect(again.getByRole('button', { name: 'Keep it' })).toBeFocused()
  // Signed out, the way to it leads through the sign-in and back with all that was gathered.
  await page.context().clearCookies()
  await again.reload()
  await expect(again).toHaveURL(/\/sign-in\?then=.*pick/)
  expect(decodeURIComponent(again.url())).toContain('#link=')
  await Promise.all([reader.close(), window.close(), again.close()])
})

test('bookmarks are brought in by folders, and saved', async ({ signedIn: page }) => {
  const { id } = await begun(page, 'From the browser')
  await page.goto(`/sources/${id}`)
  await page.getByRole('button', { name: 'Bring in bookmarks' }).click()
  const sheet = page.getByRole('dialog')
  const file = (text: string) => ({ name: 'bookmarks.html', mimeType: 'text/html', buffer: Buffer.from(text) })
  await sheet.getByLabel(/^A bookmark file/).setInputFiles(file('<p>Nothing of that sort</p>'))
  await expect(sheet.getByRole('alert')).toContainText('is no bookmark file')
  await sheet.getByLabel(/^A bookmark file/).setInputFiles(
    file(`<!DOCTYPE NETSCAPE-Bookmark-file-1><DL><p><DT><A HREF="https://a.example/">A pier</A>
<DT><H3>Knots</H3><DL><p><DT><A HREF="https://b.example/">B bend</A><DT><A HREF="https://c.example/">C hitch</A></DL><p></DL><p>`),
  )
  await expect(sheet.getByRole('status')).toContainText('3 bookmarks in the file: 3 new.')
  await sheet.getByRole('checkbox', { name: 'in no folder' }).uncheck()
  await expect(sheet.getByRole('status')).toContainText('2 new')
  expect(await violations(page, '[role=dialog]')).toEqual([])
  await sheet.getByRole('button', { name: 'Keep 2 picks' }).click()
  await expect(titles(page)).toHaveText(['B bend', 'C hitch'])
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as bookmarks' }).click(),
  ])
  const { bookmarks } = readBookmarks(readFileSync((await saved.path())!, 'utf8'))!
  expect(bookmarks.map(({ title, labels }) => [title, ...labels])).toEqual([
    ['B bend', 'Knots'],
    ['C hitch', 'Knots'],
  ])
})

test('picks in every layout on a live page', async ({ signedIn: page, browser }) => {
  const { rows } = await api<{ rows: { id: string }[] }>(page, 'GET', '/api/sources?q=shelf')
  const own = { sources: [rows[0]!.id], count: 9 }
  const place = { site: 'Brackenfold', host: 'brackenfold', path: '/club' }
  const words: Record<string, string> = { 'large-first': 'card', list: 'beside', one: 'none' }
  const standing = await inEveryLayout(page, browser, place, {
    kind: 'picks',
    starter: 'covers',
    name: 'All sorts of picks',
    layouts: ['grid', 'masonry', 'large-first', 'list', 'carousel', 'one'],
    settings: (layout) => ({
      ...own,
      words: words[layout] ?? 'beneath',
      ratio: layout === 'masonry' ? 'own' : 'landscape',
    }),
    shown: () => 9,
  })
  // A card comes with the focus, and the whole cover leads where its title does.
  await publish(page, standing.widgets.grid!, { words: 'card' })
  await visitorsComeToSee(browser, standing.at, async (visitor) => {
    const linked = cells(visitor, standing.nameOf('grid'))
      .filter({ has: visitor.getByRole('link') })
      .first()
    const card = linked.locator('.b')
    await expect(card).toHaveCSS('opacity', '0', { timeout: 5_000 })
    await linked.getByRole('link').focus()
    await expect(card).toHaveCSS('opacity', '1')
    // The card is painted over the cover, not under it.
    const painted = await card.evaluate((one) => {
      const { x, y, width, height } = one.getBoundingClientRect()
      const root = one.getRootNode() as ShadowRoot
      return root.elementsFromPoint(x + width / 2, y + height - 6).map((element) => element.className)
    })
    expect(painted.findIndex((name) => /^b\b/.test(name))).toBeLessThan(painted.indexOf('g'))
    const hit = await linked.evaluate((cell) => {
      cell.scrollIntoView()
      const { x, y, width, height } = cell.getBoundingClientRect()
      const root = cell.getRootNode() as ShadowRoot
      return (
        root
          .elementFromPoint(x + width / 2, y + height / 3)
          ?.closest('a')
          ?.getAttribute('href') ?? null
      )
    })
    expect(hit).toBe(await linked.getByRole('link').getAttribute('href'))
  })
  await standing.away()
})

test('a list of feeds is brought into a widget, each with its own most, and saved with its folders', async ({
  signedIn: page,
}) => {
  await page.goto(`/widgets/${await widgetCalled(page, 'Almanac notes')}`)
  await page.locator('[data-setting=sources]').click()
  await page.getByRole('button', { name: 'Bring in a list of feeds' }).click()
  const sheet = page.getByRole('dialog', { name: 'Bring in a list of feeds' })
  const list = `<opml version="2.0"><head><title>x</title></head><body>
<outline text="Isle papers"><outline text="News" type="rss" xmlUrl="${post('/feeds/news.xml')}"/><outline text="Sea" type="rss" xmlUrl="${post('/feeds/harbour.json')}"/></outline>
<outline text="Gone" type="rss" xmlUrl="${post('/feeds/gone.xml')}"/></body></opml>`
  await sheet
    .getByLabel(/^A list of feeds/)
    .setInputFiles({ name: 'feeds.opml', mimeType: 'text/x-opml', buffer: Buffer.from(list) })
  await expect(sheet.getByRole('checkbox', { name: 'Isle papers' })).toBeChecked()
  expect(await violations(page, '[role=dialog]')).toEqual([])
  await sheet.getByRole('button', { name: 'Add 3 feeds' }).click()
  await expect(sheet.getByRole('status')).toContainText('2 feeds added. 1 feed not')
  await expect(sheet.getByRole('status')).toContainText('error 404')
  await sheet.getByRole('button', { name: 'Close', exact: true }).last().click()
  const panel = page.getByRole('dialog', { name: 'Where the headlines come from' })
  await expect(panel.getByRole('link', { name: 'Skerrow Post: News' })).toBeVisible()
  await page.keyboard.press('Escape')

  await page.locator('[data-setting=mosts]').click()
  await page.getByRole('spinbutton', { name: 'Skerrow Post: News' }).fill('1')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-setting=mosts]')).toContainText('at most 1 from Skerrow Post: News')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.goto('/sources')
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save the feeds as a list' }).click(),
  ])
  const { feeds } = readFeedList(readFileSync((await saved.path())!, 'utf8'))!
  expect(feeds.find(({ url }) => url === post('/feeds/harbour.json'))!.folder).toEqual(['Isle papers'])
  expect(feeds.find(({ url }) => url === post('/feeds/news.xml'))!.folder).toEqual(['Papers']) // it had one
})

/** A PNG of 64 by 64 px (PNG specification; written by sharp). */
const ONE_COLOUR = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAEAAAABACAIAAAAlC+aJAAAACXBIWXMAAAPoAAAD6AG1e1JrAAAAT0lEQVRo3u3PQQkAAAgEsMtiOMOZ0gi+hcEKLDX9WgQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQELgv6ZiEedxARQAAAAABJRU5ErkJggg==',
  'base64',
)
