import { publishRelease } from './pages/publish'
import { Desk } from './pages/desk'
import { expect, signIn, siteAddress, test } from './pages/signed-in'
import { visitorsComeToSee } from './pages/visitor'

// The story of the first slice, from a page's address to a confirmed install, and what goes wrong on the way.

test('from a feed to a confirmed install', async ({ page, browser }) => {
  await test.step('sign in with the printed account', () => signIn(page))

  await test.step('Today shows the shoreline and things to do', async () => {
    await expect(
      page.getByRole('region', { name: 'Shoreline' }).getByRole('link', { name: /Gullhaven Ferries/ }),
    ).toBeVisible()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(/\d+ things need a hand/)
    await expect(page.getByRole('heading', { name: 'Clear a cache' })).toBeVisible()
  })

  await test.step('make a widget of kind headlines', async () => {
    await page.getByRole('link', { name: 'Widgets', exact: true }).click()
    await page.getByRole('button', { name: 'Make a widget' }).click()
    await page.getByText('Sidebar list').click()
    await page.getByLabel('Name', { exact: true }).fill('Pier notes')
    await page.getByRole('button', { name: 'Open it in the workbench' }).click()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Pier notes')
  })

  await test.step("paste a web page's address, see its feeds with their newest items, take one", async () => {
    await page.getByRole('button', { name: 'Find a source' }).click()
    await page.getByLabel('Address of a page or a feed').fill(siteAddress('skerrow-post'))
    await page.getByRole('button', { name: 'Look there' }).click()
    const found = page.getByRole('dialog')
    for (const title of ['Skerrow Post: News', 'Skerrow Post: Harbour', 'Skerrow Post: Culture'])
      await expect(found.getByRole('heading', { name: title })).toBeVisible()
    await expect(found.getByText('Second ramp opens at Gullhaven pier')).toBeVisible()
    await found.getByRole('button', { name: 'Take this: Skerrow Post: Harbour' }).click()
  })

  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await test.step('edit the brief, watch the stage and the sieve', async () => {
    await expect(stage.getByRole('link', { name: 'Second ramp opens at Gullhaven pier' })).toBeVisible()
    const count = page.getByRole('spinbutton', { name: /How many/ })
    await count.focus()
    await expect(count).toHaveAttribute('aria-valuenow', '4')
    await page.keyboard.press('ArrowDown')
    await expect(count).toHaveAttribute('aria-valuenow', '3')
    await expect(stage.getByRole('listitem')).toHaveCount(3)
    await page.getByRole('button', { name: /Keywords to exclude/ }).click()
    await page.getByLabel('Keywords to exclude: add a word').fill('wildlife')
    await page.getByRole('button', { name: 'Add', exact: true }).click()
    await page.keyboard.press('Escape')
    const sieve = page.getByRole('region', { name: 'Sieve' })
    await expect(sieve.getByRole('listitem').nth(0)).toHaveText(/8\s*all/)
    await expect(sieve.getByRole('listitem').nth(2)).toHaveText(/7\s*without wildlife/)
    await sieve.getByRole('button', { name: /without wildlife/ }).click()
    await expect(sieve.getByRole('region', { name: 'Taken out by: without wildlife' })).toContainText(
      'Seal keeps slipway closed',
    )
    await expect(stage.getByText('Seal keeps slipway closed')).toHaveCount(0)
  })

  await test.step('look at it at each width and in the very sidebar', async () => {
    for (const [name, width] of [
      ['Phone 390', '390px'],
      ['Tablet 768', '768px'],
      ['Desktop 1280', '1280px'],
    ] as const) {
      await page.getByRole('button', { name }).click()
      await expect(page.locator('iframe[title="The widget as it will stand there"]')).toHaveCSS('width', width)
    }
    const inPlace = page.getByLabel('In place', { exact: true })
    await inPlace.focus()
    await inPlace.selectOption({ label: 'Gullhaven Ferries, sidebar (300 px)' })
    await page.getByRole('button', { name: 'The placement alone' }).click()
    await expect(page.locator('iframe[title="The widget as it will stand there"]')).toHaveCSS('width', '300px')
    await expect(page.getByText('1 column of 300 px in 300 px')).toBeVisible()
    await expect(stage.locator('body')).toHaveCSS('font-family', /Cabin/)
    await expect(stage.locator('body')).toHaveCSS('color', 'rgb(22, 50, 74)')
    await page.getByRole('button', { name: 'The page around it' }).click()
    await expect(stage.getByRole('complementary').getByRole('link', { name: 'Second ramp opens' })).toBeVisible()
    await expect(stage.locator('main')).toHaveCSS('opacity', '0.35')
    expect((await stage.locator('#pebblestrand-room').boundingBox())!.width).toBeCloseTo(300, 0)
    await expect(stage.locator('#pebblestrand-room')).toBeInViewport()
    expect(
      await page
        .locator('iframe[title="The widget as it will stand there"]')
        .evaluate((f) => f.parentElement!.scrollTop),
    ).toBe(0)
  })

  await test.step('the draft saves itself; publish release 1', async () => {
    await expect(page.getByText('saved', { exact: true })).toBeVisible()
    await publishRelease(page, 1)
    await expect(page.getByText('Release 1 is published.')).toBeVisible()
    await expect(page.getByText('as release 1')).toBeVisible()
  })

  await test.step('drag it into the sidebar of the timetable page', async () => {
    await page.getByRole('link', { name: 'Sites', exact: true }).click()
    await expect(page.getByRole('heading', { level: 1, name: 'Sites' })).toBeVisible()
    await page.getByRole('link', { name: 'Gullhaven Ferries', exact: true }).click()
    const pages = page.getByRole('navigation', { name: 'Pages of this site' })
    await pages.getByRole('link', { name: /Timetable/ }).click()
    await expect(page.getByRole('heading', { level: 2, name: 'Timetable' })).toBeVisible()
    const sidebar = page.locator('[data-placement=sidebar]')
    await page
      .getByRole('listitem')
      .filter({ hasText: /^Pier notes$/ })
      .dragTo(sidebar)
    await expect(sidebar.getByRole('link', { name: 'Pier notes' })).toBeVisible()
    await expect(sidebar.getByRole('img', { name: 'planned' })).toBeVisible()
  })

  let snippet = ''
  await test.step('the install says what to paste, why, and how', async () => {
    await page.locator('[data-placement=sidebar]').getByRole('link', { name: 'Pier notes' }).click()
    await expect(page.getByText("the code box of this site's sidebar keeps scripts")).toBeVisible()
    await expect(page.getByText('Not there yet, as expected.')).toBeVisible()
    for (const words of ['Open Timetable at the editing desk.', 'Press Publish page.', 'Delivery › Empty page cache'])
      await expect(page.getByRole('list').filter({ hasText: words }).first()).toBeVisible()
    await page.getByRole('button', { name: 'Copy snippet' }).click()
    snippet = await page.evaluate(() => navigator.clipboard.readText())
    expect(snippet).toContain('data-pebblestrand="')
    await page.getByRole('button', { name: 'Mark as pasted' }).click()
  })

  const visitor = await (await browser.newContext()).newPage()
  const desk = new Desk(await (await browser.newContext()).newPage(), 'gullhaven')
  const checkAgain = async () => {
    const check = page.getByRole('button', { name: 'Check now' })
    await check.click()
    await expect(check).toBeDisabled()
    await expect(check).toBeEnabled() // a browser looks as well
  }
  const saw = page.getByRole('region', { name: 'What we saw' })

  await test.step('saved there, but not published', async () => {
    await desk.signIn()
    await desk.open('Timetable')
    await desk.box('Code box, sidebar').fill(snippet)
    await desk.press('Save', 'Saved. Visitors do not see it yet.')
    await checkAgain()
    await expect(saw.getByRole('heading', { name: 'Saved, but not published.' })).toBeVisible()
    await expect(saw).toContainText('the page has not changed since before it was pasted')
    await expect(saw).toContainText('press Publish page')
  })

  await test.step('published, but an old copy is served', async () => {
    await desk.press('Publish page', 'Published.')
    await checkAgain()
    await expect(saw.getByRole('heading', { name: 'An old copy is being served.' })).toBeVisible()
    await expect(saw).toContainText('Delivery › Empty page cache')
    await visitor.goto(siteAddress('gullhaven', '/timetable'))
    await expect(visitor.getByText('Second ramp opens')).toHaveCount(0)
  })

  await test.step('cleared: confirmed, with the proof', async () => {
    await desk.emptyCache()
    await checkAgain()
    await expect(saw).toContainText('Confirmed: there, once, in its place.')
    await expect(saw).toContainText('sidebar, as planned')
    await expect(page.getByRole('img', { name: 'confirmed' }).first()).toBeVisible()
    const pictures = saw
      .getByRole('list', { name: 'Proof pictures' })
      .getByRole('img', { name: /, the widget outlined$/ })
    await expect(pictures).toHaveCount(3)
    for (const picture of await pictures.all()) {
      await picture.scrollIntoViewIfNeeded()
      await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(300)
    }
    await saw.getByText('How it was judged').click()
    await expect(saw.getByRole('listitem').filter({ hasText: 'The page on a phone' })).toContainText('filled after')
    const kept = await page.request.get((await saw.getByRole('link', { name: 'HTML as served' }).getAttribute('href'))!)
    expect(await kept.text()).toContain('data-pebblestrand=')
    await visitor.goto(siteAddress('gullhaven', '/timetable'))
    const aside = visitor.getByRole('complementary')
    await expect(aside.getByRole('link', { name: 'Second ramp opens at Gullhaven pier' })).toBeVisible()
    await expect(aside.getByRole('listitem')).toHaveCount(3)
    await expect(aside.getByRole('heading', { level: 2 })).toHaveCSS('font-family', /Cabin/)
  })

  await test.step('its placement keeps its mark, and is known by it from then on', async () => {
    await saw.getByRole('button', { name: 'Keep this as the placement’s mark' }).click()
    await expect(saw.getByText('sidebar, as planned, known by its mark')).toBeVisible()
    await expect(saw.getByRole('button', { name: 'Keep this as the placement’s mark' })).toHaveCount(0)
  })

  const installUrl = page.url()
  await test.step('release 2 changes the live page without touching it', async () => {
    await page.getByRole('link', { name: 'Pier notes' }).first().click()
    const count = page.getByRole('spinbutton', { name: /How many/ })
    await count.focus()
    await page.keyboard.press('ArrowUp')
    await page.keyboard.press('ArrowUp')
    await expect(page.getByText('draft, 1 change since release 1')).toBeVisible()
    await publishRelease(page, 2)
    await expect(page.getByText('Release 2 is published.')).toBeVisible()
    await visitorsComeToSee(browser, siteAddress('gullhaven', '/timetable'), async (later) => {
      await expect(later.getByRole('complementary').getByRole('listitem')).toHaveCount(5, { timeout: 5_000 })
    })
  })

  await test.step('pasted into the visual text box: shown as text', async () => {
    await desk.open('Timetable')
    await desk.box('Code box, sidebar').fill('')
    await desk.box('Visual text box, sidebar').fill(snippet)
    await desk.press('Publish page', 'Published.')
    await desk.emptyCache()
    await page.goto(installUrl)
    await checkAgain()
    await expect(saw.getByRole('heading', { name: 'The snippet is shown as text.' })).toBeVisible()
    await expect(saw).toContainText('paste it into the Code box')
    await saw.getByText('Proof: the page').click()
    await expect(saw.locator('pre')).toContainText('data-pebblestrand=')
    await visitor.goto(siteAddress('gullhaven', '/timetable'))
    await expect(visitor.getByRole('complementary')).toContainText('data-pebblestrand=')
  })

  await visitor.context().close()
})
