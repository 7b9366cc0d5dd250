import { describe, expect, it } from 'vitest'
import { install, ours, Site, skeletons, snippet } from '../../corpus/site'
import type { Look } from './look'
import type { BrowserLookId } from './look-kinds'
import { Plan } from './plan'
import type { Sight, WidgetSight } from './sight'
import { verify } from './verify'

// What follows from what a browser measured. Whether it measures rightly is held against Chromium itself, in the server's tests.

const url = 'https://ferries.example/t'
const site = new Site(
  skeletons.find(({ name }) => name === 'hashed-names-nl')!,
  'sidebar',
)
const well: WidgetSight = {
  id: install,
  method: 'inline',
  ready: true,
  readyMs: 300,
  release: 3,
  lists: 1,
  items: 4,
  letters: 200,
  box: { x: 900, y: 200, width: 300, height: 400 },
  unseen: null,
  coveredBy: null,
  overflows: false,
  beside: 'narrower',
  shift: 0,
  links: [],
}
const sight = (widget: Partial<WidgetSight> | null, more: Partial<Sight> = {}): Sight => ({
  width: 1280,
  height: 2000,
  sideways: false,
  sidewaysByUs: false,
  widgets: widget ? [{ ...well, ...widget }] : [],
  errors: [],
  violations: [],
  failed: [],
  consent: null,
  ...more,
})
const look = (how: Look['how'], html: string, seen: Sight | null = null): Look => ({
  how,
  url,
  finalUrl: url,
  status: 200,
  headers: {},
  html,
  at: '2026-11-24T12:00:00Z',
  ms: 12,
  error: null,
  sight: seen,
})
const page = site.with(snippet())
const judged = (
  plain: string,
  seen: Partial<Record<BrowserLookId, Sight>>,
  { dom = plain, fresh = '', plan = {} } = {},
) =>
  verify(
    Plan.parse({ install, origin: ours, placement: { region: 'sidebar', width: 300 }, url, release: 3, ...plan }),
    [
      look('served', plain),
      ...(fresh ? [look('fresh', fresh)] : []),
      ...Object.entries(seen).map(([how, one]) => look(how as BrowserLookId, dom, one)),
    ],
  )
const codes = (verdict: ReturnType<typeof verify>) => verdict.findings.map(({ code }) => code)
const everywhere = (one: Sight) => ({ phone: one, tablet: one, desktop: one })

describe('the stronger look wins', () => {
  it('what was foretold by the markup and did not come true is no fault', () => {
    const held = site.with(snippet().replace('<script', '<script type="later"'))
    expect(codes(judged(held, {}))).toEqual(['script-stripped'])
    expect(codes(judged(held, everywhere(sight({}))))).toEqual([])
  })
  it('what was foretold and came true is said with its cause, and the banner that holds it back', () => {
    const held = site.with(snippet().replace('<script', '<script type="later"'))
    const verdict = judged(held, everywhere(sight({ ready: false }, { consent: 'We use cookies' })))
    expect(codes(verdict)).toEqual(['script-stripped'])
    expect(verdict.findings[0]!.says).toContain('“We use cookies”')
  })
  it('a page that scripts fill is what the browser shows, not the empty one', () => {
    const shell = '<!DOCTYPE html><title>x</title><body><div id="app"></div><script src="/app.js"></script></body>'
    expect(codes(judged(shell, {}))).toEqual(['unreachable'])
    expect(codes(judged(shell, everywhere(sight({})), { dom: page }))).toEqual([])
  })
  it('the box tells a place that names and structure do not', () => {
    const plain = page.replace(/<style>[\s\S]*?<\/style>/, '')
    expect(judged(plain, everywhere(sight({}))).facts).toMatchObject({ region: 'sidebar', regionBy: 'box' })
  })
  it('what is past the cache only stays, since a browser shows what visitors get', () => {
    expect(codes(judged(page, everywhere(sight({})), { fresh: site.with(snippet() + snippet()) }))).toEqual(['double'])
    const stripped = site.with(snippet().replace(/<script.*\n/, ''))
    const cached = judged(stripped, everywhere(sight({ ready: false })), { fresh: page })
    expect(codes(cached)).toEqual(['cached-copy'])
  })
  it('what is meant to be gone and is shown after all is still there', () =>
    expect(
      codes(judged(site.empty, everywhere(sight({})), { dom: page, plan: { retiring: true, status: 'confirmed' } })),
    ).toEqual(['still-there']))
})

