import type { Page } from '@playwright/test'
import { colourRules, violations } from './pages/axe'
import { installId, siteId, widgetId } from './pages/finds'
import { expect, siteAddress, test } from './pages/signed-in'

/** In both themes: what only colours decide is looked at again in the dark. */
async function inBothThemes(page: Page, name: string): Promise<void> {
  for (const theme of ['light', 'dark'] as const) {
    await page.evaluate((wanted) => (document.documentElement.dataset.theme = wanted), theme)
    expect(await violations(page, ':root', theme === 'dark' ? colourRules : undefined), `${name}, ${theme}`).toEqual([])
  }
}

type Screen = [name: string, path: (page: Page) => Promise<string> | string, shows: string]

async function walk(page: Page, screens: readonly Screen[]): Promise<void> {
  for (const [name, path, shows] of screens) {
    await page.goto(await path(page))
    await expect(page.getByText(shows).first()).toBeVisible()
    await inBothThemes(page, name)
  }
}

test('screens before anybody is signed in pass axe', async ({ page }) => {
  await page.goto('/sign-in')
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  await inBothThemes(page, 'sign in')
  await page.goto('/set-up?key=none')
  await page.getByRole('button', { name: 'Make the account' }).click()
  await expect(page.getByRole('alert')).toBeVisible()
  await inBothThemes(page, 'set up, at fault')
})

test('screens of sites and installs pass axe', async ({ signedIn: page }) => {
  await walk(page, [
    ['Today', () => '/today', 'Since yesterday'],
    ['Sites', () => '/sites', 'Gullhaven Ferries'],
    ['Add a site', () => '/sites?new=1', 'Read the site'],
    ['Type a site', () => '/sites?new=1&typed=1', 'Built with'],
    ['Site', async () => `/sites/${await siteId(page, 'Gullhaven')}`, 'drawn to scale'],
    [
      'Install, at fault',
      async () => `/installs/${await installId(page, 'status=needs-a-hand&finding=double')}`,
      'It is there more than once.',
    ],
    [
      'Install, confirmed',
      async () => `/installs/${await installId(page, 'status=confirmed')}`,
      'Confirmed: there, once, in its place.',
    ],
    ['Installs', () => '/installs', 'Retired ones too'],
    ['Platforms', () => '/platforms', 'Hosted builder, free canvas'],
    ['Platform', () => '/platforms/hosted-shop', 'What its boxes do'],
  ])
})

test('screens of widgets and of one’s account pass axe', async ({ signedIn: page }) => {
  await walk(page, [
    ['Widgets', () => '/widgets', 'Forty knots'],
    ['Make a widget', () => '/widgets?new=1', 'Begin from'],
    ['Workbench', async () => `/widgets/${await widgetId(page, 'Island headlines')}`, 'How it is laid out'],
    ['Workbench of reviews', async () => `/widgets/${await widgetId(page, 'On our engraving')}`, 'How it is laid out'],
    ['Workbench of a counter', async () => `/widgets/${await widgetId(page, 'Workshop visits')}`, 'How it is laid out'],
    [
      'What becomes of answers',
      async () => `/widgets/${await widgetId(page, 'Ask for a table')}/answers`,
      'The reply as it goes out',
    ],
    ['Answers', () => '/results/leads', 'Runa Thorne'],
    ['Answers held back', () => '/results/leads?state=held', 'A field that nobody sees'],
    ['Removed', () => '/removed', 'Kept for 30 days'],
    ['Your account', () => '/account', 'What happened at your account'],
    ['Not here', () => '/nowhere', 'This is not here.'],
  ])
})

test('open controls and panels pass axe', async ({ signedIn: page }) => {
  await page.goto(`/widgets/${await widgetId(page, 'Post in brief')}`)
  for (const setting of ['columns', 'layout', 'accent', 'include', 'titleText']) {
    await page.locator(`[data-setting=${setting}]`).click()
    expect(await violations(page), setting).toEqual([])
    await page.keyboard.press('Escape')
  }
  await page.locator('[data-setting=sources]').click()
  await expect(page.getByLabel('Address of a page or a feed')).toBeVisible()
  expect(await violations(page), 'sources').toEqual([])
  await page.keyboard.press('Escape')
  await page.goto(`/widgets/${await widgetId(page, 'Workshop visits')}`)
  await page.locator('[data-setting=names]').click()
  await expect(page.getByLabel('Names of the numbers: In all')).toBeVisible()
  expect(await violations(page), 'names').toEqual([])
  await page.keyboard.press('Escape')
  const placements = page.getByLabel('In place', { exact: true })
  await placements.selectOption({ index: 1 })
  await expect(page.frameLocator('iframe[title="The widget as it will stand there"]').locator('main')).toBeVisible()
  expect(await violations(page), 'the page around a placement').toEqual([])
  await page.keyboard.press('?')
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible()
  expect(await violations(page), 'keys').toEqual([])
  await page.goto(`/sites/${await siteId(page, 'Orrin')}`)
  await page.getByRole('button', { name: 'Correct what is noted' }).click()
  await page.getByLabel('Name of the site').fill('')
  await page.getByRole('button', { name: 'Keep these' }).click()
  await expect(page.getByText('It is missing.')).toBeVisible()
  expect(await violations(page), 'correct a site').toEqual([])
  await page.getByRole('button', { name: 'Remove this site' }).click()
  await expect(page.getByRole('button', { name: 'Leave it there' })).toBeVisible()
  expect(await violations(page), 'what a removal means').toEqual([])
})

test('the widget itself passes axe on a client page', async ({ page }) => {
  await page.goto(siteAddress('gullhaven'))
  await expect(page.getByRole('complementary').getByRole('listitem').first()).toBeVisible()
  const own = (await violations(page)).filter((v) => v.includes('pebblestrand'))
  expect(own).toEqual([])
})
