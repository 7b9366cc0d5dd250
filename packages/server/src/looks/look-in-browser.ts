import { HELD, MARK } from '@pebblestrand/core/wire'
import type { Look, Sight } from '@pebblestrand/core/verify'
import { lookKinds, PICTURE_TALLEST, type BrowserLookId } from '@pebblestrand/core/verify/words'
import type { LookSamples } from '@pebblestrand/core/site-look'
import type { Page, Response } from 'playwright-core'
import type { Visit } from '../platform/browser/pool'
import { sampleLook } from './sample-page'
import { consentBanner } from './consent-banner'
import { hold, picturesThere, scrollThrough, watch } from './in-page'
import { framesReady, measureFrames } from './measure-frames'
import { pictureOf } from './picture'

/** A look by a browser, and the picture it took. */
export interface Sighting {
  look: Look
  /** JPEG; null where none could be taken. */
  picture: Buffer | null
  /** What the page shows of the site's look, in the widest window. */
  samples?: LookSamples | undefined
}

/** Ms: for the page itself, for what is ours to be there, and for pictures before the page is pictured. */
const WAITS = { page: 12_000, ready: 4000, pictures: 2500 }
/** Bytes of markup that are kept. */
const MOST_HTML = 5 * 1024 * 1024

/** Looks at a page as a visitor's browser shows it in a window of one width. Whatever goes wrong on the way is part of what was seen. */
export async function lookInBrowser(
  { context, isSpent }: Visit,
  url: string,
  how: BrowserLookId,
  origin: string,
): Promise<Sighting> {
  const began = Date.now()
  const at = new Date(began).toISOString()
  const { width, height } = lookKinds[how].window
  const page = await context.newPage()
  const heard = listen(page, origin)
  const failed = (code: string, message: string): Sighting => ({
    look: {
      how,
      url,
      finalUrl: url,
      status: 0,
      headers: {},
      html: '',
      at,
      ms: Date.now() - began,
      error: { code, message },
    },
    picture: null,
  })
  try {
    await page.addInitScript('globalThis.__name ??= (f) => f')
    await page.addInitScript(watch, MARK)
    // What is below it is looked at here; what stands over the page is tried out by itself (try-presence.ts).
    await page.addInitScript(hold, [HELD, '*'] as const)
    await page.setViewportSize({ width, height })
    const answer = await page.goto(url, { waitUntil: 'domcontentloaded', timeout: WAITS.page })
    if (answer?.status() === 401 && (await answer.headerValue('www-authenticate'))) return failed(...ASKS_PASSWORD)
    await page.waitForLoadState('load', { timeout: WAITS.page }).catch(() => {})
    await page.evaluate(scrollThrough).catch(() => {})
    await framesReady(page, WAITS.ready)
    if (isSpent()) return failed('too-large', TOO_LARGE)
    const sight = await sightOf(page, how, origin, heard)
    await page
      .waitForFunction(picturesThere, [MARK, PICTURE_TALLEST] as const, { timeout: WAITS.pictures, polling: 100 })
      .catch(() => {})
    const picture = await pictureOf(page, width, sight.height)
    const samples = how === 'desktop' ? await page.evaluate(sampleLook, MARK).catch(() => undefined) : undefined
    const html = (await page.content()).slice(0, MOST_HTML).replaceAll('\0', '\uFFFD')
    const seen = {
      finalUrl: page.url(),
      status: answer?.status() ?? 200,
      headers: await headersOf(answer),
      html,
      sight,
    }
    return { look: { how, url, at, ms: Date.now() - began, error: null, ...seen }, picture, samples }
  } catch (error) {
    const message = error instanceof Error ? error.message.split('\n')[0]! : String(error)
    if (heard.crashed) return failed('crashed', 'The page brought the browser’s tab down.')
    if (isSpent()) return failed('too-large', TOO_LARGE)
    if (/Timeout/i.test(message))
      return failed('timeout', `The page was not there in a browser within ${WAITS.page / 1000} seconds.`)
    if (/AUTH/.test(message)) return failed(...ASKS_PASSWORD)
    return failed('no-answer', 'The page could not be opened in a browser.')
  } finally {
    await page.close({ runBeforeUnload: false }).catch(() => {})
  }
}

const ASKS_PASSWORD = ['asks-password', 'The page asks visitors for a name and a password.'] as const
const TOO_LARGE = 'The page takes more than a look may, and was given up in the browser.'

interface Heard {
  errors: string[]
  failed: Sight['failed']
  crashed: boolean
}

/** Errors our own code threw, and what was asked of this Pebblestrand in vain. */
function listen(page: Page, origin: string): Heard {
  const heard: Heard = { errors: [], failed: [], crashed: false }
  page.on('dialog', (dialog) => void dialog.dismiss().catch(() => {}))
  page.on('popup', (opened) => void opened.close().catch(() => {}))
  page.on('crash', () => (heard.crashed = true))
  page.on('pageerror', (error) => {
    if (heard.errors.length < 20 && (error.stack ?? '').includes(origin)) heard.errors.push(error.message.slice(0, 300))
  })
  page.on('response', (answer) => {
    if (answer.url().startsWith(`${origin}/`) && answer.status() >= 400 && heard.failed.length < 20)
      heard.failed.push({ url: answer.url(), problem: `answered ${answer.status()}` })
  })
  page.on('requestfailed', (request) => {
    if (request.url().startsWith(`${origin}/`) && heard.failed.length < 20)
      heard.failed.push({ url: request.url(), problem: request.failure()?.errorText ?? 'failed' })
  })
  return heard
}

async function sightOf(page: Page, how: BrowserLookId, origin: string, heard: Heard): Promise<Sight> {
  const { widgets, ...rest } = await measureFrames(page.mainFrame(), origin)
  const { errors, failed } = heard
  const consent = (await consentBanner(page))?.text ?? null
  return { width: lookKinds[how].window.width, ...rest, widgets, errors, failed, consent }
}

const headersOf = async (answer: Response | null): Promise<Record<string, string>> =>
  (await answer?.allHeaders().catch(() => null)) ?? {}
