import type { Browser, Page } from '@playwright/test'
import { violations } from './pages/axe'
import { installId, siteId } from './pages/finds'
import { begin, publish } from './pages/live-widget'
import { publishRelease } from './pages/publish'
import { withServedPage } from './pages/served-page'
import { api, expect, siteAddress, test } from './pages/signed-in'

// What stands over client pages: as a visitor meets it, by pointer, by key and without either, and as it is rehearsed beforehand.

/** A visitor with a clock that can be moved on. */
async function visitor(browser: Browser, options: Parameters<Browser['newContext']>[0] = {}) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options })
  const page = await context.newPage()
  await page.clock.install()
  return page
}
/** Once it takes its turn. */
const over = (page: Page, name: RegExp) => page.locator('[data-pebblestrand-over-ready]').filter({ hasText: name })
const state = (page: Page, name: RegExp) => expect(over(page, name)).toHaveAttribute.bind(expect(over(page, name)))
const goOn = (page: Page, seconds: number) => page.clock.runFor(seconds * 1000)

test('a bar that counts down: nothing shifts, it makes room once something is pressed, and stays away when it was closed', async ({
  browser,
}) => {
  const page = await visitor(browser)
  await page.addInitScript(() => {
    const seen = ((window as unknown as { shifts: number[] }).shifts = [])
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries() as (PerformanceEntry & { value: number; hadRecentInput: boolean })[])
        if (!entry.hadRecentInput) seen.push(entry.value as never)
    }).observe({ type: 'layout-shift', buffered: true })
  })
  await page.goto(siteAddress('gullhaven', '/contact'))
  await expect(over(page, /regatta/)).toBeAttached()
  // What moved while the page itself came is not the bar's doing.
  await page.evaluate(() => (window as unknown as { shifts: number[] }).shifts.splice(0))
  await goOn(page, 1)
  await state(page, /regatta/)('data-pebblestrand-over', 'open')
  await expect(page.getByRole('region', { name: 'Regatta bar' })).toContainText(/\d+ (days?|hours?|minutes?)/)
  await goOn(page, 2)
  expect(await page.evaluate(() => (window as unknown as { shifts: number[] }).shifts.reduce((a, b) => a + b, 0))).toBe(
    0,
  )
  const room = () => page.evaluate(() => parseFloat(getComputedStyle(document.body).paddingTop))
  const before = await room()
  await page.mouse.click(640, 500)
  expect(await room()).toBeGreaterThan(before + 40)
  expect(await violations(page, '[data-pebblestrand-over]')).toEqual([])
  const link = page.getByRole('link', { name: 'Put it in the calendar' })
  expect(decodeURIComponent((await link.getAttribute('href'))!)).toContain('SUMMARY:Skerrow regatta')
  await page.getByRole('button', { name: 'Close' }).focus()
  await page.keyboard.press('Enter')
  await goOn(page, 1)
  await state(page, /regatta/)('data-pebblestrand-over', 'shut')
  expect(await room()).toBe(before)
  await page.reload()
  await expect(over(page, /regatta/)).toBeAttached()
  await goOn(page, 5)
  await state(page, /regatta/)('data-pebblestrand-over', 'shut')
  await page.context().close()
})

test('the head that a site keeps in sight makes way for a bar once something is pressed, and comes back', async ({
  signedIn: page,
  browser,
}) => {
  const id = await installId(page, 'q=Regatta+bar')
  const { snippets } = await api<{ snippets: { inline: string } }>(page, 'GET', `/api/installs/${id}`)
  const html = `<!doctype html><html lang="en"><title>Ferries</title><body style="margin:0"><header style="position:fixed;inset:0 0 auto;height:60px;background:#ccc"><a href="/">Timetable</a></header><main style="height:3000px;padding-top:60px"><h1>Ferries</h1></main>${snippets.inline}`
  await withServedPage({ host: 'headed', html }, async (url) => {
    const there = await visitor(browser)
    await there.goto(url)
    await expect(over(there, /regatta/)).toBeAttached()
    await goOn(there, 1)
    await state(there, /regatta/)('data-pebblestrand-over', 'open')
    const top = (selector: string) => there.locator(selector).evaluate((box) => box.getBoundingClientRect().top)
    const [head, heading] = [await top('header'), await top('h1')]
    await there.mouse.click(640, 500)
    const bar = (await there.getByRole('region', { name: 'Regatta bar' }).boundingBox())!
    expect(await top('header')).toBe(head + Math.round(bar.height))
    expect(await top('h1')).toBe(heading + Math.round(bar.height))
    await there.mouse.wheel(0, 900)
    await expect(there.getByRole('link', { name: 'Timetable' })).toBeInViewport()
    await there.getByRole('button', { name: 'Close' }).click()
    await goOn(there, 1)
    expect(await top('header')).toBe(head)
    await there.context().close()
  })
})

