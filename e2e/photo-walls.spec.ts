import type { Browser, Page } from '@playwright/test'
import { violations } from './pages/axe'
import { begin, publish, stand } from './pages/live-widget'
import { api, expect, siteAddress, test } from './pages/signed-in'
import { visitorsComeToSee } from './pages/visitor'

// Photo walls: found by whatever is pasted, in every layout on a live page, enlarged and continued by keyboard.

const frames = (path: string) => siteAddress('isle-frames', path)
const place = { site: 'Brackenfold', host: 'brackenfold', path: '/club' }

test('a profile, a tag and a handle lead to a wall that is published', async ({ signedIn: page }) => {
  const id = await begin(page, 'photo-wall', 'even-grid', 'Seen by the harbour')
  await page.goto(`/widgets/${id}`)
  await page.locator('[data-setting=sources]').click()
  const sources = page.getByRole('dialog')
  const field = sources.getByLabel(/Address of a profile/)
  const kiln = ['Orrin Kiln Pottery', 'Posts that name Orrin Kiln Pottery']
  const candidates = sources.getByRole('heading', { level: 3 })
  for (const [pasted, names] of [
    [frames('/@orrin.kiln'), kiln],
    ['@gullhaven.ferries', ['Gullhaven Ferries', 'Posts that name Gullhaven Ferries']],
    ['#glaze', ['#glaze']],
    ['nobody.at.all', []],
    ['orrin.pottery', kiln],
  ] as const) {
    await field.fill(pasted)
    await sources.getByRole('button', { name: 'Look there' }).click()
    if (names.length) await expect(candidates, pasted).toHaveText([...names])
    else await expect(sources.getByRole('alert')).toContainText('a tag with its # before it')
  }
  await sources.getByRole('button', { name: 'Take this: Orrin Kiln Pottery' }).click()
  await expect(sources).toHaveCount(0)
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await expect(stage.getByRole('listitem')).toHaveCount(12)
  expect(await violations(page)).toEqual([])

  // One post leads elsewhere; it is chosen where the sieve lists what is shown.
  await page.getByRole('button', { name: /shown/ }).last().click()
  await page
    .getByRole('button', { name: /^Own link: Out of the kiln/ })
    .first()
    .click()
  await page.locator('[data-setting=ownLinks]').click()
  await page.getByLabel(/^Address for Out of the kiln/).fill('https://kiln.example/shop')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Escape')
  await expect(stage.getByRole('link', { name: /^Post by Orrin Kiln/ }).first()).toHaveAttribute(
    'href',
    'https://kiln.example/shop',
  )
  await page.getByRole('button', { name: 'Publish release 1' }).click()
  await expect(page.getByText('as release 1')).toBeVisible()
})

const region = (visitor: Page, name: string) => visitor.getByRole('region', { name, exact: true })
const cells = (visitor: Page, name: string) => region(visitor, name).locator('.l > li')
/** A post is shown once we have copies of its picture, which are made one after the other. */
const picturesOf = (browser: Browser, at: string, counts: Record<string, number>) =>
  expect(async () => {
    const visitor = await browser.newPage()
    try {
      await visitor.goto(at)
      for (const [name, count] of Object.entries(counts))
        await expect(cells(visitor, name)).toHaveCount(count, { timeout: 1500 })
    } finally {
      await visitor.close()
    }
  }).toPass({ timeout: 60_000 })
const source = async (page: Page, path: string) =>
  (await api<{ id: string }>(page, 'POST', '/api/sources', { kind: 'photo-service', url: frames(path) })).id

test('every layout on a live page: no shift, no wider than a phone, nothing axe would say', async ({
  signedIn: page,
  browser,
}) => {
  test.setTimeout(240_000)
  const wall = await begin(page, 'photo-wall', 'bricks', 'Every hour')
  const own = {
    sources: [await source(page, '/@isles.every.hour')],
    count: 12,
    title: 'own',
    titleText: 'Every hour',
    caption: 'below',
    counts: true,
    header: 'line',
    hover: 'both',
  }
  await publish(page, wall, { ...own, layout: 'grid' })
  const { at, paste, away } = await stand(page, browser, place, [{ widgetId: wall, region: 'main' }])
  await picturesOf(browser, at, { 'Every hour': 12 })
  for (const layout of ['grid', 'masonry', 'large-first', 'carousel', 'one', 'list'] as const) {
    const more = layout === 'carousel' || layout === 'one' ? 'no' : '6'
    await publish(page, wall, { ...own, layout, more, ratio: layout === 'masonry' ? 'own' : 'landscape' })
    await visitorsComeToSee(browser, at, async (visitor) => {
      await expect(cells(visitor, 'Every hour')).toHaveCount(more === 'no' ? 12 : 6, { timeout: 2000 })
      await expect(region(visitor, 'Every hour').locator('.k')).toHaveCount(more === 'no' ? 1 : 0)
      for (const width of [1280, 768, 390]) {
        await visitor.setViewportSize({ width, height: 800 })
        expect(await visitor.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0)
        const broken = await cells(visitor, 'Every hour').evaluateAll(
          (all) =>
            all.filter((one) => one.getBoundingClientRect().width < 60 || one.getBoundingClientRect().height < 60)
              .length,
        )
        expect(broken, `${layout} in ${width} px`).toBe(0)
      }
      expect(await violations(visitor, '[data-pebblestrand]'), layout).toEqual([])
    })
    await paste() // the room it asks for is another one
    const shifts = await Promise.all([390, 768, 1280].map((width) => shiftAt(page, at, width)))
    expect(shifts, layout).toEqual([0, 0, 0])
  }
  await away()
})

