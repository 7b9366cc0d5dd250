import type { Browser, Page, Response } from '@playwright/test'
import { publishRelease } from './pages/publish'
import { Desk } from './pages/desk'
import { withServedPage } from './pages/served-page'
import { api, expect, siteAddress, test } from './pages/signed-in'

// A second kind, in a real browser: made from its starter in the interface, placed, and counting who comes.

const BROWSER = 'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/140.0.0.0 Safari/537.36'

const isTold = (answer: Response) => /\/b1\/count\//.test(answer.url()) && answer.request().method() === 'POST'

async function visit(browser: Browser, url: string, userAgent: string) {
  const context = await browser.newContext({ userAgent })
  const page = await context.newPage()
  const told = page.waitForResponse(isTold)
  await page.goto(url)
  expect((await told).status()).toBe(204)
  expect(await context.cookies()).toEqual([])
  return { page, close: () => context.close() }
}

async function makeCounter(page: Page, name: string): Promise<string> {
  await page.goto('/widgets?new=1')
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('radio', { name: 'Line in the footer' }).check()
  await sheet.getByLabel('Name', { exact: true }).fill(name)
  await sheet.getByRole('button', { name: 'Open it in the workbench' }).click()
  await expect(page).toHaveURL(/\/widgets\/[0-9a-f-]{36}/)
  return page.url().split('/widgets/')[1]!.slice(0, 36)
}

test('a visit counter: from its starter to numbers that grow', async ({ signedIn: page, browser }) => {
  const widgetId = await makeCounter(page, 'Cider club visits')
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await expect(stage.getByText('Today 38')).toBeVisible()
  await expect(page.getByText('example', { exact: true })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Sieve' })).toHaveCount(0) // it has no items to sieve
  await page.getByRole('button', { name: 'This year: off' }).click()
  await page.getByRole('radio', { name: 'shown' }).check()
  await expect(stage.getByText('This year')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Names of the numbers: “Today”' }).click()
  await page.getByLabel('Names of the numbers: In all').fill('Since the first press')
  await expect(stage.getByText('Since the first press')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await publishRelease(page, 1)
  await expect(page.getByText('Release 1 is published.')).toBeVisible()

  const { rows } = await api<{ rows: { id: string; name: string }[] }>(page, 'GET', '/api/sites?q=Brackenfold')
  const site = await api<{
    pages: { id: string; path: string }[]
    placements: { id: string; region: string }[]
  }>(page, 'GET', `/api/sites/${rows[0]!.id}`)
  const { id } = await api<{ id: string }>(page, 'POST', '/api/installs', {
    widgetId,
    pageId: site.pages.find((one) => one.path === '/club')!.id,
    placementId: site.placements.find((one) => one.region === 'main')!.id,
  })
  const { snippets } = await api<{ snippets: { inline: string; frame: string } }>(page, 'GET', `/api/installs/${id}`)
  const editor = await browser.newContext()
  const desk = new Desk(await editor.newPage(), 'brackenfold')
  await desk.signIn()
  await desk.publish('/club', { 'main.code': snippets.inline })

  const url = siteAddress('brackenfold', '/club')
  const first = await visit(browser, url, BROWSER)
  await expect(first.page.getByRole('main').getByText('Since the first press')).toBeVisible()
  await first.close()
  const robot = await visit(browser, url, 'Mozilla/5.0 (compatible; SomeCrawler/1.0; +https://crawler.example/bot)')
  await robot.close()
  const second = await visit(browser, url, `${BROWSER} Second/1`)
  // Written in a batch, rendered by the worker, heard by the web process: a few seconds.
  await expect(async () => {
    const path = `/p2/${/data-pebblestrand="([^"]+)"/.exec(snippets.inline)![1]}.json`
    const answer = await api<{ html: string }>(page, 'GET', `${path}?past-the-browsers-cache=${Date.now()}`)
    expect(answer.html).toMatch(/Today <b>2<\/b>/)
  }).toPass()
  await second.close()
  await desk.publish('/club', {})
  await editor.close()
})

test('a counter in a frame counts as well', async ({ signedIn: page, browser }) => {
  const widgetId = await makeCounter(page, 'Framed visits')
  await publishRelease(page, 1)
  await expect(page.getByText('Release 1 is published.')).toBeVisible()
  const { rows } = await api<{ rows: { id: string }[] }>(page, 'GET', '/api/sites?q=Observatory')
  const site = await api<{ pages: { id: string; path: string }[]; placements: { id: string; region: string }[] }>(
    page,
    'GET',
    `/api/sites/${rows[0]!.id}`,
  )
  const { id } = await api<{ id: string }>(page, 'POST', '/api/installs', {
    widgetId,
    pageId: site.pages.find((one) => one.path === '/talks')!.id,
    placementId: site.placements.find((one) => one.region === 'sidebar')!.id,
    method: 'frame',
  })
  const { snippets } = await api<{ snippets: { frame: string } }>(page, 'GET', `/api/installs/${id}`)
  const context = await browser.newContext({ userAgent: `${BROWSER} Framed/1` })
  const visitor = await context.newPage()
  const html = `<!doctype html><title>Framed</title><main>${snippets.frame}</main>`
  await withServedPage({ host: 'framed', html }, async (url) => {
    const told = visitor.waitForResponse(isTold)
    await visitor.goto(url)
    expect((await told).status()).toBe(204)
    await expect(visitor.frameLocator('iframe').getByText('Today')).toBeVisible()
  })
  expect(await context.cookies()).toEqual([])
  await context.close()
})
