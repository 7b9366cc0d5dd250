import { momentOutside, momentWithin, type Device, type PresenceRules, type Trigger } from '@pebblestrand/core/presence'
import { triggerWords } from '@pebblestrand/core/presence/words'
import type { PresenceSight } from '@pebblestrand/core/verify'
import { lookKinds } from '@pebblestrand/core/verify/words'
import { HELD, MARK, OVER_MARK, OVER_READY } from '@pebblestrand/core/wire'
import { REMEMBERED_AS } from '@pebblestrand/core/presence/deciding'
import type { Page } from 'playwright-core'
import type { Visit } from '../platform/browser/pool'
import { consentBanner } from './consent-banner'
import { hold, remember } from './in-page'

/** Something over the page that is to be tried out. */
export interface Trying {
  /** Public id of its install. */
  id: string
  rules: PresenceRules
  /** IANA, of the site. */
  timeZone: string
  /** Address of a page on which it should appear, and of one on which it should not; null where the site has none. */
  within: string | null
  outside: string | null
}

/** Ms: for the page, and for what is ours to be there. */
const WAITS = { page: 10_000, ready: 4000 }
const DAY_MS = 86_400_000

type Trials = PresenceSight['trials']

/** Tries out one, in tabs of its own on a clock of its own. */
export async function tryPresence(visit: Visit, one: Trying): Promise<PresenceSight> {
  const trials: Trials = []
  // What was seen before something broke off was seen.
  await tryOut(visit, one, trials).catch(() => {})
  return { id: one.id, trials }
}

async function tryOut(visit: Visit, trying: Trying, trials: Trials): Promise<void> {
  const { id, rules, timeZone, within: url, outside: elsewhere } = trying
  const [now, then] = [momentWithin(rules, timeZone, new Date()), momentOutside(rules, timeZone, new Date())]
  const device = (['desktop', 'tablet', 'phone'] as const).find((one) => rules.audience.devices.includes(one))
  if (!device || !url) return
  const note = (trial: Trials[number]['trial'], well: boolean | null, how: string) => trials.push({ trial, well, how })
  const staysAway = async (trial: Trials[number]['trial'], tab: Tab, how: string) => {
    const page = await openTab(visit, trying, tab)
    if (!page) return
    await setOff(page, trying)
    note(trial, !(await isOpen(page, id)), how)
    await close(page)
  }
  if (now) {
    const page = await openTab(visit, trying, { url, at: now, device })
    const set = rules.triggers.map(triggerWords).join(rules.combine === 'all' ? ' and ' : ' or ')
    // What is not on its page has nothing that could stay away.
    if (!page) return void note('appears', null, set)
    await setOff(page, trying)
    const appears = await isOpen(page, id)
    note('appears', appears, `${set}, on a ${device}`)
    if (appears) await tryOpen(page, trying, url, note)
    await close(page)
  }
  if (now && !rules.audience.devices.includes('phone'))
    await staysAway('not-on-phones', { url, at: now, device: 'phone' }, 'on a phone')
  if (now && elsewhere)
    await staysAway('not-elsewhere', { url: elsewhere, at: now, device }, `on ${new URL(elsewhere).pathname}`)
  if (then) {
    const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone }).format(then)
    await staysAway('not-outside', { url, at: then, device }, `at another time, on ${when}`)
  }
}

/** Open as it is: what it leaves to others, and whether it goes and stays away. */
async function tryOpen(
  page: Page,
  trying: Trying,
  url: string,
  note: (trial: Trials[number]['trial'], well: boolean, how: string) => unknown,
): Promise<void> {
  const { id, rules } = trying
  const covered = (await consentBanner(page, id))?.covered ?? null
  note(
    'leaves-consent',
    covered === null,
    covered === null ? '' : `It lies over “${covered}” of the banner that asks for agreement`,
  )
  note('closes', await closesByKey(page, id), 'Neither Escape nor its button, pressed by key, closed it')
  if (rules.limits.daysAfterClosing === 0) return
  await page.goto(url, { waitUntil: 'domcontentloaded', timeout: WAITS.page })
  await ready(page, id)
  await setOff(page, trying)
  note('stays-closed', !(await isOpen(page, id)), 'right after it was closed')
}

const close = (page: Page) => page.close({ runBeforeUnload: false }).catch(() => {})

interface Tab {
  url: string
  /** What its clock shows. */
  at: Date
  device: Device
}

/** A tab in which nobody else appears, at a moment, with what a fitting visitor's browser remembers; null where the widget is not there. */
async function openTab({ context }: Visit, { id, rules }: Trying, { url, at, device }: Tab): Promise<Page | null> {
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

/** Whether it is there; what makes it appear is waited for, and where that does not come (stopped by a policy), it will be seen not to appear. */
const ready = (page: Page, id: string): Promise<boolean> =>
  page
    .waitForSelector(`${at(id)}[${OVER_READY}]`, { state: 'attached', timeout: WAITS.ready })
    .then(() => true)
    .catch(async () => (await page.locator(at(id)).count()) > 0)

/** Three seconds of the page's clock are waited for it, and a moment in which the browser draws. */
async function isOpen(page: Page, id: string): Promise<boolean> {
  const open = page.locator(at(id, 'open'))
  for (let second = 0; second < 3; second++) {
    if ((await open.count()) > 0) return true
    await page.clock.runFor(1000)
    await new Promise((resolve) => setTimeout(resolve, 60))
  }
  return (await open.count()) > 0
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
