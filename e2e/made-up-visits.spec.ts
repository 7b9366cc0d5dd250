import { createServer, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Browser, Page } from '@playwright/test'
import { payloadOf } from '@pebblestrand/core/artefacts'
import { drawn, kindOf, usualAround, type Settings } from '@pebblestrand/core/kinds'
import type { MadeUpVisitor, Placed, PageStay } from '@pebblestrand/core/presence'
import { encounters, line, rehearsed } from '@pebblestrand/core/presence/testing'
import { OVER_MARK, OVER_READY, pathTo } from '@pebblestrand/core/wire'
import type { Clock, FakeTimers } from '@sinonjs/fake-timers'
import { buildSync } from 'esbuild'
import fc from 'fast-check'
import { expect, settings, test } from './pages/signed-in'

// What a visitor's browser shows of widgets over a page, with our real script and real kinds on a clock of the test's own, against
// the rehearsal of the same visit, second by second. All in one browser; many more are tried without one
// (packages/widget/src/over/turns.test.ts).

const VISITS = Number(process.env.PEBBLESTRAND_VISITS_IN_BROWSER ?? 100)

const KINDS = ['corner-card', 'edge-bar', 'centre-dialog', 'full-cover']
const WINDOWS = {
  phone: { width: 390, height: 760 },
  tablet: { width: 800, height: 1000 },
  desktop: { width: 1280, height: 800 },
}

test('widgets over a page appear and go as the rehearsal of the visit says', async ({ browser }) => {
  test.setTimeout(900_000)
  const served = new Served()
  const site = await served.at()
  const strangers = new Strangers(browser, site)
  await fc.assert(
    fc.asyncProperty(encounters, async ({ candidates, visitor }) => {
      expect(await playInBrowser(strangers, served, site, candidates, visitor)).toEqual(rehearsed(candidates, visitor))
    }),
    { numRuns: VISITS, seed: 11, endOnFailure: true },
  )
  await strangers.leave()
  served.end()
})

/** Browsers of people who were never there before. A new context for each took most of the time: one of a window and a language is used again, emptied. */
class Strangers {
  private readonly pages = new Map<string, Promise<Page>>()

  constructor(
    private readonly browser: Browser,
    private readonly site: string,
  ) {}

  async like({ device, languages }: MadeUpVisitor['visitor']): Promise<Page> {
    const key = `${device} ${languages[0]}`
    const known = this.pages.get(key) ?? this.open(device, languages[0]!)
    this.pages.set(key, known)
    const page = await known
    await page.goto(`${this.site}/empty`)
    await page.evaluate(() => (localStorage.clear(), sessionStorage.clear()))
    await page.context().clearCookies()
    return page
  }

  private async open(device: keyof typeof WINDOWS, locale: string): Promise<Page> {
    return (await this.browser.newContext({ viewport: WINDOWS[device], locale })).newPage()
  }

  async leave(): Promise<void> {
    for (const page of this.pages.values()) await (await page).context().close()
  }
}

/** The site of a visit, and what is ours as well: all of it from one origin, served anew for each page. */
class Served {
  html = ''
  payloads = new Map<string, string>()
  private readonly scripts = new Map<string, Promise<string>>()
  private readonly server = createServer(
    (request, answer) => void this.answer(new URL(request.url!, 'http://x'), answer),
  )

  async at(): Promise<string> {
    await new Promise<void>((listening) => this.server.listen(0, settings.loopback, listening))
    return `http://visits.localhost:${(this.server.address() as AddressInfo).port}`
  }

  private async answer({ pathname }: URL, answer: ServerResponse): Promise<void> {
    if (pathname === '/empty') return void answer.setHeader('content-type', 'text/html').end('')
    const payload = this.payloads.get(pathname)
    if (payload) return void answer.setHeader('content-type', 'application/json').end(payload)
    if (!pathname.endsWith('.js')) return void answer.setHeader('content-type', 'text/html').end(this.html)
    answer.setHeader('cache-control', 'max-age=3600').setHeader('content-type', 'text/javascript')
    answer.end(await this.script(pathname))
  }

  /** As the running system delivers it. */
  private script(path: string): Promise<string> {
    const known = this.scripts.get(path) ?? fetch(`http://localhost:${settings.port}${path}`).then((one) => one.text())
    this.scripts.set(path, known)
    return known
  }

  end(): void {
    this.server.closeAllConnections()
    this.server.close()
  }
}

async function playInBrowser(
  strangers: Strangers,
  served: Served,
  site: string,
  candidates: readonly Placed[],
  made: MadeUpVisitor,
): Promise<string[]> {
  const happened: string[] = []
  served.payloads = new Map(
    candidates.map((one, i) => [pathTo('payload', one.id), payloadFor(one, KINDS[i % KINDS.length]!)]),
  )
  const page = await strangers.like(made.visitor)
  for (const [visit, { afterDays, pages }] of made.visits.entries()) {
    let now = made.begins.getTime() + afterDays * 86_400_000
    for (const [number, stay] of pages.entries()) {
      served.html = pageFor(candidates, stay, { patience: made.patience, now })
      await page.goto(site + addressOf(stay))
      const seen = await page.evaluate(letTimePass, {
        ms: stay.stays * 1000,
        ready: OVER_READY,
        count: candidates.length,
      })
      now += stay.stays * 1000
      happened.push(...seen.map(([second, id, what]) => line(visit, number, second, id, what)))
    }
  }
  return happened
}

