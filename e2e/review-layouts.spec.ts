import type { Page } from '@playwright/test'
import { violations } from './pages/axe'
import { begin, publish, stand } from './pages/live-widget'
import { api, expect, siteAddress, test } from './pages/signed-in'
import { visitorsComeToSee } from './pages/visitor'

// Both kinds that show reviews on a live page: what moves, by keyboard and from right to left, and what opens (layouts.spec.ts has the layouts).

test('reviews that move by themselves, and a badge in the corner, on a live page', async ({
  signedIn: page,
  browser,
}) => {
  const { id: source } = await api<{ id: string }>(page, 'POST', '/api/sources', {
    kind: 'review-service',
    url: siteAddress('harbour-voices', '/map?place=hv8r5k1v3nb6wz'),
  })
  const reviews = await begin(page, 'reviews', 'whole-list', 'Said of the railway')
  const badge = await begin(page, 'rating-badge', 'corner', 'Railway rating')
  const own = { sources: [source], count: 8, avatar: 'own', title: 'own', titleText: 'Said of the railway' }
  await publish(page, reviews, { ...own, layout: 'list' })
  await publish(page, badge, { sources: [source] })

  const { at, away } = await stand(page, browser, { site: 'Brackenfold', host: 'brackenfold', path: '/orchard' }, [
    { widgetId: reviews, region: 'main' },
    { widgetId: badge },
  ])

  const said = (visitor: Page) => visitor.getByRole('region', { name: 'Said of the railway' })
  const items = (visitor: Page) => said(visitor).locator('.l > li')

  await publish(page, reviews, { ...own, layout: 'one', moves: '5' })
  await visitorsComeToSee(browser, at, async (visitor) => {
    await expect(said(visitor).getByRole('button', { name: 'Stop moving' })).toBeVisible({ timeout: 5_000 })
    await expect(items(visitor)).toHaveCount(8)
  })

  // The row: by buttons, by keys, the other way round from right to left; it stands still where no motion is wanted.
  await publish(page, reviews, { ...own, layout: 'carousel', columns: 3, moves: '5' })
  for (const dir of ['ltr', 'rtl'] as const) {
    const context = await browser.newContext({ reducedMotion: 'reduce', viewport: { width: 1000, height: 800 } })
    const visitor = await context.newPage()
    await visitor.addInitScript((way) => {
      addEventListener('DOMContentLoaded', () => (document.documentElement.dir = way))
    }, dir)
    await expect(async () => {
      await visitor.goto(at)
      await expect(said(visitor).getByRole('button', { name: 'Go on moving' })).toBeVisible({ timeout: 5_000 })
    }).toPass()
    const list = said(visitor).getByRole('list').first()
    const along = () => list.evaluate((row) => Math.round(Math.abs(row.scrollLeft)))
    await said(visitor).getByRole('button', { name: 'Next' }).click()
    await expect.poll(along).toBeGreaterThan(20)
    const once = await along()
    await list.focus()
    await visitor.keyboard.press(dir === 'ltr' ? 'ArrowRight' : 'ArrowLeft')
    await expect.poll(along).toBeGreaterThan(once)
    await said(visitor).getByRole('button', { name: 'Previous' }).click()
    await expect.poll(along).toBe(once)
    await said(visitor).getByRole('button', { name: 'Previous' }).click()
    await said(visitor).getByRole('button', { name: 'Previous' }).click()
    await expect.poll(along).toBeGreaterThan(once) // from the first to the last
    await context.close()
  }

  // The badge in the corner: a panel with reviews, closed by Escape and from elsewhere; put away it stays so for the visit.
  const context = await browser.newContext({ viewport: { width: 390, height: 700 } })
  const visitor = await context.newPage()
  await visitor.goto(at)
  const summary = visitor.locator('summary').filter({ hasText: 'reviews' })
  await expect(summary).toBeInViewport()
  const corner = (await summary.boundingBox())!
  expect(corner.x + corner.width).toBeLessThanOrEqual(390 - 15)
  expect(corner.y + corner.height).toBeLessThanOrEqual(700 - 15)
  await summary.focus()
  await visitor.keyboard.press('Enter')
  const panel = visitor.getByRole('group', { name: 'Railway rating' })
  await expect(panel.getByRole('listitem')).toHaveCount(5)
  await expect(panel).toBeInViewport({ ratio: 1 })
  expect(await violations(visitor, '[data-pebblestrand]')).toEqual([])
  await visitor.keyboard.press('Escape')
  await expect(panel).toBeHidden()
  await expect(summary).toBeFocused()
  await summary.click()
  await visitor.mouse.click(10, 10)
  await expect(panel).toBeHidden()
  await visitor.getByRole('button', { name: 'Close' }).click()
  await expect(summary).toBeHidden()
  await visitor.reload()
  await expect(items(visitor).first()).toBeVisible()
  await expect(summary).toBeHidden()
  await context.close()
  await away()
})

test('a keyword that narrows to nothing is mended by the hint; single reviews are put first and hidden', async ({
  signedIn: page,
}) => {
  const { id: source } = await api<{ id: string }>(page, 'POST', '/api/sources', {
    kind: 'structured-data',
    url: siteAddress('skerrow-guide', '/places/orrin-kiln'),
  })
  const id = await begin(page, 'reviews', 'three-voices', 'By hand')
  await publish(page, id, { sources: [source], count: 6, stars: '5', onlyWithText: false, include: ['chip'] })
  await page.goto(`/widgets/${id}?stage=desktop`)
  await expect(page.getByText('As it stands, nothing would be shown')).toBeVisible()
  await expect(page.getByText('Without 5 stars: 1 more.')).toBeVisible()
  await page.getByRole('button', { name: 'Do without mention chip' }).click()
  await expect(page.locator('[data-setting=include]')).toHaveText('anything')
  await expect(page.getByText('nothing would be shown')).toHaveCount(0)
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await expect(stage.getByRole('listitem').first()).toContainText('Greta S.')
  // Only numbers and a few lines come to this thread, however many reviews there are.
  await page.getByRole('button', { name: /^\d+ shown$/ }).click()
  const shown = page.getByRole('region', { name: 'What is shown' })
  await shown.getByRole('button', { name: /^Put first: Our wedding plates/ }).click()
  await expect(stage.getByRole('listitem').first()).toContainText('Aoife L.')
  await shown.getByRole('button', { name: /^Hide: I made a bowl/ }).click()
  await expect(stage.getByText('Greta S.')).toHaveCount(0)
  await page.locator('[data-setting=hidden]').click()
  await page.getByRole('button', { name: /^No longer here: I made a bowl/ }).click()
  await page.keyboard.press('Escape')
  await expect(stage.getByText('Greta S.')).toBeVisible()
  expect(await violations(page)).toEqual([])
})
