import { momentOutside, momentWithin, type PresenceRules, type Trigger } from '@pebblestrand/core/presence'
import { triggerWords } from '@pebblestrand/core/presence/words'
import type { PresenceSight } from '@pebblestrand/core/verify'
import { lookKinds } from '@pebblestrand/core/verify/words'
import { HELD, MARK, OVER_MARK } from '@pebblestrand/core/wire'
import { REMEMBERED_AS } from '@pebblestrand/core/presence/deciding'
import type { Page } from 'playwright-core'
import type { Visit } from '../../platform/browser/pool'
import { bannersCovered, hold, remember } from './in-page'

/** Something over the page that is to be tried out. */
export interface Trying {
  /** Public id of its install. */
  id: string
  rules: PresenceRules
  /** IANA, of the site. */
  timeZone: string
}

/** Ms: for the page, for what is ours to be there, and for what was set off to appear. */
const WAITS = { page: 10_000, ready: 4000, appears: 1500 }
const DAY_MS = 86_400_000

type Trials = PresenceSight['trials']

/** Tries out one after another, each in tabs of its own on a clock of its own; what comes of one tells nothing of the next. */
export async function tryPresence(visit: Visit, url: string, all: readonly Trying[]): Promise<PresenceSight[]> {
  const seen: PresenceSight[] = []
  for (const one of all) seen.push({ id: one.id, trials: await tryOut(visit, url, one).catch(() => []) })
  return seen
}

async function tryOut(visit: Visit, url: string, trying: Trying): Promise<Trials> {
  const { rules, timeZone } = trying
  const within = momentWithin(rules, timeZone, new Date())
  const outside = momentOutside(rules, timeZone, new Date())
  const set = rules.triggers.map(triggerWords).join(rules.combine === 'all' ? ' and ' : ' or ')
  const trials: Trials = []
  const note = (trial: Trials[number]['trial'], well: boolean | null, how: string) => trials.push({ trial, well, how })
  const device = (['desktop', 'tablet', 'phone'] as const).find((one) => rules.audience.devices.includes(one))
  const tab = (at: Date, on = device!) => openTab(visit, url, trying, at, on)
  if (within && device) {
    const page = await tab(within)
    if (!page) note('appears', null, set)
    else {
      await setOff(page, trying)
      const appears = await isOpen(page, trying.id)
      note('appears', appears, `${set}, on a ${device}`)
      if (appears) {
        const covered = await page.evaluate(bannersCovered, [MARK, trying.id] as const)
        note('leaves-consent', covered === null, covered ?? '')
        note('closes', await closesByKey(page, trying.id), 'Neither Escape nor its button, pressed by key, closed it')
        if (rules.limits.daysAfterClosing > 0) {
          await page.goto(url, { waitUntil: 'domcontentloaded', timeout: WAITS.page })
          await ready(page, trying.id)
          await setOff(page, trying)
          note('stays-closed', !(await isOpen(page, trying.id)), 'right after it was closed')
        }
      }
      await close(page)
    }
  }
  if (within && !rules.audience.devices.includes('phone')) {
    const page = await tab(within, 'phone')
    if (page) {
      await setOff(page, trying)
      note('not-on-phones', !(await isOpen(page, trying.id)), 'on a phone')
      await close(page)
    }
  }
  if (outside && device) {
    const page = await tab(outside)
    if (page) {
      await setOff(page, trying)
      const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone }).format(
        outside,
      )
      note('not-outside', !(await isOpen(page, trying.id)), `at another time, on ${when}`)
      await close(page)
    }
  }
  return trials
}

const close = (page: Page) => page.close({ runBeforeUnload: false }).catch(() => {})

