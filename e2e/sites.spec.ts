import { publishRelease } from './pages/publish'
import { siteId, widgetId } from './pages/finds'
import { expect, siteAddress, test } from './pages/signed-in'
import { visitorsComeToSee } from './pages/visitor'

test('a site is read by its address, corrected, added, and read again', async ({ signedIn: page }) => {
  await page.goto('/sites?new=1')
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByLabel('Web address')).toBeFocused()
  await sheet.getByLabel('Web address').fill('http://192.168.0.10')
  await page.keyboard.press('Enter')
  await expect(sheet.getByText(/leads to a private network/).last()).toBeVisible()
  await sheet.getByLabel('Web address').fill(siteAddress('skerrow-post', '/harbour'))
  await sheet.getByRole('button', { name: 'Read the site' }).click()
  await expect(sheet.getByRole('heading', { name: 'What was read' })).toBeVisible({ timeout: 150_000 })
  await expect(sheet.getByLabel('Name of the site')).toHaveValue('Skerrow Post')
  await expect(sheet.getByText('Read from what the titles of its pages share.')).toBeVisible()
  await expect(sheet.getByText('Assumed to be yours.')).toBeVisible()
  await expect(sheet.getByRole('img', { name: /in a wide window/ })).toBeVisible()
  const main = sheet.getByLabel('main at desktop width, px')
  const measured = await main.inputValue()
  expect(Number(measured)).toBeGreaterThan(400)
  await main.fill('20')
  await sheet.getByLabel('Client').fill('Netherby Singers')
  await page.reload() // what was read stays; what was written over it is written again
  await expect(main).toHaveValue(measured)
  await sheet.getByLabel('Client').fill('Netherby Singers')
  await sheet.getByLabel('Name of the site').fill('Netherby stage')
  await main.fill('20')
  await sheet.getByRole('button', { name: 'Add the site' }).click()
  await expect(sheet.getByText('Its width must be a whole number from 40 to 4000.')).toBeVisible()
  await main.fill('511')
  await sheet.getByRole('button', { name: 'Add the site' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Netherby stage' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'main, 511 px wide' })).toBeVisible()
  await expect(page.getByText(/Its first page, read/)).toBeVisible()

  await page.getByRole('button', { name: 'Read it again' }).click()
  const again = page.getByRole('dialog', { name: 'Read it again' })
  const width = again.getByRole('checkbox', { name: /Region main/ })
  await expect(width).not.toBeChecked() // a person wrote it
  await width.check()
  await again.getByRole('button', { name: /^Take over/ }).click()
  await expect(again).toHaveCount(0)
  await expect(page.getByRole('region', { name: `main, ${measured} px wide` })).toBeVisible()
})

test('a site that cannot be read is typed: faults said at their fields, what was typed kept', async ({
  signedIn: page,
}) => {
  await page.goto('/sites?new=1')
  const sheet = page.getByRole('dialog', { name: 'Add a site' })
  await sheet.getByLabel('Web address').fill('netherby.example/shop')
  await sheet.getByRole('button', { name: 'Read the site' }).click()
  await expect(sheet.getByRole('alert')).toContainText('Correct the address, or type')
  await sheet.getByRole('button', { name: 'Type it instead' }).click()
  await expect(sheet.getByLabel('Web address')).toHaveValue('netherby.example/shop')
  await sheet.getByLabel('Client').fill('Netherby Bakery')
  await sheet.getByLabel('Keeps pages in a cache, minutes').fill('')
  await sheet.getByRole('button', { name: 'Add the site' }).click()
  await expect(sheet.getByRole('alert')).toContainText('One field is not right yet.')
  await expect(sheet.getByText('It must be a whole number from 0 to 43200.')).toBeVisible()
  await expect(sheet.getByLabel('Client')).toHaveValue('Netherby Bakery')
  await sheet.getByLabel('Keeps pages in a cache, minutes').fill('15')
  await sheet.getByRole('button', { name: 'Add the site' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Netherby Bakery' })).toBeVisible()
  await expect(page.getByText('keeps pages up to 15 min')).toBeVisible()
  await expect(page.getByText(/The widths of header, main, sidebar, footer are assumed/)).toBeVisible()
  await expect(page.getByText('Its fonts and colours are not noted yet')).toBeVisible()
})

test('what is noted of a site is corrected, and the stage wears it', async ({ signedIn: page }) => {
  await page.goto(`/sites/${await siteId(page, 'Brackenfold')}`)
  const open = () => page.getByRole('button', { name: 'Correct what is noted' }).click()
  const sheet = page.getByRole('dialog')
  await open()
  await sheet.getByLabel('Colour of the page').fill('cream')
  await sheet.getByRole('button', { name: 'Keep these' }).click()
  await expect(sheet.getByText('It must be a colour like #1f5f99.')).toBeVisible()
  await sheet.getByLabel('Colour of the page').fill('#fff3d6')
  await sheet.getByRole('button', { name: 'Keep these' }).click()
  await expect(sheet).toHaveCount(0)
  await expect(page.getByRole('img', { name: '#fff3d6' })).toBeVisible()

  await page.goto(`/widgets/${await widgetId(page, 'Harbour news')}?around=0`)
  const room = page.frameLocator('iframe[title="The widget as it will stand there"]').locator('body')
  await expect(room).toHaveCSS('background-color', 'rgb(255, 243, 214)')
  await expect(room).toHaveCSS('font-family', /Karla/)
})

test('a shipped font is loaded on the stage and on the client’s page', async ({ signedIn: page, browser }) => {
  await page.goto(`/widgets/${await widgetId(page, 'Cycling notes')}`)
  await page.getByRole('button', { name: /^Font:/ }).click()
  await page.getByRole('radio', { name: 'Bricolage Grotesque' }).check()
  await page.keyboard.press('Escape')
  const loaded = () => [...document.fonts].filter((f) => /Pebblestrand Bricolage/.test(f.family)).map((f) => f.status)
  // Until the stage's own page has come there is no such frame, and the one before goes as it comes.
  const onStage = async () =>
    (await page
      .frame({ url: /\/stage(\/page|$)/ })
      ?.evaluate(loaded)
      .catch(() => [])) ?? []
  // The file of the letters that stand there; that of others is not fetched.
  await expect.poll(onStage).toEqual(['loaded', 'unloaded'])
  await publishRelease(page)
  await expect(page.getByText(/Release \d is published/)).toBeVisible()

  await visitorsComeToSee(browser, siteAddress('pollard-cycles'), async (visitor) => {
    const widget = visitor.getByRole('region', { name: 'Cycling notes' })
    await expect(widget).toHaveCSS('font-family', '"Pebblestrand Bricolage Grotesque", sans-serif', { timeout: 5_000 })
    await expect.poll(() => visitor.evaluate(loaded), { timeout: 5_000 }).toEqual(['loaded', 'unloaded'])
  })
})
