import { findingCodes } from '@pebblestrand/core/verify/words'
import { api, expect, openToday, siteAddress, test } from './pages/signed-in'
import { installId, widgetId } from './pages/finds'

// The demo tells a story: most installs are confirmed, and every finding that can be told has a live example.

test('every finding has a live example, found by a real check', async ({ signedIn: page }) => {
  const shown = findingCodes.filter((code) => code !== 'still-there') // seen only while something is being taken out
  // What only a browser sees is looked at once the server answers; nobody waits for it, so all else goes before.
  await expect(async () => {
    const { findings } = await api<{ findings: string[] }>(page, 'GET', '/api/installs/filters')
    expect([...findings].sort()).toEqual([...shown].sort())
  }).toPass({ timeout: 200_000 })
})

test('most installs are confirmed, and one is retired, with proof', async ({ signedIn: page }) => {
  const { counts } = await api<{ counts: { installs: number; confirmed: number } }>(page, 'GET', '/api/today')
  expect(counts.confirmed / counts.installs).toBeGreaterThan(0.6)
  const retired = await api<{ retiredAt: string; check: { findings: []; looks: [] } }>(
    page,
    'GET',
    `/api/installs/${await installId(page, 'status=retired')}`,
  )
  expect(retired.retiredAt).not.toBeNull()
  expect(retired.check.findings).toEqual([])
  expect(retired.check.looks).toHaveLength(2)
})

/** Kinds that show a list, or stars. */
const TELLS = new Set(['headlines', 'reviews', 'rating-badge'])

test('confirmed widgets are really there, in each platform’s own page', async ({ signedIn: page, browser }) => {
  const { rows } = await api<{
    rows: { origin: string; path: string; widget: string; kind: string; region: string }[]
  }>(page, 'GET', '/api/installs?status=confirmed&size=200')
  expect(rows.length).toBeGreaterThan(20)
  const visitor = await (await browser.newContext()).newPage()
  for (const host of ['gullhaven', 'windle-knot', 'observatory']) {
    // What stands over the page waits for its time: e2e/over-page.spec.ts.
    const here = rows.filter((row) => row.region && row.origin === siteAddress(host).slice(0, -1) && row.path === '/')
    await visitor.goto(siteAddress(host))
    await expect(
      visitor.locator('[data-pebblestrand-release]:not([data-pebblestrand-over])'),
      `confirmed there: ${here.map(({ widget }) => widget).join(', ')}`,
    ).toHaveCount(here.length)
    for (const { widget, kind } of here) {
      if (!TELLS.has(kind)) continue
      const named = visitor
        .getByRole('region', { name: widget, exact: true })
        .or(visitor.getByRole('group', { name: widget, exact: true }))
      const element = visitor.locator('[data-pebblestrand]').filter({ has: named }).first()
      const stars = element.getByRole('img', { name: /of 5 stars/ })
      await expect(element.getByRole('listitem').or(stars).first(), widget).toBeVisible()
      const isBadge = (await element.getByRole('listitem').count()) === 0
      const box = (await element.boundingBox())!
      expect(box.width).toBeGreaterThan(200)
      expect(box.height).toBeGreaterThan(isBadge ? 30 : 60)
    }
  }
  await visitor.context().close()
})

test('a source that fails is said on Today, and its last good copy stays up', async ({ signedIn: page }) => {
  await openToday(page)
  const lately = page.getByRole('complementary', { name: 'Lately' })
  await expect(lately.getByRole('heading', { name: 'Sources that fail' })).toBeVisible()
  await expect(lately.getByRole('listitem').filter({ hasText: 'Weather station' })).toContainText('stays up')
  await page.goto(`/widgets/${await widgetId(page, 'Wind and weather')}`)
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await expect(stage.getByRole('listitem')).toHaveText(/Wind from the west/)
})

test('a frame shows the widget in the site’s own font, no wider than its place', async ({ page }) => {
  await page.goto(siteAddress('tarnside-vets', '/advice'))
  const frame = page.locator('iframe[title="Post in brief"]')
  await frame.scrollIntoViewIfNeeded()
  const inside = page.frameLocator('iframe[title="Post in brief"]')
  await expect(inside.getByRole('listitem')).toHaveCount(6)
  await expect(inside.locator('body')).toHaveCSS('font-family', /Karla/)
  const { width, height } = (await frame.boundingBox())!
  expect(width).toBeLessThanOrEqual(1000)
  expect(await inside.locator('body').evaluate((body) => body.scrollHeight)).toBeLessThanOrEqual(height + 1)
})

test('retire: still there, then gone and proved; kept after all when asked', async ({ signedIn: page }) => {
  await page.goto(`/installs/${await installId(page, 'status=confirmed&q=Brackenfold')}`)
  const saw = page.getByRole('region', { name: 'What we saw' })
  await saw.getByRole('button', { name: 'Retire' }).click()
  await expect(saw.getByRole('heading', { name: 'It is still on the page.' })).toBeVisible()
  await expect(saw).toContainText('press Publish page')
  await saw.getByRole('button', { name: 'Keep it after all' }).click()
  await expect(saw).toContainText('Confirmed: there, once, in its place.')
})

test('phone width: everything can be read, nothing scrolls sideways', async ({ signedIn: page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const install = await installId(page, 'finding=double')
  for (const path of ['/today', '/sites', '/widgets', '/installs', `/installs/${install}`, '/sites?new=1']) {
    await page.goto(path)
    await expect(page.getByRole('heading').first()).toBeVisible()
    await page.waitForLoadState('networkidle')
    const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
    expect([path, over]).toEqual([path, 0])
  }
})

test('the theme follows the system, or the person', async ({ signedIn: page }) => {
  await openToday(page)
  const ground = () => page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor)
  await page.emulateMedia({ colorScheme: 'light' })
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light')
  const light = await ground()
  await page.emulateMedia({ colorScheme: 'dark' })
  await expect.poll(ground).not.toBe(light)
  await page.getByRole('button', { name: /account and theme/ }).click()
  await page.getByRole('menuitem', { name: 'Light' }).click()
  await expect.poll(ground).toBe(light)
  await page.reload()
  await expect.poll(ground).toBe(light)
})
