import { publishRelease } from './pages/publish'
import { expect, siteAddress, test } from './pages/signed-in'
import { widgetId } from './pages/finds'

test('two tabs editing one draft: the second is told, nothing is silently overwritten', async ({
  signedIn: page,
  context,
}) => {
  const url = `/widgets/${await widgetId(page, 'Cycling notes')}`
  const second = await context.newPage()
  await page.goto(url)
  await second.goto(url)
  const count = (p: typeof page) => p.getByRole('spinbutton', { name: /How many/ })
  await expect(count(second)).toHaveAttribute('aria-valuenow', '3')

  await count(page).focus()
  const stored = page.waitForResponse((answer) => /\/draft$/.test(answer.url()) && answer.request().method() === 'PUT')
  await page.keyboard.press('ArrowUp')
  expect((await stored).ok()).toBe(true)

  await second.getByRole('spinbutton', { name: /Gap/ }).focus()
  await second.keyboard.press('ArrowUp')
  const told = second.getByRole('alert')
  await expect(told).toContainText('This draft was changed in another tab or by someone else')
  await expect(told).toContainText('How many: theirs 4, yours 3')
  await expect(second.getByRole('button', { name: /Publish release/ })).toBeDisabled()

  await told.getByRole('button', { name: 'Keep mine over it' }).click()
  await expect(second.getByText('saved', { exact: true })).toBeVisible()
  await second.reload()
  await expect(count(second)).toHaveAttribute('aria-valuenow', '3')

  await count(page).focus()
  await page.keyboard.press('ArrowUp')
  await page.getByRole('alert').getByRole('button', { name: 'Take the newer draft' }).click()
  await expect(count(page)).toHaveAttribute('aria-valuenow', '3')
})

test('what was changed a moment ago is saved when another widget is gone to', async ({ signedIn: page }) => {
  const [first, second] = [await widgetId(page, 'Culture column'), await widgetId(page, 'Choir in the papers')]
  await page.goto(`/widgets/${first}`)
  const count = page.getByRole('spinbutton', { name: /How many/ })
  await count.focus()
  await page.keyboard.press('ArrowUp')
  await page.getByLabel('Find or do').fill('Choir in the papers')
  await page
    .getByRole('option', { name: /Choir in the papers/ })
    .first()
    .click()
  await expect(page).toHaveURL(new RegExp(second))
  await page.goto(`/widgets/${first}`)
  await expect(count).toHaveAttribute('aria-valuenow', '4')
  await count.focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
})

test('a change made while a release is being published is not lost', async ({ signedIn: page }) => {
  await page.goto(`/widgets/${await widgetId(page, 'Animal news')}`)
  const count = page.getByRole('spinbutton', { name: /How many/ })
  await count.focus()
  await page.keyboard.press('ArrowUp')
  await expect(count).toHaveAttribute('aria-valuenow', '5')
  const control = (await count.elementHandle())!
  // The release is on its way until the next change has come: from another part of the page, behind the sheet.
  await page.route('**/releases', async (route) => {
    await control.dispatchEvent('keydown', { key: 'ArrowUp', bubbles: true })
    await route.continue()
  })
  await publishRelease(page)
  await expect(page.getByText(/Release 2 is published/)).toBeVisible()
  await expect(count).toHaveAttribute('aria-valuenow', '6')
  await expect(page.getByText('draft, 1 change since release 2')).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.reload()
  await expect(count).toHaveAttribute('aria-valuenow', '6')
})

test('compare, look at an older release, bring it back, undo', async ({ signedIn: page }) => {
  await page.goto(`/widgets/${await widgetId(page, 'Island headlines')}`)
  await expect(page.getByText('draft, 2 changes since release 1')).toBeVisible()
  await page.getByRole('button', { name: 'Compare with 1' }).click()
  const compared = page.getByRole('dialog')
  await expect(compared.getByRole('status')).toHaveText('2 things differ: how many, author.')
  await expect(compared.getByRole('region', { name: 'release 1' }).locator('mark').first()).toHaveText('5 (differs)')
  await expect(compared.getByRole('region', { name: 'the draft' }).locator('mark').first()).toHaveText('6 (differs)')
  await page.keyboard.press('Escape')

  await page.getByRole('button', { name: 'Releases' }).click()
  await page.getByRole('button', { name: 'Look at release 1' }).click()
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await expect(stage.getByRole('listitem')).toHaveCount(5)
  await page.getByRole('button', { name: 'Back to the draft' }).click()
  await expect(stage.getByRole('listitem')).toHaveCount(6)

  await page.getByRole('button', { name: 'Releases' }).click()
  await page.getByRole('button', { name: 'Bring back release 1' }).click()
  await expect(page.getByText('as release 1')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('draft, 2 changes since release 1')).toBeVisible()
})

test('a setting is found by name; a wrong colour is said in place, kept, and not published', async ({
  signedIn: page,
}) => {
  await page.goto(`/widgets/${await widgetId(page, 'Culture column')}`)
  await page.getByLabel('Find a setting').fill('accent')
  await page.getByRole('option', { name: 'Accent' }).click()
  const written = page.getByLabel('Accent, written')
  await written.fill('reddish')
  await written.press('Tab')
  await expect(page.getByText('It must be a colour like #17665A.')).toBeVisible()
  await page.keyboard.press('Escape')
  // What is changed beside it is saved, and nothing is published until it is right.
  const count = page.getByRole('spinbutton', { name: /How many/ })
  const before = Number(await count.getAttribute('aria-valuenow'))
  await count.focus()
  await page.keyboard.press('ArrowUp')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  const toFix = page.getByRole('region', { name: 'Settings to fix' })
  await expect(toFix).toContainText('Fix 1 setting before you publish')
  await expect(page.getByRole('button', { name: /Publish release/ })).toBeDisabled()
  await page.reload()
  await expect(count).toHaveAttribute('aria-valuenow', String(before + 1))
  await expect(page.getByRole('button', { name: 'Accent: reddish' })).toBeVisible()
  await toFix.getByRole('button', { name: 'Accent' }).click()
  await written.fill('#8a3b4f')
  await written.press('Tab')
  await expect(toFix).toBeHidden()
  await expect(page.getByRole('button', { name: 'Accent: #8a3b4f' })).toBeVisible()
  await page.keyboard.press('Escape')
  await count.focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
})

