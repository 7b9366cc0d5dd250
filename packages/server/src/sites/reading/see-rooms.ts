import { NUMBER, type MeasuredBox, type Room } from '@pebblestrand/core/site-facts'
import { browserLookIds, lookKinds, type BrowserLookId } from '@pebblestrand/core/verify/words'
import type { Page } from 'playwright-core'
import { scrollThrough } from '../../looks/in-page'
import { pictureOf } from '../../looks/picture'
import type { BrowserPool, Visit } from '../../platform/browser/pool'
import type { Threads } from '../../platform/threads/threads'
import { measureElements, numberElements, pageHeight } from './measure-page'

/** What a browser showed of one page of a site. */
export interface SeenRooms {
  rooms: Room[]
  picture: { bytes: Buffer; width: number; height: number } | null
}

/** Ms. */
const WAIT = 10_000

/**
 * The rooms of several pages, each opened once and measured at every width; null for one that could not be seen.
 * @param onPage told before each, with its position
 */
export function seeRooms(
  { browser, threads }: { browser: BrowserPool; threads: Threads },
  urls: readonly string[],
  onPage: (at: number) => Promise<void>,
): Promise<(SeenRooms | null)[]> {
  return browser.visit(async (visit) => {
    const seen: (SeenRooms | null)[] = []
    for (const [at, url] of urls.entries()) {
      await onPage(at)
      seen.push(await seePage(visit, threads, url, at === 0).catch(() => null))
      if (visit.isSpent()) break
    }
    return seen
  })
}

async function seePage({ context }: Visit, threads: Threads, url: string, isFirst: boolean): Promise<SeenRooms> {
  const page = await context.newPage()
  page.on('dialog', (dialog) => void dialog.dismiss().catch(() => {}))
  page.on('popup', (opened) => void opened.close().catch(() => {}))
  try {
    await page.setViewportSize(lookKinds.desktop.window)
    await page.goto(url, { waitUntil: 'domcontentloaded', timeout: WAIT })
    await page.waitForLoadState('load', { timeout: WAIT }).catch(() => {})
    await page.evaluate(scrollThrough).catch(() => {})
    const { width } = lookKinds.desktop.window
    const height = await page.evaluate(pageHeight)
    const bytes = isFirst ? await pictureOf(page, width, height) : null
    await page.evaluate(numberElements, NUMBER)
    const boxes = {} as Record<BrowserLookId, Map<number, MeasuredBox>>
    // The widest first: the page was loaded for it.
    for (const id of [...browserLookIds].reverse()) {
      await page.setViewportSize(lookKinds[id].window)
      await settled(page)
      boxes[id] = byNumber(await page.evaluate(measureElements, NUMBER))
    }
    const rooms = await threads.run('findRooms', { html: await page.content(), boxes }, new URL(url).host)
    return { rooms, picture: bytes && { bytes, width, height } }
  } finally {
    await page.close({ runBeforeUnload: false }).catch(() => {})
  }
}

/** Scripts that lay out anew when the window changes have had their turn. */
const settled = (page: Page) => page.waitForTimeout(150)

const byNumber = (boxes: number[][]) =>
  new Map(
    boxes.map(([number, x, y, width, height, content]) => [
      number!,
      { x: x!, y: y!, width: width!, height: height!, content: content! },
    ]),
  )
