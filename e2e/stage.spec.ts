import { api, expect, test } from './pages/signed-in'

// The stage in a placement: what it shows is what was pasted there, at the window that is chosen.

interface Row {
  id: string
  widgetId: string
  placementId: string | null
  method: string
  status: string
  site: string
}

test('keeps the room that the pasted snippet keeps, wherever a widget stands', async ({ signedIn: page }) => {
  test.setTimeout(400_000)
  const { rows } = await api<{ rows: Row[] }>(page, 'GET', '/api/installs?size=100&status=confirmed')
  const stood = rows.filter(({ method, placementId }) => method === 'inline' && placementId)
  // The stage shows the draft: what was changed since the release is another widget.
  const drafts = await api<{ rows: { id: string }[] }>(page, 'GET', '/api/widgets?size=100&state=changed')
  const changed = new Set(drafts.rows.map((widget) => widget.id))
  const same = stood.filter((row) => !changed.has(row.widgetId))
  // One of each site: an editor's own frame keeps no room by the window, and is left to the steps.
  const some = [...new Map(same.map((row) => [row.site, row])).values()].filter(({ site }) => !/Holm/.test(site))
  expect(some.length).toBeGreaterThanOrEqual(6)
  for (const { id, widgetId, placementId, site } of some.slice(0, 8)) {
    const { snippets } = await api<{ snippets: { inline: string } }>(page, 'GET', `/api/installs/${id}`)
    const pasted = /style="min-height:([^"]+)"/.exec(snippets.inline)![1]!
    await page.goto(`/widgets/${widgetId}?stage=${placementId}`)
    const room = page.frameLocator('iframe[title="The widget as it will stand there"]').locator('#pebblestrand-room')
    await expect(room, site).toHaveAttribute('style', /min-height/)
    const kept = await room.evaluate((element, css) => {
      const twin = document.createElement('div')
      twin.style.minHeight = css
      return [element.style.minHeight, twin.style.minHeight]
    }, pasted)
    expect(kept[0], site).toBe(kept[1])
  }
})

test('shows a placement in each window and at its full size, and the address says which', async ({
  signedIn: page,
}) => {
  const { rows } = await api<{ rows: Row[] }>(page, 'GET', '/api/installs?size=100&status=confirmed')
  const { widgetId, placementId } = rows.find(({ site, placementId }) => /Tarnside/.test(site) && placementId)!
  await page.goto(`/widgets/${widgetId}?stage=${placementId}`)
  const frame = page.locator('iframe[title="The widget as it will stand there"]')
  const room = page.frameLocator('iframe[title="The widget as it will stand there"]').locator('#pebblestrand-room')
  await expect(page.getByLabel('In place', { exact: true })).toHaveValue(placementId!)
  for (const [name, width] of [
    ['Phone 390', 390],
    ['Tablet 768', 768],
    ['Desktop 1280', 1280],
  ] as const) {
    await page.getByRole('button', { name }).click()
    await expect(frame).toHaveCSS('width', `${width}px`)
    const beside = () => room.evaluate((element) => innerWidth - element.getBoundingClientRect().width)
    await expect.poll(beside).toBeGreaterThan(0)
    // The stage draws it smaller; it is as wide as in a window of that width all the same.
    expect(await room.evaluate(() => innerWidth)).toBe(width)
  }
  await page.getByRole('button', { name: 'Show it at 100 %' }).click()
  await expect(frame).toHaveCSS('transform', 'matrix(1, 0, 0, 1, 0, 0)')
  await expect(page).toHaveURL(/size=100/)
  await page.getByRole('button', { name: 'Tablet 768' }).click()
  await expect(page).toHaveURL(/screen=tablet/)
  await page.reload()
  await expect(frame).toHaveCSS('width', '768px')
  await page.getByLabel('In place', { exact: true }).selectOption({ label: 'none (widget alone)' })
  await expect(page).toHaveURL(/stage=tablet/)
  await expect(page.getByRole('button', { name: 'Tablet 768' })).toHaveAttribute('aria-pressed', 'true')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('button', { name: 'Desktop 1280' }).click()
  await expect(frame).toHaveCSS('width', '1280px')
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0)
})
