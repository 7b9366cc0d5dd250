import { expect, type Browser, type Page } from '@playwright/test'
import { violations } from './axe'
import { begin, publish, stand } from './live-widget'

/** What of a widget is the same in every layout, and what is not. */
interface Laid {
  kind: string
  starter: string
  /** What each is called on the page, before its layout. */
  name: string
  layouts: readonly string[]
  settings(layout: string): object
  /** Cells that are there at once. */
  shown(layout: string): number
}

export const isRow = (layout: string) => layout === 'carousel' || layout === 'one'
export const cells = (visitor: Page, name: string) =>
  visitor.getByRole('region', { name, exact: true }).locator('.l > li')

/** Px: a cell that is smaller has fallen together. */
const LEAST = 40
/** Px: all of the page is in this window, so that a shift anywhere counts. */
const WHOLE_PAGE = 12_000

/**
 * Widgets of one kind on a live page, one in each layout: their cells are there, none wider than the page in any window, from left
 * to right and from right to left, nothing that axe would say, moved along by keyboard where they are rows, and the page stands
 * still while it loads.
 */
export async function inEveryLayout(
  page: Page,
  browser: Browser,
  place: Parameters<typeof stand>[2],
  { kind, starter, name, layouts, settings, shown }: Laid,
) {
  const nameOf = (layout: string) => `${name}, ${layout}`
  const widgets: Record<string, string> = {}
  for (const layout of layouts) {
    widgets[layout] = await begin(page, kind, starter, nameOf(layout))
    await publish(page, widgets[layout], { ...settings(layout), layout, title: 'own', titleText: nameOf(layout) })
  }
  const standing = await stand(
    page,
    browser,
    place,
    layouts.map((layout) => ({ widgetId: widgets[layout]!, region: 'main' })),
  )
  const { at, paste } = standing
  await picturesOf(browser, at, Object.fromEntries(layouts.map((layout) => [nameOf(layout), shown(layout)])))
  await paste() // the room they ask for is known now
  const visitor = await browser.newPage()
  await visitor.goto(at)
  for (const layout of layouts) {
    await expect(cells(visitor, nameOf(layout))).toHaveCount(shown(layout))
    const row = visitor.getByRole('region', { name: nameOf(layout), exact: true }).locator('.k')
    await expect(row).toHaveCount(isRow(layout) ? 1 : 0)
  }
  for (const dir of ['rtl', 'ltr']) {
    await visitor.evaluate((way) => (document.documentElement.dir = way), dir)
    for (const width of [1280, 768, 390]) {
      await visitor.setViewportSize({ width, height: 800 })
      expect(
        await visitor.evaluate(() => document.documentElement.scrollWidth - innerWidth),
        `${dir} in ${width} px`,
      ).toBeLessThanOrEqual(0)
      for (const layout of layouts)
        expect(await fallenTogether(visitor, nameOf(layout)), `${layout}, ${dir}, in ${width} px`).toBe(0)
    }
  }
  for (const layout of layouts) if (isRow(layout)) await movesByKeyboard(visitor, nameOf(layout))
  expect(await violations(visitor, '[data-pebblestrand]')).toEqual([])
  await visitor.close()
  const shifts = await Promise.all([390, 768, 1280].map((width) => shiftAt(page, at, width, WHOLE_PAGE)))
  expect(shifts).toEqual([0, 0, 0])
  return { ...standing, widgets, nameOf }
}

const fallenTogether = (visitor: Page, name: string): Promise<number> =>
  cells(visitor, name).evaluateAll(
    (all, least) =>
      all.filter((one) => one.getBoundingClientRect().width < least || one.getBoundingClientRect().height < least)
        .length,
    LEAST,
  )

/** With reduced motion asked for it jumps, and is there at once. */
async function movesByKeyboard(visitor: Page, name: string): Promise<void> {
  await visitor.emulateMedia({ reducedMotion: 'reduce' })
  const list = visitor.getByRole('region', { name, exact: true }).locator('.k .l')
  await list.focus()
  await visitor.keyboard.press('ArrowRight')
  await expect.poll(() => list.evaluate((one) => one.scrollLeft), { timeout: 5_000 }).toBeGreaterThan(20)
}

/** The browser's own sum of layout shift while the page loads, in a window of a size, as if that were 800 px high. */
async function shiftAt(page: Page, address: string, width: number, height: number): Promise<number> {
  const context = await page.context().browser()!.newContext({ viewport: { width, height } })
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
  return Math.round(sum * (height / 800) * 1000) / 1000
}

/** A post is shown once we have copies of its picture, which are made one after the other, after those of the demo. */
export const picturesOf = (browser: Browser, at: string, counts: Record<string, number>) =>
  expect(async () => {
    const visitor = await browser.newPage()
    try {
      await visitor.goto(at)
      for (const [name, count] of Object.entries(counts))
        await expect(cells(visitor, name)).toHaveCount(count, { timeout: 5_000 })
    } finally {
      await visitor.close()
    }
  }).toPass({ timeout: 150_000 })
