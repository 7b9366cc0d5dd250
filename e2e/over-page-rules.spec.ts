import type { BrowserContextOptions, Page } from '@playwright/test'
import { violations } from './pages/axe'
import { siteId } from './pages/finds'
import { begin, publish, stand } from './pages/live-widget'
import { api, expect, siteAddress, test } from './pages/signed-in'

// What sets something off over a client's page, and for whom: each on a live page, by what a visitor really does there.

/** Once it takes its turn. */
const named = (page: Page, name: string) => page.locator('[data-pebblestrand-over-ready]').filter({ hasText: name })
const goOn = (page: Page, seconds: number) => page.clock.runFor(seconds * 1000)

test('each trigger and each shape, on a page whose policy lets through what it names and nothing else', async ({
  signedIn: page,
  browser,
}) => {
  const triggers: Record<string, object> = {
    'On arrival': { on: 'arrival' },
    'After a while': { on: 'seconds', seconds: 300 },
    'Far down': { on: 'scrolled', share: 60 },
    'At the end': { on: 'reached', selector: '.colophon' },
    'On a press': { on: 'click', selector: 'h1' },
    'On leaving': { on: 'leaving' },
    'When idle': { on: 'idle', seconds: 20 },
    'When called': { on: 'call' },
    'By its name': { on: 'fragment', name: 'news' },
  }
  const cards: string[] = []
  for (const [heading, trigger] of Object.entries(triggers)) {
    const id = await begin(page, 'corner-card', 'tip', heading)
    await publish(page, id, { heading, triggers: [trigger], beside: true })
    cards.push(id)
  }
  const shapes = { 'centre-dialog': 'notice', 'full-cover': 'veil', 'edge-bar': 'line' }
  for (const [kind, starter] of Object.entries(shapes)) {
    const id = await begin(page, kind, starter, `As a ${kind}`)
    const body = [{ is: 'paragraph', runs: [{ text: `As a ${kind}` }] }]
    const heading = kind === 'edge-bar' ? {} : { heading: `As a ${kind}` }
    await publish(page, id, { ...heading, body, triggers: [{ on: 'fragment', name: kind }], beside: true })
    cards.push(id)
  }
  const place = { site: 'Net Loft', host: 'net-loft', path: '/thanks' }
  const { at, away } = await stand(
    page,
    browser,
    place,
    cards.map((widgetId) => ({ widgetId, box: 'section' })),
  )
  const context = await browser.newContext({ viewport: { width: 1280, height: 420 } })
  const visitor = await context.newPage()
  const refused: string[] = []
  await visitor.exposeFunction('refused', (what: string) => refused.push(what))
  await visitor.addInitScript(() =>
    addEventListener('securitypolicyviolation', ({ violatedDirective, blockedURI }) =>
      (window as unknown as { refused(what: string): void }).refused(`${violatedDirective} ${blockedURI}`),
    ),
  )
  // A long page: there is something to scroll to.
  await visitor.addInitScript(() =>
    addEventListener('DOMContentLoaded', () => {
      document.querySelector<HTMLElement>('[data-area=main]')!.style.minHeight = '3000px'
    }),
  )
  await visitor.clock.install()
  await visitor.goto(at)
  await expect(visitor.locator('[data-pebblestrand-over-ready]')).toHaveCount(cards.length)
  const shut = (name: string) => expect(named(visitor, name)).toHaveAttribute('data-pebblestrand-over', 'shut')
  const opens = (name: string) => expect(named(visitor, name)).toHaveAttribute('data-pebblestrand-over', 'open')
  await goOn(visitor, 1)
  await opens('On arrival')

  await shut('On a press')
  await visitor.getByRole('heading', { level: 1 }).click()
  await opens('On a press')

  await shut('When called')
  const id = await named(visitor, 'When called').getAttribute('data-pebblestrand')
  await visitor.evaluate((one) => {
    ;(window as unknown as { pebblestrand: { show(id: string): void } }).pebblestrand.show(one!)
  }, id)
  await opens('When called')

  await shut('By its name')
  await visitor.evaluate(() => (location.hash = 'news'))
  await opens('By its name')

  await shut('On leaving')
  await visitor.evaluate(() =>
    document.documentElement.dispatchEvent(new MouseEvent('mouseleave', { clientY: -1, bubbles: false })),
  )
  await opens('On leaving')

  await shut('When idle')
  await goOn(visitor, 21)
  await opens('When idle')
  await shut('After a while')
  await goOn(visitor, 280)
  await opens('After a while')

  await shut('Far down')
  await shut('At the end')
  await visitor.keyboard.press('End')
  await opens('Far down')
  await opens('At the end')

  // Each by its name for who does not see it; closed by key, one at a time.
  for (const name of Object.keys(triggers)) await expect(visitor.getByRole('region', { name })).toBeAttached()
  expect(await violations(visitor, '[data-pebblestrand-over="open"]')).toEqual([])
  await visitor.getByRole('region', { name: 'On leaving' }).getByRole('button', { name: 'Close' }).focus()
  await visitor.keyboard.press('Enter')
  await goOn(visitor, 1)
  await shut('On leaving')
  await opens('On a press')

  for (const kind of Object.keys(shapes)) {
    await shut(`As a ${kind}`)
    await visitor.evaluate((hash) => (location.hash = hash), kind)
    await opens(`As a ${kind}`)
    const shape = visitor.getByRole(kind === 'edge-bar' ? 'region' : 'dialog', { name: `As a ${kind}` })
    await expect(shape).toBeVisible()
    if (kind === 'edge-bar') await shape.getByRole('button', { name: 'Close' }).press('Enter')
    else await visitor.keyboard.press('Escape')
    await goOn(visitor, 1)
    await shut(`As a ${kind}`)
  }
  expect(refused).toEqual([])
  await context.close()
  await away()
})

