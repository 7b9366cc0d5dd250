import { readFileSync } from 'node:fs'
import { payloadOf, type StagePayload } from '@pebblestrand/core/artefacts'
import { articleItem } from '@pebblestrand/core/items'
import { drawn, drawnHeight, kindOf } from '@pebblestrand/core/kinds'
import { methods } from '@pebblestrand/core/methods'
import { regionIds, type Region } from '@pebblestrand/core/platforms'
import { pageWithRoom } from '@pebblestrand/core/verify'
import { pathTo } from '@pebblestrand/core/wire'
import { expect, test, type Browser, type Page } from '@playwright/test'
import { stageInPage } from '../packages/server/src/delivery/stage'
import { builds } from '../packages/standins/src/builds/list'
import { platformOf } from '../packages/standins/src/platforms/list'
import { sites } from '../packages/standins/src/sites/list'
import { styleSheet } from '../packages/standins/src/sites/style'

// What the stage shows of a widget that is planned, beside the page after the snippet was pasted there, in Chromium: the same box
// within 2 px in three windows. Nothing is known of the placement but its region.

const OURS = 'http://ours.test'
const THEIRS = 'http://theirs.test'
/** Px of windows. */
const widths = [1280, 768, 390]
/** Px that the two may differ. */
const SAME = 2

/** A page without a widget, and with a text in a region. */
interface Sample {
  name: string
  region: Region
  selector: string | null
  without: string
  withText(text: string): string
}

const headlines = kindOf('headlines')!
const view = {
  settings: headlines.settings.parse({
    layout: 'list',
    picture: 'none',
    title: 'own',
    titleText: 'From the harbour',
    count: 3,
  }),
  items: ['Second ramp opens at the pier', 'Winter timetable: the early boat stays', 'Seal'].map((title, n) =>
    articleItem(`s:${n}`, {
      title,
      text: 'After eleven months of work it takes its first cars on Thursday.',
      author: null,
      publishedAt: '2026-11-20T10:00:00.000Z',
      link: `${THEIRS}/${n}`,
      picture: null,
    }),
  ),
  context: { widgetName: 'W', sources: {}, facts: {} },
}
const payload = payloadOf(drawn(headlines, view), { release: 1, name: 'News' }) as StagePayload
const height = Math.round(drawnHeight(headlines, view, 300))
const snippet = methods.inline.text({
  origin: OURS,
  publicId: 'pk7h2-mq9xv-abcde',
  name: 'News',
  agency: 'A',
  width: 300,
  height,
})

/** The sites that ship, each region of each. */
const ofStandIns: Sample[] = sites.flatMap((site) => {
  const platform = platformOf(site)
  const shown = (filled: Partial<Record<Region, string>>) =>
    `<!doctype html><html lang="en"><head><meta name="viewport" content="width=device-width"><title>T</title><style>${styleSheet(site)}</style></head><body>${(builds[site.host] ?? platform).body(site, site.pages[1]!, (name) => filled[name] ?? '')}</body></html>`
  return regionIds.map((region) => ({
    name: `${site.host} ${region}`,
    region,
    selector: null,
    without: shown({}),
    withText: (text: string) => shown({ [region]: text }),
  }))
})

const strand = readFileSync(new URL('../packages/widget/dist/strand.js', import.meta.url), 'utf8')

interface Box {
  x: number
  width: number
  height: number
}

async function opened(browser: Browser): Promise<{ page: Page; serve: (html: string) => void }> {
  const page = await browser.newPage({ ignoreHTTPSErrors: true })
  let html = ''
  await page.route('**/*', (route) => {
    const { pathname, origin } = new URL(route.request().url())
    if (origin === OURS && pathname === pathTo('script'))
      return route.fulfill({ body: strand, contentType: 'text/javascript' })
    if (origin === OURS && pathname === '/stage.js')
      return route.fulfill({
        path: new URL('../packages/widget/dist/stage.js', import.meta.url).pathname,
        contentType: 'text/javascript',
      })
    if (origin === OURS && pathname.startsWith('/p2/'))
      return route.fulfill({ json: payload, headers: { 'access-control-allow-origin': '*' } })
    if (origin === THEIRS && pathname === '/')
      return route.fulfill({ body: html, contentType: 'text/html; charset=utf-8' })
    return route.fulfill({ status: 404, body: '' })
  })
  return { page, serve: (next) => (html = next) }
}

async function boxesOf(page: Page, selector: string): Promise<Box[]> {
  const boxes: Box[] = []
  for (const width of widths) {
    await page.setViewportSize({ width, height: 800 })
    await page.evaluate(() => new Promise(requestAnimationFrame))
    boxes.push(
      await page.evaluate((one) => {
        const { x, width, height } = document.querySelector(one)!.getBoundingClientRect()
        return { x: x + scrollX, width, height }
      }, selector),
    )
  }
  return boxes
}

async function compare(browser: Browser, samples: Sample[]): Promise<string[]> {
  const { page, serve } = await opened(browser)
  const wrong: string[] = []
  for (const sample of samples) {
    await page.setViewportSize({ width: 1280, height: 800 })
    serve(sample.withText(snippet))
    await page.goto(`${THEIRS}/`)
    await page.waitForFunction(() => document.querySelector('[data-pebblestrand]')?.shadowRoot)
    const live = await boxesOf(page, '[data-pebblestrand]')
    await page.setViewportSize({ width: 1280, height: 800 })
    const { html } = pageWithRoom(sample.without, sample)
    serve(stageInPage(html, { url: `${THEIRS}/`, width: 0 }, OURS, 'n'))
    await page.goto(`${THEIRS}/`)
    await page.evaluate((shown) => postMessage({ pebblestrand: 'show', ...shown, look: null, padding: 0 }, '*'), {
      payload,
      reserved: `${height}px`,
    })
    await page.waitForFunction(() =>
      [...document.querySelectorAll('#pebblestrand-room, #pebblestrand-room *')].some((e) => e.shadowRoot),
    )
    const staged = await boxesOf(page, '#pebblestrand-room')
    for (const [i, width] of widths.entries()) {
      const [a, b] = [live[i]!, staged[i]!]
      const off = (['x', 'width', 'height'] as const).filter((k) => Math.abs(a[k] - b[k]) > SAME)
      if (off.length)
        wrong.push(
          `${sample.name} at ${width}: ${off.map((k) => `${k} ${Math.round(b[k])}, on the page ${Math.round(a[k])}`).join('; ')}`,
        )
    }
  }
  await page.close()
  return wrong
}

test('a planned widget stands on the stage as on the page, on every simulated site', async ({ browser }) => {
  const wrong = await compare(browser, ofStandIns)
  expect(wrong).toEqual([])
})
