import { violations } from './pages/axe'
import { begin, publish, stand } from './pages/live-widget'
import { api, expect, siteAddress, test } from './pages/signed-in'
import { siteId } from './pages/finds'
import { visitorsComeToSee } from './pages/visitor'

// What decides whether a client says "that is us": the site's own look, themes, languages, own CSS; and widgets exchanged without
// anybody touching the client's page.

test('a look is taken piece by piece, shown as a specimen', async ({ signedIn: page }) => {
  await page.goto(`/sites/${await siteId(page, 'Ninefold')}`)
  await page.getByRole('button', { name: 'Take the look of the site' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('button', { name: 'Look at it' }).click()
  await expect(sheet.getByText('As a browser draws it.')).toBeVisible()
  await expect(sheet.getByRole('img', { name: 'Specimen' })).toBeVisible()
  expect(await violations(page, '[role=dialog]')).toEqual([])
  await sheet.getByRole('checkbox', { name: /Content width/ }).uncheck()
  await sheet.getByRole('button', { name: /^Take \d+ of \d+$/ }).click()
  await expect(page.getByText('The look is noted.')).toBeVisible()
})

const place = { site: 'Brackenfold', host: 'brackenfold', path: '/club' }

test('on a live page: the site’s own look, dark, see-through, and from right to left', async ({
  signedIn: page,
  browser,
}) => {
  const widgetId = await begin(page, 'headlines', 'sidebar-list', 'Worn by the site')
  const feed = (
    await api<{ id: string }>(page, 'POST', '/api/sources', {
      kind: 'feed',
      url: siteAddress('skerrow-post', '/feeds/news.xml'),
    })
  ).id
  const own = { sources: [feed], count: 3, title: 'own', titleText: 'Worn by the site' }
  await publish(page, widgetId, own)
  const standing = await stand(page, browser, place, [{ widgetId, region: 'main' }])
  const seen = async (settings: object, see: Parameters<typeof visitorsComeToSee>[2]) => {
    await publish(page, widgetId, { ...own, ...settings })
    await visitorsComeToSee(browser, standing.at, see)
  }
  const styleOf = (visitor: typeof page, selector: string) =>
    visitor.getByRole('region', { name: 'Worn by the site' }).evaluate((root, part) => {
      const element = part ? root.querySelector(part)! : root
      const { color, backgroundColor, textDecorationColor, direction } = getComputedStyle(element)
      return { color, backgroundColor, textDecorationColor, direction }
    }, selector)
  const accent = 'rgb(107, 127, 30)' // #6b7f1e, as that site's sheet has it
  await seen({ accent: '' }, async (visitor) => {
    expect((await styleOf(visitor, 'h3 a')).textDecorationColor).toBe(accent)
    expect((await styleOf(visitor, '')).color).toBe('rgb(44, 51, 32)')
  })
  await seen({ theme: 'dark', accent: '' }, async (visitor) => {
    expect((await styleOf(visitor, '')).backgroundColor).toBe('rgb(22, 27, 31)')
    // Too dark on that ground, and so it is lightened until it can be read.
    const { textDecorationColor } = await styleOf(visitor, 'h3 a')
    expect(textDecorationColor).not.toBe(accent)
    expect(await violations(visitor, '[data-pebblestrand]')).toEqual([])
  })
  await seen({ theme: 'system' }, async (visitor) => {
    await visitor.emulateMedia({ colorScheme: 'dark' })
    expect((await styleOf(visitor, '')).backgroundColor).toBe('rgb(22, 27, 31)')
    await visitor.emulateMedia({ colorScheme: 'light' })
    expect((await styleOf(visitor, '')).backgroundColor).toBe('rgb(255, 255, 255)')
  })
  await seen({ theme: 'own', background: '#102030', opacity: 40, text: '#000000' }, async (visitor) =>
    expect((await styleOf(visitor, '')).backgroundColor).toBe('rgba(16, 32, 48, 0.4)'),
  )
  await seen({ locale: 'ar', dateStyle: 'ago', layout: 'carousel' }, async (visitor) => {
    expect((await styleOf(visitor, '')).direction).toBe('rtl')
    await expect(visitor.getByRole('button', { name: 'التالي' })).toBeVisible()
    await expect(visitor.locator('time[data-ago]').first()).toContainText('قبل')
    expect(await visitor.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0)
    expect(await violations(visitor, '[data-pebblestrand]')).toEqual([])
  })
  await standing.away()
})

test('own CSS changes the widget, and nothing of the page around it', async ({ signedIn: page, browser }) => {
  const widgetId = await begin(page, 'headlines', 'sidebar-list', 'Dressed by hand')
  const feed = (
    await api<{ id: string }>(page, 'POST', '/api/sources', {
      kind: 'feed',
      url: siteAddress('skerrow-post', '/feeds/news.xml'),
    })
  ).id
  const own = { sources: [feed], count: 3, title: 'own', titleText: 'Dressed by hand' }
  await publish(page, widgetId, own)
  const standing = await stand(page, browser, place, [{ widgetId, region: 'main' }])

  await page.goto(`/widgets/${widgetId}`)
  await page.locator('[data-setting=ownCss]').click()
  const editor = page.getByRole('textbox', { name: 'Own CSS' })
  await editor.fill(
    [
      '::part(title) { color: rgb(1, 2, 3); }',
      '::part(widget) { position: fixed; inset: 0; z-index: 999999; background: red; }',
      'body { display: none; }',
      '::part(item) { background: url(https://elsewhere.example/a.png); }',
      '::part(list) { margin: -400px; }',
    ].join('\n'),
  )
  const notes = page.getByRole('dialog').getByRole('listitem')
  await expect(notes.filter({ hasText: 'Line 3' })).toContainText('it is no element of the widget')
  await expect(notes.filter({ hasText: 'Line 4' })).toContainText('load something from elsewhere')
  await expect(notes).toHaveCount(2)
  expect(await violations(page, '[role=dialog]')).toEqual([])
  await page.keyboard.press('Escape')
  const kept = async () =>
    (await api<{ draft: { settings: { ownCss: string } } }>(page, 'GET', `/api/widgets/${widgetId}`)).draft.settings
      .ownCss
  await expect.poll(kept).toContain('margin: -400px')
  const ownCss = await kept()
  await publish(page, widgetId, { ...own, ownCss })
  await visitorsComeToSee(browser, standing.at, async (visitor) => {
    const asked: string[] = []
    visitor.on('request', (request) => asked.push(new URL(request.url()).hostname))
    const title = visitor.getByRole('region', { name: 'Dressed by hand' }).locator('h3').first()
    await expect(title).toHaveCSS('color', 'rgb(1, 2, 3)')
    await expect(visitor.locator('body')).toBeVisible()
    // Whatever it says of itself, it is painted in its place alone: the site's own name is still what one would press.
    const masthead = visitor.locator('.masthead strong')
    const { x, y, width, height } = (await masthead.boundingBox())!
    const there = await visitor.evaluate(
      ([left, top]) => document.elementFromPoint(left!, top!)?.closest('.masthead') !== null,
      [x + width / 2, y + height / 2],
    )
    expect(there).toBe(true)
    expect(asked).not.toContain('elsewhere.example')
  })
  await standing.away()
})

test('a widget is swapped and back, and held at a release, without touching the client’s page', async ({
  signedIn: page,
  browser,
}) => {
  const feed = (
    await api<{ id: string }>(page, 'POST', '/api/sources', {
      kind: 'feed',
      url: siteAddress('skerrow-post', '/feeds/news.xml'),
    })
  ).id
  const make = async (name: string, more: object = {}) => {
    const id = await begin(page, 'headlines', 'sidebar-list', name)
    const own = { sources: [feed], count: 3, title: 'own', titleText: name, ...more }
    await publish(page, id, own)
    return { id, own }
  }
  const [summer, winter] = [await make('Summer menu'), await make('Winter menu')]
  const standing = await stand(page, browser, place, [{ widgetId: summer.id, region: 'main' }])
  const heading = (name: string) =>
    visitorsComeToSee(browser, standing.at, (visitor) =>
      expect(visitor.getByRole('heading', { name })).toBeVisible({ timeout: 5_000 }),
    )
  const [install] = (await api<{ rows: { id: string }[] }>(page, 'GET', `/api/installs?widgetId=${summer.id}`)).rows
  await page.goto(`/installs/${install!.id}`)
  await page.getByRole('button', { name: 'Swap the widget' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('searchbox').fill('menu')
  await sheet.getByRole('searchbox').press('Enter')
  await sheet.getByRole('radio', { name: /Winter menu/ }).check()
  await expect(sheet.getByText('Fits.').first()).toBeVisible()
  expect(await violations(page, '[role=dialog]')).toEqual([])
  await sheet.getByRole('button', { name: 'Swap it' }).click()
  await expect(page.getByRole('heading', { name: 'Winter menu' })).toBeVisible()
  await heading('Winter menu')

  // Held where it is, a newer release passes it by.
  await page.getByRole('combobox', { name: /^Shows/ }).selectOption('1')
  await expect(page.getByRole('region', { name: 'What it shows' }).locator('b', { hasText: 'release 1' })).toBeVisible()
  await publish(page, winter.id, { ...winter.own, titleText: 'Winter menu, anew' })
  await page.reload()
  await expect(page.getByText('the newest is 2')).toBeVisible()
  await heading('Winter menu')
  await page.getByRole('button', { name: 'Take release 2' }).click()
  await heading('Winter menu, anew')

  await page.getByRole('button', { name: 'Back to Summer menu' }).click()
  await heading('Summer menu')

  // A moment ago by the site's own clock: the round that looks for such comes by within a minute.
  await page.getByRole('button', { name: 'Plan a swap' }).click()
  await sheet.getByRole('radio', { name: /Winter menu/ }).check()
  const [now] = new Date(Date.now() - 60_000).toISOString().split('.')
  const zone = (await api<{ timeZone: string }>(page, 'GET', `/api/installs/${install!.id}`)).timeZone
  const local = new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeStyle: 'short', timeZone: zone }).format(
    new Date(`${now}Z`),
  )
  await sheet.getByRole('textbox', { name: 'From' }).fill(local.replace(' ', 'T'))
  await sheet.getByRole('button', { name: 'Plan it' }).click()
  await expect(page.getByRole('list', { name: 'Planned swaps' })).toContainText('Winter menu')
  await expect(async () => heading('Winter menu, anew')).toPass({ timeout: 150_000 })
  await standing.away()
})