test('for whom, where and when: each visitor meets what is meant for them, and nothing else', async ({
  signedIn: page,
  browser,
}) => {
  const site = await siteId(page, 'Pollard')
  const audiences: Record<string, object> = {
    'Of one page': { pages: ['/hire'] },
    'Of all but one': { notPages: ['/hire'] },
    'On phones': { devices: ['phone'] },
    'In German': { languages: ['de'] },
    'From the Faroes': { countries: ['FO'], whereUnknown: false },
    'To who comes back': { visits: 'returning' },
    'To newcomers': { visits: 'first' },
    'From the letter': { campaign: 'from=letter' },
    'From a friend': { cameFrom: ['friend.localhost'] },
    'Until summer': { until: '2026-06-01T00:00' },
    'Since summer': { from: '2026-06-01T00:00' },
    'On Fridays': { days: ['5'] },
    'At night': { hoursFrom: '22:00', hoursUntil: '06:00' },
  }
  for (const [name, audience] of Object.entries(audiences)) {
    const widgetId = await begin(page, 'corner-card', 'tip', name)
    const everywhere = { devices: ['phone', 'tablet', 'desktop'] }
    await publish(page, widgetId, {
      heading: name,
      triggers: [{ on: 'arrival' }],
      beside: true,
      ...everywhere,
      ...audience,
    })
    await api(page, 'POST', '/api/installs', { siteId: site, widgetId, method: 'tag' })
  }
  /** Names of those that are open soon after somebody has come. */
  const met = async (
    who: BrowserContextOptions & { at: string; path: string; before?: string; country?: string; from?: string },
  ): Promise<string[]> => {
    const { at, path, before, country, from, ...options } = who
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options })
    if (country)
      await context.route('**/g1/here.json', (route) =>
        route.fulfill({ json: { country }, headers: { 'access-control-allow-origin': '*' } }),
      )
    const visitor = await context.newPage()
    await visitor.clock.install({ time: new Date(before ?? at) })
    if (before) {
      await arrive(visitor, siteAddress('pollard-cycles', '/'))
      await goOn(visitor, 2)
      await visitor.clock.setSystemTime(new Date(at))
    }
    await arrive(visitor, siteAddress('pollard-cycles', path), from)
    await goOn(visitor, 2)
    const open = await visitor
      .locator('[data-pebblestrand-over="open"]')
      .evaluateAll((all) => all.map((one) => one.shadowRoot!.textContent ?? ''))
    await context.close()
    return Object.keys(audiences).filter((name) => open.some((text) => text.includes(name)))
  }
  const arrive = (visitor: Page, address: string, referer?: string) =>
    expect(async () => {
      await visitor.goto(address, referer ? { referer } : {})
      for (const name of Object.keys(audiences)) await expect(named(visitor, name)).toBeAttached({ timeout: 5_000 })
    }).toPass()

  // A Friday at noon on the clocks of the site (winter time: the same as UTC).
  expect(await met({ at: '2026-11-27T12:00:00Z', path: '/' })).toEqual([
    'Of all but one',
    'To newcomers',
    'Since summer',
    'On Fridays',
  ])
  expect(
    await met({
      before: '2026-05-20T12:00:00Z',
      at: '2026-05-24T23:30:00Z', // half past midnight in summer time
      path: '/hire?from=letter',
      from: 'http://www.friend.localhost/',
      country: 'FO',
      locale: 'de-AT',
      viewport: { width: 390, height: 800 },
      hasTouch: true,
    }),
  ).toEqual([
    'Of one page',
    'On phones',
    'In German',
    'From the Faroes',
    'To who comes back',
    'From the letter',
    'From a friend',
    'Until summer',
    'At night',
  ])
})
