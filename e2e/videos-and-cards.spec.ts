import { publishRelease } from './pages/publish'
import { violations } from './pages/axe'
import { cells, inEveryLayout, picturesOf } from './pages/every-layout'
import { begin, publish, stand } from './pages/live-widget'
import { api, expect, settings, siteAddress, test } from './pages/signed-in'
import { visitorsComeToSee } from './pages/visitor'

// Films and profile cards: found by whatever is pasted, on a live page in every layout; a film that plays only when it is asked to.

const films = (path: string) => siteAddress('moving-shore', path)
const place = { site: 'Brackenfold', host: 'brackenfold', path: '/club' }
const trouble = (body: object) =>
  fetch(`http://localhost:${settings.standinsPort}/standins/films`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
test.afterEach(() => trouble({ outage: false }))
const channel = '/feeds/channel/mc-9b3n6m1q.xml'

test('a channel, a user, a film and an embed code lead to films that are published', async ({ signedIn: page }) => {
  const id = await begin(page, 'videos', 'three-across', 'Filmed at the museum')
  await page.goto(`/widgets/${id}`)
  await page.locator('[data-setting=sources]').click()
  const sources = page.getByRole('dialog')
  const field = sources.getByLabel(/Address of a channel/)
  for (const [pasted, name] of [
    [films('/channel/mc-9b3n6m1q'), 'Knots on Film'],
    [films('/u/windleknot'), 'Knots on Film'],
    [films('/watch?film=mf-1e5r9t3y'), 'Knots on Film'],
    [`<iframe src="${films('/play/mf-1e5r9t3y')}" width="480"></iframe>`, 'Knots on Film'],
    [films('/watch?film=mf-6n1m4q8w&list=ml-7h2j5k9l'), 'Rainy afternoons'],
  ] as const) {
    await field.fill(pasted)
    await sources.getByRole('button', { name: 'Look there' }).click()
    await expect(sources.getByRole('heading', { name, level: 3 }), pasted).toHaveCount(1)
    await field.fill('')
  }
  await field.fill(siteAddress('skerrow-post', '/feeds/news.xml'))
  await sources.getByRole('button', { name: 'Look there' }).click()
  await expect(sources.getByRole('alert')).toBeVisible()
  await field.fill(films('/u/windleknot'))
  await sources.getByRole('button', { name: 'Look there' }).click()
  await sources.getByRole('button', { name: 'Take this: Knots on Film' }).click()
  await expect(sources).toHaveCount(0)
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await expect(stage.getByRole('heading', { name: 'Winding the tower clock' })).toBeVisible()
  expect(await violations(page)).toEqual([])
  await publishRelease(page, 1)
  await expect(page.getByText('as release 1')).toBeVisible()
})

test('films in every layout on a live page; the service is asked only when one is played', async ({
  signedIn: page,
  browser,
}) => {
  const source = await api<{ id: string }>(page, 'POST', '/api/sources', { kind: 'video-feed', url: films(channel) })
  const standing = await inEveryLayout(page, browser, place, {
    kind: 'videos',
    starter: 'three-across',
    name: 'Rope on film',
    layouts: ['grid', 'list', 'large-first', 'carousel', 'one'],
    settings: () => ({ sources: [source.id], count: 4 }),
    shown: () => 4,
  })
  // While the service is down, what is there stays; its source says so.
  await trouble({ outage: true })
  const { problem } = await api<{ problem: { message: string } | null }>(
    page,
    'POST',
    `/api/sources/${source.id}/refresh`,
    {},
  )
  expect(problem?.message).toContain('503')
  await visitorsComeToSee(browser, standing.at, async (visitor) => {
    await expect(cells(visitor, standing.nameOf('one'))).toHaveCount(4, { timeout: 5_000 })
  })
  await trouble({ outage: false })
  const context = await browser.newContext({ viewport: { width: 390, height: 800 } })
  const visitor = await context.newPage()
  const asked: string[] = []
  visitor.on('request', (request) => {
    if (new URL(request.url()).hostname.startsWith('moving-shore')) asked.push(new URL(request.url()).pathname)
  })
  await visitor.goto(standing.at)
  const first = cells(visitor, standing.nameOf('grid')).first().getByRole('link')
  await expect(first).toBeVisible()
  await visitor.waitForLoadState('networkidle')
  expect(asked).toEqual([])
  await first.focus()
  await visitor.keyboard.press('Enter')
  const dialog = visitor.getByRole('dialog')
  await expect(dialog.getByText(/Plays from moving-shore\.localhost, which is asked only now\./)).toBeVisible()
  await expect.poll(() => asked).toContain('/play/mf-6n1m4q8w')
  expect(await violations(visitor, '[data-pebblestrand]')).toEqual([])
  await visitor.keyboard.press('Escape')
  await expect(dialog).toBeHidden()
  await expect(dialog.locator('iframe')).toHaveCount(0)
  await expect(first).toBeFocused()
  await context.close()
  await standing.away()
})

test('a profile card from its handle to a live page, and of a channel', async ({ signedIn: page, browser }) => {
  const widgetId = await begin(page, 'profile-card', 'card', 'Follow the ferries')
  await page.goto(`/widgets/${widgetId}`)
  await page.locator('[data-setting=sources]').click()
  const sources = page.getByRole('dialog')
  const field = sources.getByLabel(/Address of a profile/)
  await field.fill('@gullhaven.ferries')
  await sources.getByRole('button', { name: 'Look there' }).click()
  await sources.getByRole('button', { name: 'Take this: Gullhaven Ferries', exact: true }).click()
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await expect(stage.getByText('@gullhaven.ferries')).toBeVisible()
  // A channel takes the profile's place: there is room for one.
  await page.locator('[data-setting=sources]').click()
  await field.fill(films('/channel/mc-9b3n6m1q'))
  await sources.getByRole('button', { name: 'Look there' }).click()
  await sources.getByRole('button', { name: 'Take this: Knots on Film' }).click()
  await expect(stage.getByText('Rope, slowly. Clocks, too.')).toBeVisible()
  await expect(stage.getByText('@gullhaven.ferries')).toHaveCount(0)
  // A card without posts shows its profile: that is not nothing.
  const posts = page.getByRole('spinbutton', { name: /Newest posts/ }).first()
  await posts.focus()
  for (let at = Number(await posts.getAttribute('aria-valuenow')); at > 0; at--) await posts.press('ArrowDown')
  await expect(stage.locator('[part=list]')).toHaveCount(0)
  await expect(stage.getByText('Rope, slowly. Clocks, too.')).toBeVisible()
  await expect(page.getByText('nothing would be shown')).toHaveCount(0)
  await expect(page.getByText('saved', { exact: true })).toBeVisible()

  const url = siteAddress('isle-frames', '/@gullhaven.ferries')
  const source = await api<{ id: string }>(page, 'POST', '/api/sources', { kind: 'photo-service', url })
  await publish(page, widgetId, { sources: [source.id], count: 3 })
  const { at, away } = await stand(page, browser, place, [{ widgetId, region: 'sidebar' }])
  await picturesOf(browser, at, { 'Follow the ferries': 3 })
  await visitorsComeToSee(browser, at, async (visitor) => {
    const card = visitor.getByRole('region', { name: 'Follow the ferries' })
    await expect(card.getByText('@gullhaven.ferries')).toBeVisible({ timeout: 5_000 })
    await expect(cells(visitor, 'Follow the ferries')).toHaveCount(3, { timeout: 5_000 })
    await expect(card.getByRole('link', { name: 'Follow: Gullhaven Ferries' })).toHaveAttribute('href', url)
    for (const width of [1280, 390]) {
      await visitor.setViewportSize({ width, height: 800 })
      expect(await visitor.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0)
      expect(await violations(visitor, '[data-pebblestrand]')).toEqual([])
    }
  })
  await away()
})
