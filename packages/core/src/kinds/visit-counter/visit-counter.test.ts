import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { drawn, drawnHeight } from '../render-widget'
import { briefOf, briefText } from '../brief'
import { countsOf, firstWeekday, visitsFrom, type Visits } from './periods'
import { visitCounter } from './index'
import { VisitCounterSettings } from './settings'

const visits = (today: string, days: Record<string, number>): Visits => ({
  today,
  days,
  total: Object.values(days).reduce((sum, n) => sum + n, 0),
})
const render = (settings: Partial<VisitCounterSettings>, known: unknown) =>
  drawn(visitCounter, {
    settings: VisitCounterSettings.parse(settings),
    items: [],
    context: { widgetName: 'Visits', sources: {}, facts: { visits: known } },
  })

describe('visits by span', () => {
  // ISO 8601: a week begins on Monday; 2026-11-25 is a Wednesday, 2026-11-23 its Monday.
  const known = visits('2026-11-25', {
    '2026-11-25': 1,
    '2026-11-23': 2,
    '2026-11-22': 4,
    '2026-11-19': 8,
    '2026-11-18': 16,
    '2026-11-01': 32,
    '2026-10-31': 64,
    '2026-01-01': 128,
    '2025-12-31': 256,
  })
  it('counts each from its first day on', () =>
    expect(countsOf(known, 'en-GB', 0)).toEqual({
      today: 1,
      last7: 1 + 2 + 4 + 8,
      week: 1 + 2,
      month: 1 + 2 + 4 + 8 + 16 + 32,
      year: 1 + 2 + 4 + 8 + 16 + 32 + 64 + 128,
      total: 511,
    }))
  // CLDR week data: the week begins on Sunday in the United States, on Monday in Britain and Germany.
  it('begins the week as the language’s region does', () => {
    expect([firstWeekday('en-US'), firstWeekday('en-GB'), firstWeekday('de-DE')]).toEqual([7, 1, 1])
    expect(countsOf(known, 'en-US', 0).week).toBe(1 + 2 + 4)
  })
  it('adds what was counted elsewhere to the total alone', () => {
    const counts = countsOf(known, 'en-GB', 10_000)
    expect([counts.total, counts.year]).toEqual([10_511, 255])
  })
  it('holds over the turn of a year and a leap day', () => {
    const turn = visits('2028-03-01', { '2028-02-29': 1, '2028-02-24': 2, '2028-02-23': 4 })
    expect(countsOf(turn, 'en-GB', 0)).toMatchObject({ last7: 3, month: 0, year: 7 })
    expect(countsOf(visits('2027-01-01', { '2026-12-31': 5 }), 'en-GB', 0)).toMatchObject({
      week: 5,
      month: 0,
      year: 0,
    })
  })
  it('is nothing where nothing is known, whatever stands there', () => {
    for (const fact of [undefined, null, {}, { days: undefined }])
      expect(Object.values(countsOf(visitsFrom(fact), 'en-GB', 0))).toEqual([0, 0, 0, 0, 0, 0])
  })
})

describe('the counter as HTML', () => {
  const known = visits('2026-11-25', { '2026-11-25': 7, '2026-11-24': 1238 })
  it.each([
    ['line', 'p.n .i', ['Today 7', 'In all 1,245']],
    ['table', 'tr', ['Today7', 'In all1,245']],
    ['digits', 'p.n .v', ['7', '1,245']],
  ] as const)('%s says each number with its name', (style, each, wanted) => {
    const $ = load(render({ style }, known).html, null, false)
    expect(
      $(each)
        .toArray()
        .map((e) => $(e).text().trim()),
    ).toEqual(wanted)
  })
  it('draws the digits for the eye and says the number to the ear', () => {
    const $ = load(render({ style: 'digits', today: false, digits: 6 }, known).html, null, false)
    expect($('.o').attr('aria-hidden')).toBe('true')
    expect($('.o i').text()).toBe('001245')
    expect($('.v').text()).toBe('1,245')
  })
  it('writes numbers in its language, and names as they were reworded', () => {
    const names = { ...VisitCounterSettings.parse({}).names, total: 'Besuche <insgesamt>' }
    const $ = load(render({ locale: 'de-DE', names, today: false }, known).html, null, false)
    expect($('.i').text()).toBe('Besuche <insgesamt> 1.245')
  })
  it('has no inline style, and one behaviour', () => {
    const { html, behaviours } = render({ style: 'digits' }, known)
    expect(html).not.toMatch(/ style=/)
    expect(behaviours).toEqual(['count'])
  })
  it('shows nothing that is off', () => {
    const off = { today: false, total: false }
    expect(load(render(off, known).html, null, false)('.i')).toHaveLength(0)
  })
})

describe('the counter’s settings', () => {
  it('read as plain sentences', () =>
    expect(
      briefText(briefOf(visitCounter, VisitCounterSettings.parse({ title: 'Visits' }), { sourceNames: {} })).split(
        '\n',
      ),
    ).toEqual([
      'Visits today shown, of the last 7 days off, this week off, this month off, this year off, in all shown; 0 were counted elsewhere before.',
      'As a plain line.',
      "In the site's own font, in colours of its own: text the site's own, on no background, accent the site's own, links under the pointer the accent; border 0 px, corners 4 px, no shadow, padded where it has an edge; headings as usual, text as usual, small print as usual; own CSS: none.",
      'Headed by “Visits”; in the language of the page, named like “Today”.',
    ]))
  it.each(visitCounter.starters.map((s) => [s.id, s.settings]))('starter %s is valid', (_id, settings) =>
    expect(VisitCounterSettings.safeParse(settings).success).toBe(true),
  )
  it('is taller with more numbers', () => {
    const height = (settings: Partial<VisitCounterSettings>) => {
      const whole = VisitCounterSettings.parse(settings)
      return drawnHeight(
        visitCounter,
        { settings: whole, items: [], context: { widgetName: '', sources: {}, facts: {} } },
        300,
      )
    }
    expect(height({ style: 'table', week: true, month: true })).toBeGreaterThan(height({ style: 'table' }))
    expect(height({ title: 'Visits' })).toBeGreaterThan(height({}))
  })
})
