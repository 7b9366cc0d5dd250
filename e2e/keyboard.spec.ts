import { expect, openToday, test } from './pages/signed-in'
import { installId, siteId, widgetId } from './pages/finds'

test('place a widget with the keyboard alone, told whether it fits', async ({ signedIn: page }) => {
  await page.goto(`/sites/${await siteId(page, 'Brackenfold')}`)
  await page.getByRole('link', { name: 'Cider club' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 2, name: 'Cider club' })).toBeVisible()
  // However many there are by now: by a word of its name.
  await page.getByRole('searchbox', { name: 'Widgets in the tray: only those with' }).fill('What is on')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'What is on', exact: true }).focus()
  await page.keyboard.press('m')
  const menu = page.getByRole('menu')
  await expect(menu).toBeFocused()
  await expect(menu.getByRole('menuitem', { name: /sidebar.*Fits with fewer columns/ })).toBeVisible()
  await expect(menu.getByRole('menuitem', { name: /main.*Fits\./ })).toBeVisible()
  await page.keyboard.press('m') // typing ahead: main
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-placement=main]').getByRole('link', { name: 'What is on' })).toBeVisible()
  await expect(page.getByText('What is on is planned for main.')).toBeVisible()
})

test('/ finds, ? shows the keys, and neither is taken inside a text field', async ({ signedIn: page }) => {
  await openToday(page)
  await page.keyboard.press('/')
  const find = page.getByRole('combobox', { name: 'Find or do' })
  await expect(find).toBeFocused()
  await page.keyboard.type('gull?')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByRole('option')).toHaveCount(0) // what was found for “g” is not offered for this
  await page.keyboard.press('Backspace')
  await expect(page.getByRole('option', { name: /site Gullhaven Ferries/ })).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Gullhaven Ferries' })).toBeVisible()
  await page.locator('body').press('?')
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible()
})

test('do: check everything, with progress, from the find-or-do field', async ({ signedIn: page }) => {
  await openToday(page)
  await page.keyboard.press('/')
  await page.keyboard.type('check every')
  await page.getByRole('option', { name: /Check everything/ }).click()
  await expect(page.getByRole('button', { name: 'Check everything' })).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/things need a hand/)
})

test('[ and ] walk along the list one came from', async ({ signedIn: page }) => {
  await page.goto('/installs?status=needs-a-hand&sort=widget')
  const links = page.getByRole('table').getByRole('row').getByRole('link').filter({ hasText: /\S/ })
  await expect(links.first()).toBeVisible()
  await page.waitForLoadState('networkidle')
  const first = page.getByRole('table').getByRole('row').nth(1).getByRole('cell').nth(1).getByRole('link')
  await first.click()
  await expect(page.getByText(/install 1 of \d+/)).toBeVisible()
  const one = page.url()
  await page.keyboard.press(']')
  await expect(page.getByText(/install 2 of \d+/)).toBeVisible()
  expect(page.url()).not.toBe(one)
  await page.keyboard.press('[')
  await expect(page).toHaveURL(one)
})

test('. opens the actions for the thing in focus', async ({ signedIn: page }) => {
  await page.goto('/installs?status=planned')
  await page.getByRole('table').getByRole('row').nth(1).getByRole('link').first().focus()
  await page.keyboard.press('.')
  await expect(page.getByRole('menuitem', { name: 'Check now' })).toBeVisible()
  await expect(page.getByRole('menuitem', { name: 'Mark as pasted' })).toBeVisible()
})

test('back, reload and sharing a link keep filters and the chosen page', async ({ signedIn: page }) => {
  await page.goto('/installs')
  await page.getByLabel('Status').selectOption('needs-a-hand')
  await page.getByRole('button', { name: 'Widget', exact: true }).click()
  await expect(page).toHaveURL(/status=needs-a-hand.*sort=widget|sort=widget.*status=needs-a-hand/)
  await page.reload()
  await expect(page.getByLabel('Status')).toHaveValue('needs-a-hand')
  await expect(page.getByRole('columnheader', { name: /Widget/ })).toHaveAttribute('aria-sort', 'ascending')
})

test('the register is narrowed by client, page, person and day', async ({ signedIn: page }) => {
  await page.goto('/installs')
  const said = page.getByRole('status').filter({ hasText: /install/ })
  await page.getByLabel('Client').selectOption('Pollard Cycles')
  await expect(said).toHaveText('9 installs.')
  await page.getByLabel('Site', { exact: true }).selectOption('Pollard Cycles')
  await page.getByLabel('Page', { exact: true }).selectOption('Hire')
  await expect(said).toHaveText('2 installs.')
  await page.getByLabel('Planned by').selectOption('Mara Rask') // both were planned by the other
  await expect(said).toHaveText('0 installs.')
  await page.getByRole('button', { name: 'Show all' }).click()
  await page.getByLabel('Planned to').fill('2020-01-01')
  await expect(page.getByText('No install is like that. Take a filter away.')).toBeVisible()
})

test('a proof can be read, and a page that moved leads to its plan', async ({ signedIn: page }) => {
  await page.goto(`/installs/${await installId(page, 'status=needs-a-hand&finding=double')}`)
  await page.getByText('Proof: the page').click()
  await expect(page.locator('details pre')).toHaveCount(2)
  await expect(page.getByLabel(/^line \d+$/).first()).toBeVisible()
  await page.goto(`/installs/${await installId(page, 'finding=moved')}`)
  await page.getByRole('link', { name: 'Open the page plan' }).click()
  await page.getByRole('button', { name: /Correct the path/ }).click()
  await expect(page.getByLabel('Path', { exact: true })).toHaveValue('/workshop')
})

test('a number opens its control in place, and gets the focus back', async ({ signedIn: page }) => {
  await page.goto(`/widgets/${await widgetId(page, 'Post in brief')}`)
  const columns = page.getByRole('spinbutton', { name: /Columns on desktop/ }).first()
  await columns.click()
  await expect(page.getByText(/px each in \d+ px\./)).toBeVisible()
  await expect(page.getByText('6 items fill whole rows with 3 and 2 columns.')).toBeVisible()
  await page.getByRole('button', { name: 'More' }).click()
  await expect(columns).toHaveAttribute('aria-valuenow', '4')
  await expect(
    page.getByText('The last row has gaps: 12 would fill it with 4, 3 and 2 columns.', { exact: true }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Less' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'More' })).toHaveCount(0)
  await expect(columns).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'More' })).toBeVisible()
})