/** Timers that a test moves on. */
const timers = buildSync({
  stdin: { contents: `export { withGlobal } from '@sinonjs/fake-timers'`, resolveDir: import.meta.dirname },
  bundle: true,
  write: false,
  format: 'iife',
  globalName: 'timers',
  external: ['util', 'timers', 'timers/promises'], // asked for outside a browser only
}).outputFiles[0]!.text

/** In the page, once all are ready: from one of its timers to the next, each a task of its own, until so many ms have gone by on its clock. */
async function letTimePass({
  ms,
  ready,
  count,
}: {
  ms: number
  ready: string
  count: number
}): Promise<Visited['happened']> {
  const { clock, happened } = window as unknown as Visited
  while (document.querySelectorAll(`[${ready}]`).length < count)
    await new Promise((next) => requestAnimationFrame(next))
  let isOver = false
  setTimeout(() => (isOver = true), ms)
  while (!isOver) {
    clock.next()
    for (let i = 0; i < 5; i++) await Promise.resolve()
  }
  return happened
}

/** A page of the site, with somebody on it who comes before anything of its own. */
function pageFor(candidates: readonly Placed[], { steps }: PageStay, who: { patience: number; now: number }): string {
  const visits = `(${visitor.toString()})(${JSON.stringify({ ...who, steps, overMark: OVER_MARK })})`
  const snippets = candidates.map(({ id }) => `<div data-pebblestrand="${id}"></div>`).join('')
  return `<!doctype html><html lang="en"><title>A page</title><script>${timers}</script><script>globalThis.__name ??= (f) => f;${visits}</script><body><main style="height:5000px"><h1>A page</h1></main>${snippets}<script src="${pathTo('script')}" async></script>`
}

let opened = 0
/** No two are the same, or the second would not be loaded. */
const addressOf = ({ path, query, fragment }: PageStay) =>
  `${path}?nth=${++opened}${query && `&${query}`}${fragment && `#${fragment}`}`

/** What is delivered of one, with the rules that are tried. */
function payloadFor({ rules }: Placed, kindId: string): string {
  const kind = kindOf(kindId)!
  const buttons = [
    { words: 'Yes', goes: 'place', to: '#here', tab: 'same', title: '', start: '', end: '', where: '', widget: '' },
  ]
  const whole = kind.settings.parse({ heading: 'Regatta', buttons }) as Settings
  const context = { widgetName: 'Regatta', sources: {}, facts: {}, around: usualAround }
  const payload = payloadOf(drawn(kind, { settings: whole, items: [], context }), { release: 1, name: 'Regatta' })
  return JSON.stringify({ ...payload, data: { over: { ...(payload.data.over as object), rules } } })
}

interface Visited {
  clock: Clock
  happened: [second: number, id: string, what: string][]
}

/**
 * In the page, before anything of its own: somebody who at each second does what they are to do at it, on the page's clock, and
 * writes down what they see.
 */
function visitor({
  steps,
  patience,
  now: from,
  overMark,
}: {
  steps: PageStay['steps']
  patience: number
  now: number
  overMark: string
}): void {
  const { withGlobal } = (window as unknown as { timers: { withGlobal(of: Window): FakeTimers } }).timers
  const toFake = ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval', 'Date'] as const
  const clock = withGlobal(window).install({ now: from, toFake: [...toFake] })
  const happened: Visited['happened'] = []
  Object.assign(window, { clock, happened })
  const began = Date.now()
  const seconds = () => Math.floor((Date.now() - began) / 1000)
  const since = new Map<Element, number>()
  document.addEventListener('pebblestrand:shown', ({ target, detail }: CustomEventInit & Event) => {
    since.delete(target as Element) // the one opened last stands last
    since.set(target as Element, detail.asked ? Infinity : seconds()) // nobody closes what they asked for
    happened.push([seconds(), detail.id, 'shows'])
  })
  for (const [name, what] of [
    ['closed', 'closed'],
    ['pressed', 'answered'],
  ] as const)
    document.addEventListener(`pebblestrand:${name}`, (event) =>
      happened.push([seconds(), (event as CustomEvent).detail.id, what]),
    )
  // The browser tells of scrolling when it draws, on a clock of its own; here it is told at its second.
  addEventListener('scroll', (event) => event.isTrusted && event.stopImmediatePropagation(), true)
  // What is answered leads to a place on the page, and stays on this address.
  addEventListener('click', (event) => event.preventDefault(), true)
  const openOnes = () => [...since.keys()].filter((one) => one.getAttribute(overMark) === 'open')
  const press = (element: Element | undefined, selector: string) =>
    element?.shadowRoot!.querySelector<HTMLElement>(selector)!.click()
  setInterval(() => {
    const now = seconds()
    for (const step of steps.filter(({ at }) => at === now)) {
      if (step.does === 'close') press(openOnes().at(-1), '[data-closes]')
      if (step.does === 'answer') press(openOnes().at(-1), '[data-answers]')
      if (step.does === 'scroll') {
        const { scrollHeight, clientHeight } = document.documentElement
        const wanted = Math.ceil(((scrollHeight - clientHeight) * step.share) / 100)
        scrollTo({ top: Math.max(scrollY, wanted), behavior: 'instant' })
        dispatchEvent(new Event('scroll'))
      } else if (step.does === 'leave')
        document.documentElement.dispatchEvent(new MouseEvent('mouseleave', { clientY: -1 }))
      else document.dispatchEvent(new Event('pointermove'))
    }
    for (const one of openOnes()) if (patience > 0 && now - since.get(one)! >= patience) press(one, '[data-closes]')
  }, 1000)
}
