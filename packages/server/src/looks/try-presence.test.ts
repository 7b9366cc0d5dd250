import { readFileSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { payloadOf } from '@pebblestrand/core/artefacts'
import { drawn, kindOf, usualAround, type Settings } from '@pebblestrand/core/kinds'
import { pagesToTry, PresenceRules } from '@pebblestrand/core/presence'
import { methods } from '@pebblestrand/core/methods'
import { Plan, verify, type Look } from '@pebblestrand/core/verify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { CHROMIUM } from '../platform/browser/chromium-path'
import { BrowserPool, VISIT } from '../platform/browser/pool'
import { startHost, type Host } from '../testing/faults/host'
import { lookAtWidths } from './look-at-widths'
import { tryPresence, type Trying } from './try-presence'

// What stands over a page, tried out in Chromium on clocks of its own: the real script, the real kinds, pages of a site.

const id = 'pk7h2-mq9xv-abcde'
const dist = new URL('../../../widget/dist/', import.meta.url)
const served: Record<string, string> = {
  '/strand.js': readFileSync(new URL('strand.js', dist), 'utf8'),
  '/b1/over.js': readFileSync(new URL('behaviours/over.js', dist), 'utf8'),
  '/b1/dialog.js': readFileSync(new URL('behaviours/dialog.js', dist), 'utf8'),
}
let payload: object = {}
let html = ''
let ours: Server
let site: Host
let origin = ''
let pool: BrowserPool

beforeAll(async () => {
  ours = createServer((request, response) => {
    const open = { 'access-control-allow-origin': '*', 'cross-origin-resource-policy': 'cross-origin' }
    const script = served[request.url ?? '']
    if (script) return void response.writeHead(200, { ...open, 'content-type': 'text/javascript' }).end(script)
    response.writeHead(200, { ...open, 'content-type': 'application/json' }).end(JSON.stringify(payload))
  })
  await new Promise<void>((resolve) => ours.listen(0, '127.0.0.1', resolve))
  origin = `http://127.0.0.1:${(ours.address() as AddressInfo).port}`
  site = await startHost('tried', (_request, response) =>
    response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(html),
  )
  pool = BrowserPool.at(CHROMIUM, { openings: { localhostNames: true }, own: origin }, { ...VISIT })!
})
afterAll(async () => {
  await pool.close()
  await site.stop()
  ours.close()
  ours.closeAllConnections()
})

const snippet = () =>
  methods.inline.text({ origin, publicId: id, name: 'Regatta', agency: 'T & T', width: 300, height: 0 })
const page = (more = '') =>
  `<!DOCTYPE html><html lang="en"><head><title>Ferries</title></head><body><main><h1>Timetable</h1>${'<p>The ferry sails every hour from seven to seven.</p>'.repeat(80)}<button class="open">Open</button><p id="fares">Fares</p></main>${snippet()}${more}</body></html>`

function widget(kindId: string, settings: Settings): PresenceRules {
  const kind = kindOf(kindId)!
  const whole = kind.settings.parse({ heading: 'The regatta begins', ...settings }) as Settings
  const around = { ...usualAround, timeZone: 'Atlantic/Faroe' }
  const context = { widgetName: 'Regatta', sources: {}, facts: {}, around }
  payload = payloadOf(drawn(kind, { settings: whole, items: [], context }), { release: 1, name: 'Regatta' })
  return PresenceRules.parse(kind.presence!(whole)!.rules!('Atlantic/Faroe'))
}

const trying = (rules: PresenceRules): Trying => {
  const { within, outside } = pagesToTry(rules, '/*', ['/', '/elsewhere'])
  return {
    id,
    rules,
    timeZone: 'Atlantic/Faroe',
    within: within && site.at(within),
    outside: outside && site.at(outside),
  }
}

const tried = async (rules: PresenceRules, more = '') => {
  html = page(more)
  const one = await pool.visit((visit) => tryPresence(visit, trying(rules)))
  return Object.fromEntries(one.trials.map(({ trial, well }) => [trial, well]))
}
const well = { appears: true, 'leaves-consent': true, closes: true, 'stays-closed': true }

describe('tried out', () => {
  it.each([
    [{ on: 'arrival' }],
    [{ on: 'seconds', seconds: 40 }],
    [{ on: 'scrolled', share: 60 }],
    [{ on: 'reached', selector: '#fares' }],
    [{ on: 'idle', seconds: 25 }],
    [{ on: 'leaving' }],
  ])(
    'set off by %o it appears, is closed by key, stays away afterwards and on phones',
    async (trigger) => {
      const rules = widget('centre-dialog', { triggers: [trigger] })
      expect(await tried(rules)).toEqual({ ...well, 'not-on-phones': true })
    },
    40_000,
  )
  it.each([[{ on: 'click', selector: '.open' }], [{ on: 'call' }]])(
    'asked for by %o it comes as often as it is asked for',
    async (trigger) => {
      const rules = widget('centre-dialog', { triggers: [trigger], daysAfterClosing: 0 })
      expect(await tried(rules)).toEqual({ appears: true, 'leaves-consent': true, closes: true, 'not-on-phones': true })
    },
    40_000,
  )
  it.each(['edge-bar', 'full-cover', 'corner-card'])(
    'so does a %s',
    async (kind) => {
      const devices = ['phone', 'tablet', 'desktop']
      expect(await tried(widget(kind, { triggers: [{ on: 'arrival' }], devices }))).toEqual(well)
    },
    40_000,
  )
  it('at its own hours, whatever the time is now, and not at others; for who comes back', async () => {
    const rules = widget('corner-card', {
      triggers: [{ on: 'arrival' }],
      days: ['5'],
      hoursFrom: '20:00',
      hoursUntil: '23:00',
      visits: 'returning',
      from: '2031-01-01T00:00',
    })
    expect(await tried(rules)).toEqual({ ...well, 'not-on-phones': true, 'not-outside': true })
  }, 40_000)
  it('on a page on which it may appear, and not on others, wherever it is checked', async () => {
    const rules = widget('corner-card', { triggers: [{ on: 'arrival' }], pages: ['/elsewhere'], daysAfterClosing: 0 })
    expect(trying(rules)).toMatchObject({ within: site.at('/elsewhere'), outside: site.at('/') })
    const { 'stays-closed': _, ...seen } = well
    expect(await tried(rules)).toEqual({ ...seen, 'not-on-phones': true, 'not-elsewhere': true })
  }, 40_000)
  it('not at all, where it is not on the page', async () => {
    const rules = widget('corner-card', { triggers: [{ on: 'arrival' }] })
    html = '<!DOCTYPE html><title>Ferries</title><p>Timetable'
    const { trials } = await pool.visit((visit) => tryPresence(visit, trying(rules)))
    expect(trials).toEqual([{ trial: 'appears', well: null, how: 'as soon as they arrive' }])
  }, 40_000)
})

describe('what goes wrong', () => {
  const verdictOf = async (rules: PresenceRules, more = '') => {
    html = page(more)
    const url = site.at('/')
    const having = { browser: pool, outbound: null as never }
    const sightings = await lookAtWidths(having, url, origin, undefined, [trying(rules)])
    const plain: Look = { ...sightings[0]!.look, how: 'served', html, sight: null, url, finalUrl: url, headers: {} }
    const plan = Plan.parse({ install: id, origin, url, release: 1 })
    return verify(plan, [plain, ...sightings.map(({ look }) => look)])
  }
  const codes = async (...args: Parameters<typeof verdictOf>) =>
    (await verdictOf(...args)).findings.map(({ code }) => code)
  const arrival = { triggers: [{ on: 'arrival' }] }

  it('is nothing where all is well: what waits for its time is not taken for hidden', async () => {
    const { findings, status } = await verdictOf(widget('centre-dialog', {}))
    expect([findings, status]).toEqual([[], 'confirmed'])
  }, 60_000)
  it('is that it does not appear, where its selector fits nothing', async () => {
    const { findings } = await verdictOf(widget('corner-card', { triggers: [{ on: 'reached', selector: '#gone' }] }))
    expect(findings).toMatchObject([{ code: 'does-not-appear', says: expect.stringContaining('#gone') }])
  }, 60_000)
  it('is that it appears on phones, and after its end, where visitors still get another release', async () => {
    const planned = widget('corner-card', { ...arrival, until: '2031-01-01T00:00' })
    widget('corner-card', { ...arrival, devices: ['phone', 'tablet', 'desktop'] })
    const { findings } = await verdictOf(planned)
    expect(findings).toMatchObject([
      { code: 'appears-anyway', says: expect.stringMatching(/on a phone; at another time/) },
    ])
  }, 60_000)
  it('is that it appears on a page out of its patterns, where visitors still get another release', async () => {
    const planned = widget('corner-card', { ...arrival, notPages: ['/elsewhere'] })
    widget('corner-card', arrival)
    const { findings } = await verdictOf(planned)
    expect(findings).toMatchObject([{ code: 'appears-anyway', says: expect.stringMatching(/: on \/elsewhere\./) }])
  }, 60_000)
  it(
    'is that no key closes it, where the page takes all keys',
    async () =>
      expect(
        await codes(
          widget('centre-dialog', arrival),
          `<script>addEventListener('keydown', (event) => { event.preventDefault(); event.stopImmediatePropagation() }, true)</script>`,
        ),
      ).toEqual(['cannot-be-closed']),
    60_000,
  )
  it('is that it lies over the question for agreement', async () => {
    const banner =
      '<div style="position:fixed;inset:auto 0 0 0;height:36px;background:#ddd;z-index:5">We use cookies. <button>Agree</button></div>'
    const over = await codes(widget('edge-bar', { ...arrival, edge: 'bottom', room: 'over' }), banner)
    expect(over).toEqual(['covers-consent'])
    expect(await codes(widget('edge-bar', { ...arrival, edge: 'top' }), banner)).toEqual([])
  }, 90_000)
})
