import type { Page } from '@playwright/test'
import { publishRelease } from './pages/publish'
import { violations } from './pages/axe'
import { cells, inEveryLayout, isRow, picturesOf } from './pages/every-layout'
import { installId, widgetId } from './pages/finds'
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
  await publishRelease(page, 1)
  await expect(page.getByText('as release 1')).toBeVisible()
})

const region = (visitor: Page, name: string) => visitor.getByRole('region', { name, exact: true })
const source = async (page: Page, path: string) =>
  (await api<{ id: string }>(page, 'POST', '/api/sources', { kind: 'photo-service', url: frames(path) })).id

test('every layout on a live page: no shift, no wider than a phone, nothing axe would say', async ({
  signedIn: page,
  browser,
}) => {
  const own = {
    sources: [await source(page, '/@isles.every.hour')],
    count: 12,
    caption: 'below',
    counts: true,
    header: 'line',
    hover: 'both',
  }
  const { away } = await inEveryLayout(page, browser, place, {
    kind: 'photo-wall',
    starter: 'bricks',
    name: 'Every hour',
    layouts: ['grid', 'masonry', 'large-first', 'carousel', 'one', 'list'],
    settings: (layout) => ({
      ...own,
      more: isRow(layout) ? 'no' : '6',
      ratio: layout === 'masonry' ? 'own' : 'landscape',
    }),
    shown: (layout) => (isRow(layout) ? 12 : 6),
  })
  await away()
})

test('two walls on a page: more and enlarge by keyboard, each on its own; a post hidden later goes', async ({
  signedIn: page,
  browser,
}) => {
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
    await expect(cells(visitor, 'Cats')).toHaveCount(6, { timeout: 5_000 })
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
    // All of the picture, whatever its shape.
    const whole = () =>
      dialog.locator('img').evaluate((image) => {
        const [inner, outer] = [image.getBoundingClientRect(), image.parentElement!.getBoundingClientRect()]
        return inner.height <= outer.height + 1 && inner.width <= outer.width + 1 && inner.height > 100
      })
    for (const size of [
      { width: 1280, height: 500 },
      { width: 390, height: 800 },
      { width: 1280, height: 720 },
    ]) {
      await visitor.setViewportSize(size)
      await expect.poll(whole).toBe(true)
    }
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
      timeout: 5_000,
    })
    await expect(cells(visitor, 'Wheels')).toHaveCount(3)
  })
  await away()
})

test('on paper and without a script the first posts stand there, and a link to the rest', async ({
  signedIn: page,
  browser,
}) => {
  const id = await installId(page, `widgetId=${await widgetId(page, 'From the kiln')}`)
  const { snippets } = await api<{ snippets: { frame: string } }>(page, 'GET', `/api/installs/${id}`)
  const address = /src="([^"]+)"/.exec(snippets.frame)![1]!
  const rest = { name: /^isle-frames\.localhost:\d+\/@orrin\.kiln$/ }
  await picturesOf(browser, address, { 'From the kiln': 6 })
  const context = await browser.newContext({ javaScriptEnabled: false })
  const plain = await context.newPage()
  await plain.goto(address)
  await expect(cells(plain, 'From the kiln')).toHaveCount(6)
  await expect(plain.getByRole('link', rest)).toBeVisible()
  await expect(plain.getByRole('button', { name: 'Show more' })).toBeHidden()
  await plain.goto(siteAddress('orrin-kiln', '/kiln'))
  await expect(plain.getByRole('link', { name: 'From the kiln' })).toBeVisible()
  await context.close()

  const visitor = await browser.newPage()
  await visitor.goto(siteAddress('orrin-kiln', '/kiln'))
  await expect(region(visitor, 'From the kiln').getByRole('button', { name: 'Show more' })).toBeVisible()
  await expect(region(visitor, 'From the kiln').getByRole('link', rest)).toBeHidden()
  await visitor.emulateMedia({ media: 'print' })
  await expect(cells(visitor, 'From the kiln').first()).toBeVisible()
  await expect(region(visitor, 'From the kiln').getByRole('link', rest)).toBeVisible()
  await expect(region(visitor, 'From the kiln').getByRole('button', { name: 'Show more' })).toBeHidden()
  await visitor.close()
})