test('a dialog takes the focus and gives it back; the page waits behind it; another waits its turn', async ({
  browser,
}) => {
  const page = await visitor(browser)
  await page.goto(siteAddress('pollard-cycles'))
  await expect(over(page, /hub service/)).toBeAttached()
  const told: string[] = []
  await page.exposeFunction('told', (what: string) => told.push(what))
  await page.evaluate(() => {
    for (const name of ['shown', 'closed', 'pressed'])
      addEventListener(`pebblestrand:${name}`, () => (window as unknown as { told(what: string): void }).told(name))
  })
  const first = page.getByRole('link').first()
  await first.focus()
  await goOn(page, 19)
  await state(page, /hub service/)('data-pebblestrand-over', 'shut')
  await goOn(page, 2)
  const dialog = page.getByRole('dialog', { name: 'A free hub service with your winter check' })
  await expect(dialog).toBeVisible()
  await expect(dialog.getByRole('heading')).toBeFocused()
  expect(await violations(page, '[data-pebblestrand-over="open"]')).toEqual([])
  // The page is inert: whatever is pressed by key stays within.
  for (let i = 0; i < 6; i++) await page.keyboard.press('Tab')
  expect(await page.evaluate(() => document.activeElement?.getAttribute('data-pebblestrand-over') ?? 'none')).toMatch(
    /open|none/,
  )
  // Nothing else comes while it is open, nor right after it was closed.
  await page.evaluate(() => scrollTo({ top: document.body.scrollHeight, behavior: 'instant' }))
  await goOn(page, 2)
  await state(page, /Open all winter/)('data-pebblestrand-over', 'shut')
  await page.keyboard.press('Escape')
  await goOn(page, 1)
  await expect(dialog).toHaveCount(0)
  await expect(first).toBeFocused()
  await goOn(page, 20)
  await state(page, /Open all winter/)('data-pebblestrand-over', 'shut')
  await goOn(page, 12)
  await state(page, /Open all winter/)('data-pebblestrand-over', 'open')
  await page.getByRole('region', { name: 'Open all winter' }).getByRole('link', { name: 'Prices' }).click()
  expect(told).toEqual(['shown', 'closed', 'shown', 'pressed'])
  await page.context().close()
})

test('on phones it is off; with less motion it comes at once; where storage is refused it works, forgetting', async ({
  browser,
}) => {
  const phone = await visitor(browser, { viewport: { width: 390, height: 844 }, hasTouch: true })
  await phone.goto(siteAddress('pollard-cycles'))
  await expect(over(phone, /hub service/)).toBeAttached()
  await goOn(phone, 25)
  await state(phone, /hub service/)('data-pebblestrand-over', 'shut')
  await phone.context().close()

  const still = await visitor(browser, { reducedMotion: 'reduce' })
  await still.addInitScript(() => {
    for (const name of ['localStorage', 'sessionStorage'])
      Object.defineProperty(window, name, {
        get() {
          throw new DOMException('refused', 'SecurityError')
        },
      })
  })
  for (const visit of [1, 2]) {
    await still.goto(siteAddress('windle-knot'))
    await expect(over(still, /Forty knots/)).toBeAttached()
    await goOn(still, 1)
    const cover = still.getByRole('dialog', { name: /Forty knots/ })
    await expect(cover, `visit ${visit}`).toBeVisible()
    expect(await cover.locator('.w').evaluate((box) => getComputedStyle(box).animationName)).toBe('none')
    expect(await violations(still, '[data-pebblestrand-over="open"]')).toEqual([])
    await cover.getByRole('button', { name: 'On to the museum' }).click()
    await expect(cover).toHaveCount(0)
  }
  await still.context().close()
})

