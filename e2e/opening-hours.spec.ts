import type { Page } from '@playwright/test'
import { violations } from './pages/axe'
import { begin, publish, stand } from './pages/live-widget'
import { publishRelease } from './pages/publish'
import { api, expect, siteAddress, test } from './pages/signed-in'

// Typed in or read from a page, in the workbench and on a client's page, at times of the test's choosing.

async function makeHours(page: Page, starter: string, name: string): Promise<void> {
  await page.goto('/widgets?new=1')
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('radio', { name: starter }).check()
  await sheet.getByLabel('Name', { exact: true }).fill(name)
  await sheet.getByRole('button', { name: 'Open it in the workbench' }).click()
  await expect(page).toHaveURL(/\/widgets\/[0-9a-f-]{36}/)
}

test('hours are typed day by day, with a holiday; what cannot be read is said, and stays', async ({
  signedIn: page,
}) => {
  await makeHours(page, 'Table of the week', 'Ticket office hours')
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await expect(stage.getByRole('rowheader', { name: 'Monday – Friday' })).toBeVisible()
  await page.getByRole('button', { name: 'Week: Monday to Friday 09:00–17:00' }).click()
  await page.getByLabel('Saturday', { exact: true }).fill('10-13, 14-16')
  await page.keyboard.press('Tab')
  await expect(stage.getByText('14:00–16:00')).toBeVisible()
  await page.getByRole('button', { name: 'Sunday: copy from Saturday' }).click()
  await expect(stage.getByRole('rowheader', { name: 'Saturday – Sunday' })).toBeVisible()
  await page.getByLabel('Wednesday', { exact: true }).fill('nine to five')
  await page.keyboard.press('Tab')
  await expect(page.getByText('“nine to five” is none')).toBeVisible()
  await expect(page.getByLabel('Wednesday', { exact: true })).toHaveValue('nine to five')
  expect(await violations(page)).toEqual([])
  await page.getByLabel('Wednesday', { exact: true }).fill('closed')
  await page.keyboard.press('Enter')
  await expect(stage.getByRole('rowheader', { name: 'Wednesday' })).toBeVisible()

  await page.getByRole('button', { name: 'Holidays and special days: no holidays' }).click()
  await page.getByRole('button', { name: 'Add a holiday' }).click()
  await page.getByLabel('holiday 1: First day').fill('2999-12-24')
  await page.getByLabel('holiday 1: Name').fill('Lanterns on the pier')
  await page.keyboard.press('Tab')
  await expect(stage.getByRole('rowheader', { name: '24 December Lanterns on the pier' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await publishRelease(page, 1)
  await expect(page.getByText('Release 1 is published.')).toBeVisible()
})

test('hours that a page states: found by its address, shown, and asked for where a page states none', async ({
  signedIn: page,
}) => {
  await makeHours(page, 'Every day in its row, framed', 'Kiln hours')
  await page.getByRole('button', { name: 'Where the hours come from: typed in here' }).click()
  const sheet = page.getByRole('dialog')
  await sheet
    .getByLabel('Address of a page that states them')
    .fill(siteAddress('skerrow-guide', '/places/windle-knot-museum'))
  await sheet.getByRole('button', { name: 'Look there' }).click()
  await expect(sheet.getByText('No opening hours are marked up on this page.')).toBeVisible()
  await sheet.getByLabel('Address of a page that states them').fill(siteAddress('skerrow-guide', '/places/orrin-kiln'))
  await sheet.getByRole('button', { name: 'Look there' }).click()
  await expect(
    sheet.getByText('Open Tuesday to Friday 10:00–12:30, 14:00–18:00 and Saturday 10:00–16:00.'),
  ).toBeVisible()
  expect(await violations(page, '[role=dialog]')).toEqual([])
  await sheet.getByRole('button', { name: 'Take this: Orrin Kiln Pottery' }).click()
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await expect(stage.getByRole('row', { name: 'Tuesday 10:00–12:30 14:00–18:00' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Where the hours come from: of Orrin Kiln Pottery' })).toBeVisible()
})

test('on a client’s page it says what holds now, and from the next minute on what holds then', async ({
  signedIn: page,
  browser,
}) => {
  const widgetId = await begin(page, 'opening-hours', 'line', 'Open at the office')
  await publish(page, widgetId, { special: [{ from: '2026-12-03', until: '2026-12-04', name: '', spans: [] }] })
  const standing = await stand(page, browser, { site: 'Brackenfold', host: 'brackenfold', path: '/club' }, [
    { widgetId, region: 'main' },
  ])
  const { rows } = await api<{ rows: { timeZone: string }[] }>(page, 'GET', '/api/sites?q=Brackenfold')
  const visitor = await (await browser.newContext({ timezoneId: 'Asia/Tokyo' })).newPage()
  // 2 December 2026 is a Wednesday; the visitor's own clocks are of no account.
  const zone = rows[0]?.timeZone ?? 'Atlantic/Faroe'
  await visitor.clock.install({ time: new Date('2026-12-02T16:59:00Z') })
  await visitor.goto(standing.at)
  const said = visitor.getByRole('region', { name: 'Open at the office' })
  const offset = zone === 'Atlantic/Faroe' || zone === 'Europe/London' ? 0 : NaN
  expect(offset, zone).toBe(0)
  await expect(said).toContainText('Open until 17:00')
  expect(await violations(visitor, '[data-pebblestrand]')).toEqual([])
  await visitor.clock.runFor(80_000)
  await expect(said).toContainText('Closed, opens Monday at 09:00')
  await visitor.clock.setFixedTime(new Date('2026-12-03T12:00:00Z'))
  await visitor.clock.runFor(30_000)
  await expect(said).toContainText('Closed today, opens Monday at 09:00')
  await standing.away()
})