/** A tab in which nobody else appears, at a moment, with what a fitting visitor's browser remembers; null where the widget is not there. */
async function openTab(
  { context }: Visit,
  url: string,
  { id, rules }: Trying,
  at: Date,
  device: 'phone' | 'tablet' | 'desktop',
): Promise<Page | null> {
  const page = await context.newPage()
  page.on('dialog', (dialog) => void dialog.dismiss().catch(() => {}))
  page.on('popup', (opened) => void opened.close().catch(() => {}))
  const { width, height } = lookKinds[device].window
  await page.setViewportSize({ width, height })
  await page.addInitScript('globalThis.__name ??= (f) => f')
  await page.addInitScript(hold, [HELD, id] as const)
  const before = new Date(at.getTime() - DAY_MS)
  const memory =
    rules.audience.visits === 'returning' ? { visits: 1, seen: Math.floor(before.getTime() / 60_000), of: {} } : null
  await page.addInitScript(remember, [REMEMBERED_AS, memory && JSON.stringify(memory), id] as const)
  await page.clock.install({ time: at })
  try {
    const wanted = new URL(url)
    const [name, value = ''] = rules.audience.campaign.split('=')
    if (name) wanted.searchParams.set(name, value)
    const fragment = rules.triggers.find((one) => one.on === 'fragment')
    if (fragment) wanted.hash = fragment.name
    const [from] = rules.audience.cameFrom
    await page.goto(wanted.href, {
      waitUntil: 'domcontentloaded',
      timeout: WAITS.page,
      ...(from ? { referer: `https://${from}/` } : {}),
    })
    if (await ready(page, id)) return page
  } catch {
    // it did not come: nothing can be tried
  }
  await close(page)
  return null
}

const at = (id: string, state = '') => `[${MARK}="${id}"][${OVER_MARK}${state && `="${state}"`}]`

const ready = (page: Page, id: string): Promise<boolean> =>
  page
    .waitForSelector(at(id), { state: 'attached', timeout: WAITS.ready })
    .then(() => true)
    .catch(() => false)

async function isOpen(page: Page, id: string): Promise<boolean> {
  for (let waited = 0; waited < WAITS.appears; waited += 250) {
    if ((await page.locator(at(id, 'open')).count()) > 0) return true
    await page.clock.runFor(500)
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
  return (await page.locator(at(id, 'open')).count()) > 0
}

/** Does what its triggers ask for; where one is enough, the first. */
async function setOff(page: Page, { id, rules }: Trying): Promise<void> {
  await page.clock.runFor(400)
  if (rules.limits.afterDoing) await page.mouse.move(20, 20)
  // Seconds go by last: a press or a scroll would end a wait for nothing being done.
  const wanted = rules.combine === 'all' ? [...rules.triggers] : rules.triggers.slice(0, 1)
  const takesTime = ({ on }: Trigger) => on === 'seconds' || on === 'idle'
  for (const trigger of wanted.sort((a, b) => Number(takesTime(a)) - Number(takesTime(b))))
    await does[trigger.on](page, trigger as never, id)
}

type Does = {
  [On in Trigger['on']]: (page: Page, trigger: Extract<Trigger, { on: On }>, id: string) => Promise<unknown>
}

const does: Does = {
  arrival: () => Promise.resolve(),
  fragment: () => Promise.resolve(),
  seconds: (page, { seconds }) => page.clock.runFor((seconds + 1) * 1000),
  idle: (page, { seconds }) => page.clock.runFor((seconds + 1) * 1000),
  scrolled: (page, { share }) =>
    page.evaluate((percent) => {
      const { scrollHeight, clientHeight } = document.documentElement
      scrollTo({ top: Math.ceil(((scrollHeight - clientHeight) * percent) / 100) + 2, behavior: 'instant' })
    }, share),
  reached: (page, { selector }) =>
    page.evaluate((one) => document.querySelector(one)?.scrollIntoView({ behavior: 'instant' }), selector),
  click: (page, { selector }) => page.evaluate((one) => document.querySelector<HTMLElement>(one)?.click(), selector),
  leaving: (page) =>
    page.evaluate(() => document.documentElement.dispatchEvent(new MouseEvent('mouseleave', { clientY: -1 }))),
  call: (page, _, id) =>
    page.evaluate((one) => (globalThis as { pebblestrand?: { show(id: string): void } }).pebblestrand?.show(one), id),
}

/** By Escape where the focus is in it, else by its button. */
async function closesByKey(page: Page, id: string): Promise<boolean> {
  const isGone = async () => {
    await page.clock.runFor(2000)
    return (await page.locator(at(id, 'open')).count()) === 0
  }
  await page.keyboard.press('Escape')
  if (await isGone()) return true
  await page
    .locator(`${at(id)} .cx`)
    .focus({ timeout: 1000 })
    .catch(() => {})
  await page.keyboard.press('Enter')
  return isGone()
}
