import { siteId, widgetId } from './pages/finds'
import { expect, siteAddress, test } from './pages/signed-in'
import { visitorsComeToSee } from './pages/visitor'

test('a site is added: faults said at their fields, what was typed kept, then its page plan', async ({
  signedIn: page,
}) => {
  await page.goto('/sites?new=1')
  const sheet = page.getByRole('dialog', { name: 'Add a site' })
  await expect(sheet.getByLabel('Client')).toBeFocused()
  await sheet.getByLabel('Client').fill('Netherby Bakery')
  await sheet.getByLabel('Web address').fill('http://192.168.0.10')
  await sheet.getByLabel('Keeps pages in a cache, minutes').fill('')
  await sheet.getByRole('button', { name: 'Add the site' }).click()
  await expect(sheet.getByRole('alert')).toContainText('One field is not right yet.')
  await expect(sheet.getByText('It must be a whole number from 0 to 43200.')).toBeVisible()
  await sheet.getByLabel('Keeps pages in a cache, minutes').fill('15')
  await sheet.getByRole('button', { name: 'Add the site' }).click()
  await expect(sheet.getByText(/leads to a private network/).last()).toBeVisible()
  await expect(sheet.getByLabel('Client')).toHaveValue('Netherby Bakery')
  await sheet.getByLabel('Web address').fill('netherby.example/shop')
  await sheet.getByRole('button', { name: 'Add the site' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Netherby Bakery' })).toBeVisible()
  await expect(page.getByText('keeps pages up to 15 min')).toBeVisible()
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
  // Until the stage's own page has come there is no such frame.
  const onStage = async () => (await page.frame({ url: /\/stage(\/page|$)/ })?.evaluate(loaded)) ?? []
  await expect.poll(onStage).toEqual(['loaded'])
  await page.getByRole('button', { name: /Publish release/ }).click()
  await expect(page.getByText(/Release \d is published/)).toBeVisible()

  await visitorsComeToSee(browser, siteAddress('pollard-cycles'), async (visitor) => {
    const widget = visitor.getByRole('region', { name: 'Cycling notes' })
    await expect(widget).toHaveCSS('font-family', '"Pebblestrand Bricolage", sans-serif', { timeout: 2000 })
    await expect.poll(() => visitor.evaluate(loaded), { timeout: 4000 }).toEqual(['loaded'])
  })
})