test('until there is a source, the starter’s own content stands on the stage, pictures and all, marked as an example', async ({
  signedIn: page,
}) => {
  await page.goto('/widgets?new=1')
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('radio', { name: 'Three across' }).check()
  await sheet.getByLabel('Name', { exact: true }).fill('Quay notes')
  await sheet.getByRole('button', { name: 'Open it in the workbench' }).click()
  await expect(page.getByRole('button', { name: 'Publish release 1' })).toBeDisabled()
  await expect(page.getByText('example', { exact: true })).toBeVisible()
  const pictures = page.frameLocator('iframe[title="The widget as it will stand there"]').locator('img')
  await expect(pictures).toHaveCount(3)
  for (const picture of await pictures.all())
    await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(0)
})

test('an empty result is said before publishing, with the step that took everything', async ({ signedIn: page }) => {
  await page.goto(`/widgets/${await widgetId(page, 'Animal news')}`)
  await page.getByRole('button', { name: /Keywords to exclude/ }).click()
  await page.getByLabel('Keywords to exclude: add a word').fill('vets, seal, animals, wildlife')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByText('nothing would be shown')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Sieve' }).getByRole('listitem').last()).toHaveText(/0\s*shown/)
})

test('a source says how it is, is read at another interval, and at once', async ({ signedIn: page }) => {
  await page.goto(`/widgets/${await widgetId(page, 'Animal news')}`)
  const open = () => page.locator('[data-setting=sources]').click()
  await open()
  const sheet = page.getByRole('dialog', { name: 'Where the headlines come from' })
  await expect(sheet.getByLabel('Address of a page or a feed')).toBeFocused()
  const news = sheet.getByRole('listitem').filter({ hasText: 'Skerrow Post: News' })
  await news.getByLabel('Read every').selectOption('3 h')
  await news.getByRole('button', { name: 'Read it now' }).click()
  await expect(news.getByText('last read just now')).toBeVisible()
  await page.reload()
  await open()
  await expect(news.getByLabel('Read every')).toHaveValue('180')
  await news.getByLabel('Read every').selectOption('30 min')
})

test('what bad input gets, said where it was typed, with what was typed kept', async ({ signedIn: page }) => {
  await page.goto(`/widgets/${await widgetId(page, 'What is on')}`)
  await page.getByRole('button', { name: /^Sources/ }).click()
  const address = page.getByLabel('Address of a page or a feed')
  const troubled = (path: string) => siteAddress('troubled-feeds', path)
  for (const [typed, says] of [
    [troubled('/gone.xml'), 'The address answers with error 404.'],
    [troubled('/empty.xml'), 'The document is empty.'],
    [troubled('/not-a-feed.txt'), 'This is neither RSS, Atom nor JSON Feed.'],
    [troubled('/large.xml'), 'The answer is larger than 5 MiB.'],
    ['http://192.168.1.1/feed', '192.168.1.1 leads to a private network'],
    ['ftp://site.example/feed', 'Only http and https addresses are opened'],
    [troubled('/'), 'No feed was found there.'],
  ] as const) {
    await address.fill(typed)
    await page.getByRole('button', { name: 'Look there' }).click()
    await expect(page.getByRole('alert')).toContainText(says)
    await expect(address).toHaveValue(typed)
  }
  const tried = page.getByRole('region', { name: 'What was tried' })
  await expect(tried).toBeVisible()
  await expect(tried.getByRole('listitem').first()).toContainText('a web page that names no feed')
  expect(await tried.getByRole('listitem').count()).toBeGreaterThan(3)
})

test('signed out meanwhile: back to the same place after signing in', async ({ signedIn: page, context }) => {
  await context.clearCookies()
  await page.goto('/installs?status=confirmed')
  await expect(page).toHaveURL(/sign-in\?then=/)
  await page.getByLabel('E-mail address').fill('mara@tern-and-tiller.example')
  await page.getByLabel('Password').fill('wrong')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('alert')).toContainText('do not belong together')
  await page.getByLabel('Password').fill('low-tide-42')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page).toHaveURL(/installs\?status=confirmed/)
  await expect(page.getByLabel('Status')).toHaveValue('confirmed')
})

test('what does not fit is mended by one press, and so is a gap in the last row', async ({ signedIn: page }) => {
  await page.goto(`/widgets/${await widgetId(page, 'Post in brief')}?stage=tablet`)
  await page.locator('[data-setting=columns]').focus()
  for (let press = 0; press < 3; press++) await page.keyboard.press('ArrowUp')
  await expect(page.getByText('Fits with fewer columns.')).toBeVisible()
  await page.getByRole('button', { name: /^Make it \d columns$/ }).click()
  await expect(page.getByText('Fits.', { exact: true })).toBeVisible()
  await page.locator('[data-setting=count]').focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.getByText('The last row has gaps.')).toBeVisible()
  await page
    .getByRole('button', { name: /^Show \d+$/ })
    .first()
    .click()
  await expect(page.getByText('The last row has gaps.')).toHaveCount(0)
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
})
