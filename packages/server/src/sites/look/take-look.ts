import type { LookReading } from '@pebblestrand/contract'
import { lookFrom, type LookSamples } from '@pebblestrand/core/site-look'
import { MARK } from '@pebblestrand/core/wire'
import { lookKinds } from '@pebblestrand/core/verify/words'
import { lookAt } from '../../looks/fetch-page'
import { scrollThrough } from '../../looks/in-page'
import { BrowserAway } from '../../platform/browser/pool'
import type { Context } from '../../platform/context'
import { AppError } from '../../platform/errors'
import { sampleLook } from '../../looks/sample-page'

/** Ms. */
const WAIT = 12_000
/** Sheets of a page that are read, where no browser draws it. */
const MOST_SHEETS = 8

/**
 * The look of a page: as a browser draws it, or as its style sheets say where there is none.
 * @throws AppError `unreadable-site` where the page does not answer
 */
export async function takeLook(context: Context, url: string): Promise<LookReading> {
  const byBrowser = await sampleInBrowser(context, url)
  if (byBrowser) return { url, how: 'browser', look: lookFrom(byBrowser) }
  return { url, how: 'style-sheets', look: lookFrom(await sampleSheets(context, url)) }
}

async function sampleInBrowser({ browser, log }: Context, url: string): Promise<LookSamples | null> {
  if (!browser) return null
  try {
    return await browser.visit(async ({ context }) => {
      const page = await context.newPage()
      page.on('dialog', (dialog) => void dialog.dismiss().catch(() => {}))
      await page.addInitScript('globalThis.__name ??= (f) => f')
      await page.setViewportSize(lookKinds.desktop.window)
      const answer = await page.goto(url, { waitUntil: 'domcontentloaded', timeout: WAIT })
      if (answer && answer.status() >= 400) throw notThere(`It answers with ${answer.status()}.`)
      await page.waitForLoadState('load', { timeout: WAIT }).catch(() => {})
      await page.evaluate(scrollThrough).catch(() => {})
      return page.evaluate(sampleLook, MARK)
    })
  } catch (error) {
    if (error instanceof AppError || (error instanceof BrowserAway && error.closing)) throw error
    log.warn(error)
    return null // its style sheets may tell
  }
}

async function sampleSheets({ outbound, threads }: Context, url: string): Promise<LookSamples> {
  const look = await lookAt(outbound, url, 'served')
  if (look.error || look.status >= 400) throw notThere(look.error?.message ?? `It answers with ${look.status}.`)
  const { host } = new URL(look.finalUrl)
  const { inline, linked } = await threads.run('sheetsOf', { html: look.html, base: look.finalUrl }, host)
  const fetched = await Promise.all(
    linked.slice(0, MOST_SHEETS).map(async (address) => {
      const answer = await outbound.get(address).catch(() => null)
      return answer && answer.status < 400
        ? [{ css: Buffer.from(answer.body).toString('utf8'), url: answer.finalUrl }]
        : []
    }),
  )
  return threads.run('sampleSheets', { html: look.html, sheets: [...fetched.flat(), ...inline] }, host)
}

const notThere = (message: string) =>
  new AppError('unreadable-site', { message: `The page cannot be read. ${message}` })