describe('the width of its place', () => {
  const measured = { placement: { region: 'sidebar', width: 300, measured: true } }
  const notes = (room: number | null, plan: object) =>
    judged(page, everywhere(sight({ room })), { plan }).notes.map(({ code }) => code)
  it('that is another than was read is said', () => {
    const { notes: said, findings, facts } = judged(page, everywhere(sight({ room: 260 })), { plan: measured })
    expect(said).toEqual([{ code: 'width-changed', says: 'Its place is 260 px wide now; 300 px were read before.' }])
    expect([findings, facts.room]).toEqual([[], 260])
  })
  it('is not said of a few px, of what a person wrote, or of what nobody saw', () => {
    expect(notes(292, measured)).toEqual([])
    expect(notes(260, { placement: { region: 'sidebar', width: 300 } })).toEqual([])
    expect(notes(null, measured)).toEqual([])
  })
  it('is that of the placement, not of what one page put around the widget', () => {
    const wrapped = site.with(`<div style="width:120px"><div>${snippet()}</div></div>`)
    const around = [120, 120, 300, 300].map((width) => ({ x: 0, y: 0, width: width + 40, height: 100, content: width }))
    const { facts, notes: said } = judged(wrapped, everywhere(sight({ room: 120, around })), { plan: measured })
    expect([facts.room, said]).toEqual([300, []])
    // Beside something else, what it stands in is the placement's own part.
    const shared = site.with(`<div style="width:120px"><p>Boats</p>${snippet()}</div>`)
    expect(judged(shared, everywhere(sight({ room: 120, around })), { plan: measured }).facts.room).toBe(120)
  })
  it('is not taken from where it does not belong', () => {
    const elsewhere = site.elsewhere(snippet())
    const { facts, findings } = judged(elsewhere, everywhere(sight({ room: 736, beside: 'wider' })), { plan: measured })
    expect(findings.map(({ code }) => code)).toEqual(['wrong-placement'])
    expect(facts.room).toBeNull()
  })
  it('what it can be marked by is given with where it is drawn', () => {
    const boxes = Array.from({ length: 6 }, (_, i) => ({ x: i, y: 0, width: 300 + i, height: 100 }))
    const { facts } = judged(page, everywhere(sight({ around: boxes })))
    expect(facts.mark).not.toBeNull()
    expect(boxes).toContainEqual(facts.markBox)
  })
})

describe('what only a browser sees', () => {
  it.each<[string, Partial<WidgetSight>, Partial<Sight>, string, RegExp]>([
    [
      'covered',
      { unseen: 'covered', coveredBy: 'a div element “map”' },
      {},
      'hidden',
      /covered by a div element “map”/,
    ],
    ['without size', { unseen: 'no-size' }, {}, 'hidden', /without any size/],
    ['a list without items', { items: 0 }, {}, 'empty', /no items/],
    ['nothing at all', { items: 0, lists: 0, letters: 0 }, {}, 'empty', /no items/],
    ['wider than its place', { overflows: true }, {}, 'overflow', /wider than its place/],
    ['the page scrolls sideways by us', {}, { sideways: true, sidewaysByUs: true }, 'overflow', /scroll sideways/],
    [
      'a link that leads nowhere',
      {
        broken: [
          { url: 'https://news.example/gone', problem: 'answers 404' },
          { url: 'https://news.example/b', problem: 'answers 410' },
        ],
      },
      {},
      'broken-link',
      /news\.example\/gone answers 404\. So does another\./,
    ],
    ['an older release', { release: 2 }, {}, 'old-release', /release 2; release 3/],
    [
      'stopped by a policy',
      { ready: false },
      { violations: [{ directive: 'connect-src', blocked: ours }] },
      'blocked',
      /connect-src/,
    ],
    ['our error', { ready: false }, { errors: ['x is not a function'] }, 'script-error', /x is not a function/],
    [
      'not answered',
      { ready: false },
      { failed: [{ url: `${ours}/p2/x`, problem: 'answered 503' }] },
      'script-error',
      /answered 503/,
    ],
  ])('%s', (_what, widget, more, code, says) => {
    const verdict = judged(page, everywhere(sight(widget, more)))
    expect(codes(verdict)).toEqual([code])
    expect(verdict.findings[0]!.says).toMatch(says)
    expect(verdict.status).toBe('needs-a-hand')
  })
  it('a page that scrolls sideways by itself is not our fault', () =>
    expect(codes(judged(page, everywhere(sight({}, { sideways: true }))))).toEqual([]))
  it('a counter without a list is not empty', () =>
    expect(codes(judged(page, everywhere(sight({ lists: 0, items: 0, letters: 12 }))))).toEqual([]))
  it('says at which widths, where not at all', () => {
    const hidden = sight({ unseen: 'not-displayed' })
    const [some] = judged(page, { phone: hidden, tablet: hidden, desktop: sight({}) }).findings
    expect(some!.says).toMatch(/^On a phone and on a tablet it stands/)
    const [all] = judged(page, everywhere(hidden)).findings
    expect(all!.says).toMatch(/^It stands/)
  })
  it('two faults at different widths are each said with their own', () => {
    const verdict = judged(page, {
      phone: sight({ overflows: true }),
      tablet: sight({}),
      desktop: sight({ release: 1 }),
    })
    expect(verdict.findings.map(({ code, data }) => [code, data.where])).toEqual([
      ['overflow', 'on a phone'],
      ['old-release', 'on a desktop'],
    ])
  })
  it('a look that failed says so beside, and nothing else', () => {
    const failed: Look = { ...look('desktop', ''), error: { code: 'crashed', message: 'The tab came down.' } }
    const verdict = verify(Plan.parse({ install, origin: ours, placement: { region: 'sidebar', width: 300 }, url }), [
      look('served', page),
      failed,
    ])
    expect(verdict).toMatchObject({ status: 'confirmed', findings: [], notes: [{ code: 'no-browser' }] })
  })
})
