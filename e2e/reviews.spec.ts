import { publishRelease } from './pages/publish'
import { violations } from './pages/axe'
import { Desk } from './pages/desk'
import { siteId } from './pages/finds'
import { api, expect, siteAddress, test } from './pages/signed-in'
import { visitorsComeToSee } from './pages/visitor'

// Reviews and the badge, in a real browser: from the address of a page that marks them up to a client's own page.

const place = (id: string) => siteAddress('skerrow-guide', `/places/${id}`)

test('from the address of a place’s page to reviews on a client’s page', async ({ signedIn: page, browser }) => {
  await page.goto('/widgets?new=1')
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('radio', { name: 'Three voices' }).check()
  await sheet.getByLabel('Name', { exact: true }).fill('Said of the ferries')
  await sheet.getByRole('button', { name: 'Open it in the workbench' }).click()
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await expect(stage.getByText('Ada F.')).toBeVisible() // the starter's own, until there are real ones

  await page.locator('[data-setting=sources]').click()
  const sources = page.getByRole('dialog')
  await sources.getByLabel('An address, a map’s code, an id, or a name to look for').fill(siteAddress('skerrow-post'))
  await sources.getByRole('button', { name: 'Look there' }).click()
  await expect(sources.getByRole('alert')).toContainText('No reviews are marked up on this page.')
  await sources.getByLabel('An address, a map’s code, an id, or a name to look for').fill(place('gullhaven-ferries'))
  await sources.getByRole('button', { name: 'Look there' }).click()
  await expect(sources.getByText(/4\.4 of 5 from 1,286, 12 items/)).toBeVisible()
  await sources.getByRole('button', { name: 'Take this: Gullhaven Ferries' }).click()
  await expect(stage.getByText('Petra L.')).toBeVisible()
  await expect(stage.getByRole('img', { name: '5 of 5 stars' }).first()).toBeVisible()
  // A feed is nothing for it: only what gives reviews is offered.
  await page.locator('[data-setting=sources]').click()
  await expect(sources.getByText('Orrin Kiln Pottery')).toBeVisible()
  await expect(sources.getByText('Skerrow Post: Harbour')).toHaveCount(0)
  await page.keyboard.press('Escape')

  // Narrowed to nothing, said before it is published; then to what mentions the crew.
  await page.locator('[data-setting=include]').click()
  const words = page.getByRole('textbox', { name: /Keywords to include/ })
  await words.fill('submarine')
  await words.press('Enter')
  await expect(page.getByText('As it stands, nothing would be shown')).toBeVisible()
  await page.getByRole('button', { name: 'Take submarine out' }).click()
  await words.fill('crew')
  await words.press('Enter')
  await page.keyboard.press('Escape')
  await expect(stage.getByText('Ilse D.')).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await publishRelease(page, 1)
  await expect(page.getByText('Release 1 is published.')).toBeVisible()

  const widget = page.url().split('/widgets/')[1]!.slice(0, 36)
  const site = await api<{ pages: { id: string; path: string }[]; placements: { id: string; region: string }[] }>(
    page,
    'GET',
    `/api/sites/${await siteId(page, 'Brackenfold')}`,
  )
  const { id } = await api<{ id: string }>(page, 'POST', '/api/installs', {
    widgetId: widget,
    pageId: site.pages.find(({ path }) => path === '/orchard')!.id,
    placementId: site.placements.find(({ region }) => region === 'main')!.id,
  })
  const { snippets } = await api<{ snippets: { inline: string } }>(page, 'GET', `/api/installs/${id}`)
  const editor = await browser.newContext()
  const desk = new Desk(await editor.newPage(), 'brackenfold')
  await desk.signIn()
  await desk.publish('/orchard', { 'main.code': snippets.inline })
  await visitorsComeToSee(browser, siteAddress('brackenfold', '/orchard'), async (visitor) => {
    const said = visitor.getByRole('region', { name: 'Said of the ferries' })
    await expect(said.getByText('Petra L.')).toBeVisible({ timeout: 5_000 })
    await expect(said.getByRole('listitem')).toHaveCount(2)
  })
  await desk.publish('/orchard', { 'main.code': '' })
  await editor.close()
})

test('the demo’s reviews and badges stand on client pages, pass axe, and fit a phone', async ({
  browser,
  signedIn,
}) => {
  expect(signedIn).toBeTruthy()
  for (const width of [1280, 390]) {
    const context = await browser.newContext({ viewport: { width, height: 800 } })
    const visitor = await context.newPage()
    await visitor.goto(siteAddress('gullhaven', '/fares'))
    const said = visitor.getByRole('region', { name: 'What passengers say' })
    await expect(said.getByRole('listitem')).toHaveCount(3)
    await visitor.goto(siteAddress('gullhaven'))
    await expect(visitor.getByRole('group', { name: 'Ferry rating' })).toContainText('1,286 reviews')
    for (const path of ['/', '/fares']) {
      await visitor.goto(siteAddress('gullhaven', path))
      await expect(visitor.locator('[data-pebblestrand-release]').first()).toBeAttached()
      expect(await violations(visitor, '[data-pebblestrand]')).toEqual([])
      const wide = await visitor.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      expect(wide).toBeLessThanOrEqual(0)
    }
    await context.close()
  }
})

test('a long text opens in its place, by keyboard and without a script', async ({ signedIn: page }) => {
  const id = (await api<{ rows: { id: string }[] }>(page, 'GET', '/api/widgets?q=Kind%20to%20animals')).rows[0]!.id
  await page.goto(`/widgets/${id}?stage=phone`)
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await page.locator('[data-setting=letters]').focus()
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowDown')
  const more = stage.locator('summary').first()
  await expect(more).toContainText('Read more')
  await more.focus()
  await page.keyboard.press('Enter')
  await expect(stage.getByText('Calm, kind, and clear about the bill.')).toBeVisible()
  for (let i = 0; i < 4; i++) await page.locator('[data-setting=letters]').press('ArrowUp')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
})