/** The browser's own sum of layout shift while the page loads, in a window of a width. */
async function shiftAt(page: Page, address: string, width: number): Promise<number> {
  const context = await page
    .context()
    .browser()!
    .newContext({ viewport: { width, height: 800 } })
  const visitor = await context.newPage()
  await visitor.route('**/*.woff2', (route) => route.abort()) // the site's own fonts shift its own words when they come
  await visitor.addInitScript(() => {
    const shifts: number[] = []
    Object.assign(window, { shifts })
    new PerformanceObserver((list) =>
      list.getEntries().forEach((one) => shifts.push((one as unknown as { value: number }).value)),
    ).observe({ type: 'layout-shift', buffered: true })
  })
  await visitor.goto(address)
  await visitor.waitForLoadState('networkidle')
  const sum = await visitor.evaluate(() =>
    (window as unknown as { shifts: number[] }).shifts.reduce((all, one) => all + one, 0),
  )
  await context.close()
  return Math.round(sum * 1000) / 1000
}

test('two walls on a page: more and enlarge by keyboard, each on its own; a post hidden later goes', async ({
  signedIn: page,
  browser,
}) => {
  test.setTimeout(150_000)
  const [cats, wheels] = [
    await begin(page, 'photo-wall', 'even-grid', 'Cats'),
    await begin(page, 'photo-wall', 'even-grid', 'Wheels'),
  ]
  const [catSource, wheelSource] = [await source(page, '/@tarnside.vets'), await source(page, '/@pollard.cycles')]
  await publish(page, cats, { sources: [catSource], count: 15, more: '6' })
  await publish(page, wheels, { sources: [wheelSource], count: 3 })
  const { at, away } = await stand(page, browser, place, [
    { widgetId: cats, region: 'main' },
    { widgetId: wheels, region: 'main' },
  ])
  await picturesOf(browser, at, { Cats: 6, Wheels: 3 })
  await visitorsComeToSee(browser, at, async (visitor) => {
    await expect(cells(visitor, 'Cats')).toHaveCount(6, { timeout: 2000 })
    await expect(cells(visitor, 'Wheels')).toHaveCount(3)
    const more = region(visitor, 'Cats').getByRole('button', { name: 'Show more' })
    await more.focus()
    const before = await visitor.evaluate(() => scrollY)
    await visitor.keyboard.press('Enter')
    await expect(cells(visitor, 'Cats')).toHaveCount(12)
    const seventh = cells(visitor, 'Cats').nth(6).getByRole('link')
    await expect(seventh).toBeFocused()
    expect(await visitor.evaluate(() => scrollY)).toBe(before)

    await visitor.keyboard.press('Enter')
    const dialog = visitor.getByRole('dialog')
    await expect(dialog).toBeVisible()
    await expect(dialog.getByRole('button', { name: 'Close' })).toBeFocused()
    await expect(dialog.locator('img')).toHaveJSProperty('complete', true)
    expect(await violations(visitor, '[data-pebblestrand]')).toEqual([])
    const which = async () => Number(/^(\d+) of/.exec(await dialog.locator('.en-n').first().innerText())?.[1])
    const first = await which()
    await visitor.keyboard.press('ArrowRight')
    expect(await which()).toBe(first + 1)
    await dialog.getByRole('button', { name: 'One back' }).click()
    expect(await which()).toBe(first)
    // Nothing of the page behind is reached by Tab.
    for (let press = 0; press < 6; press++) await visitor.keyboard.press('Tab')
    expect(await visitor.evaluate(() => document.activeElement?.matches('[data-pebblestrand], body'))).toBe(true)
    await visitor.keyboard.press('Escape')
    await expect(dialog).toBeHidden()
    await expect(seventh).toBeFocused()

    await cells(visitor, 'Wheels').first().getByRole('link').click()
    await expect(dialog.locator('.en-n').first()).toHaveText(/^1 of \d$/)
    await expect(dialog.getByRole('link', { name: 'See the original' })).toHaveAttribute(
      'href',
      /\/p\/pollardcycles000$/,
    )
    await visitor.keyboard.press('Escape')

    await more.click()
    await expect(cells(visitor, 'Cats')).toHaveCount(15)
    await expect(more).toBeHidden()
  })
  const { rows } = await api<{ rows: { key: string }[] }>(page, 'GET', `/api/sources/${wheelSource}/items?size=5`)
  await publish(page, wheels, { hidden: [`${wheelSource}:${rows[0]!.key}`] })
  await visitorsComeToSee(browser, at, async (visitor) => {
    await expect(cells(visitor, 'Wheels').first().getByRole('link')).not.toHaveAttribute('href', /000$/, {
      timeout: 1500,
    })
    await expect(cells(visitor, 'Wheels')).toHaveCount(3)
  })
  await away()
})