test('from a starter to a client’s page by an opener; rehearsed; a kept visit stops what it should', async ({
  signedIn: page,
  browser,
}) => {
  const widgetId = await begin(page, 'centre-dialog', 'offer', 'Winter rates')
  await page.goto(`/widgets/${widgetId}`)
  const stage = page.frameLocator('iframe[title="The widget as it will stand there"]')
  await expect(stage.getByRole('dialog', { name: 'Something for your next visit' })).toBeVisible()
  await page.getByRole('button', { name: /^Text: “/ }).click()
  const editor = page.getByRole('textbox', { name: 'Text' })
  await editor.press('Control+A')
  await editor.pressSequentially('From November on ')
  await page.getByRole('button', { name: 'Bold', exact: true }).click()
  await editor.pressSequentially('half the price')
  await page.keyboard.press('Escape')
  await expect(stage.locator('.tx strong')).toHaveText('half the price')
  await page.getByRole('button', { name: /^What sets it off:/ }).click()
  await page.getByLabel('What sets it off 1').selectOption('as soon as they arrive')
  await page.keyboard.press('Escape')
  await expect(page.locator('[data-setting=triggers]')).toHaveText('as soon as they arrive')
  expect(await violations(page)).toEqual([])
  await publishRelease(page, 1)

  const site = await siteId(page, 'Pollard')
  await api(page, 'POST', '/api/installs', { siteId: site, widgetId, method: 'tag' })
  await page.goto(`/sites/${site}/rehearsal?visitor=search-desk`)
  await expect(page.getByRole('heading', { level: 2, name: /This visitor sees/ })).toBeVisible()
  const words = page.locator('details').filter({ hasText: 'In words' })
  if ((await words.getAttribute('open')) === null) await words.locator('summary').click()
  await expect(page.getByText(/Winter rates appears\./).first()).toBeVisible()
  expect(await violations(page)).toEqual([])
  await page.getByRole('button', { name: 'Keep this visit' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('What it is about').fill('Who comes from a search is told the rates')
  await sheet.getByRole('button', { name: 'Keep it' }).click()
  await expect(sheet).toHaveCount(0)
  await expect(page.getByText('Who comes from a search is told the rates')).toBeVisible()

  // The tag has it: it appears there, of the three the one that comes first.
  // Each look is a visit of its own: who has met it once is not shown it again that day.
  await expect(async () => {
    const there = await visitor(browser)
    try {
      await there.goto(siteAddress('pollard-cycles', '/workshop'))
      await expect(over(there, /half the price/)).toBeAttached({ timeout: 5_000 })
      await goOn(there, 1)
      await expect(over(there, /half the price/)).toHaveAttribute('data-pebblestrand-over', 'open', { timeout: 5000 })
    } finally {
      await there.context().close()
    }
  }).toPass({ timeout: 150_000 })

  await page.goto(`/widgets/${widgetId}`)
  await page.getByRole('button', { name: /^Devices:/ }).click()
  for (const device of ['tablets', 'desktops']) await page.getByRole('checkbox', { name: device }).uncheck()
  await page.getByRole('checkbox', { name: 'phones' }).check()
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Publish release 2' }).click()
  const publishing = page.getByRole('dialog')
  await expect(publishing.getByText('Who comes from a search is told the rates')).toBeVisible()
  await publishing.getByRole('button', { name: 'Publish release 2' }).click()
  await expect(publishing.getByText(/would no longer go as expected: Winter rates would never be seen/)).toBeVisible()
  await publishing.getByLabel('Publish it all the same').check()
  await publishing.getByRole('button', { name: 'Publish release 2' }).click()
  await expect(publishing).toHaveCount(0)
})

test('another widget within it, and a press that opens another; a page that changes without loading', async ({
  signedIn: page,
  browser,
}) => {
  const site = await siteId(page, 'Pollard')
  const { rows } = await api<{ rows: { id: string; name: string }[] }>(
    page,
    'GET',
    '/api/widgets?q=Ferry rating&size=5',
  )
  const inside = await begin(page, 'corner-card', 'tip', 'With a badge')
  await publish(page, inside, {
    heading: 'What our guests say',
    triggers: [{ on: 'fragment', name: 'guests' }],
    inside: rows[0]!.id,
    beside: true,
  })
  const opening = await begin(page, 'edge-bar', 'button', 'Opens the card')
  await publish(page, opening, {
    triggers: [{ on: 'call' }],
    edge: 'bottom',
    buttons: [
      {
        words: 'Guests',
        goes: 'widget',
        to: '',
        tab: 'same',
        title: '',
        start: '',
        end: '',
        where: '',
        widget: inside,
      },
    ],
  })
  for (const widgetId of [inside, opening])
    await api(page, 'POST', '/api/installs', { siteId: site, widgetId, method: 'tag' })
  const there = await visitor(browser)
  await expect(async () => {
    await there.goto(siteAddress('pollard-cycles', '/hire'))
    await expect(over(there, /Guests/)).toBeAttached({ timeout: 5_000 })
    await expect(over(there, /What our guests say/)).toBeAttached({ timeout: 5_000 })
  }).toPass()
  await goOn(there, 1)
  await there.evaluate((selector) => {
    const bar = [...document.querySelectorAll(selector)].find((one) => one.shadowRoot?.textContent?.includes('Guests'))!
    ;(globalThis as unknown as { pebblestrand: { show(id: string): void } }).pebblestrand.show(
      bar.getAttribute('data-pebblestrand')!,
    )
  }, '[data-pebblestrand-over]')
  await expect(over(there, /Guests/)).toHaveAttribute('data-pebblestrand-over', 'open')
  await there.getByRole('button', { name: 'Guests' }).click()
  await expect(over(there, /What our guests say/)).toHaveAttribute('data-pebblestrand-over', 'open')
  await expect(there.getByRole('region', { name: 'What our guests say' }).locator('[part=mean]')).toBeVisible()
  // The page is exchanged without loading: all of them are on the next one as well, shut.
  await there.evaluate(() => {
    history.pushState(null, '', '/workshop')
    dispatchEvent(new PopStateEvent('popstate'))
  })
  await goOn(there, 22)
  await expect(there.getByRole('dialog', { name: /free hub service/ })).toBeVisible()
  await there.context().close()
})
