import { load } from 'cheerio'
import { describe, expect, it } from 'vitest'
import { readHours } from '../../hours'
import { briefOf, briefText } from '../brief'
import type { Kind } from '../kind'
import { drawn, drawnHeight, standsForSample } from '../render-widget'
import { openingHours } from './index'
import { OpeningHoursSettings } from './settings'

const id = '0b0f2a57-2f7e-4f5e-9a51-0f8d6a3f1c11'
const nine = readHours('9-17')
const shop = [nine, nine, nine, nine, readHours('9-12, 13-17'), [], []]
const view = (settings: object = {}, sources: object = {}, around: object = {}) =>
  ({
    settings: OpeningHoursSettings.parse({ week: shop, locale: 'en-GB', ...settings }),
    items: [],
    context: {
      widgetName: 'Kiln',
      sources,
      facts: {},
      around: { language: null, timeZone: 'Atlantic/Faroe', credit: null, ...around },
    },
  }) as never
const rendered = (...given: Parameters<typeof view>) => {
  const { html, data } = drawn(openingHours, view(...given))
  const $ = load(html)
  const rows = $('tr')
    .toArray()
    .map(
      (row) =>
        `${$(row).find('th').text()}: ${$(row)
          .find('td span')
          .toArray()
          .map((span) => $(span).text())
          .join('|')}`,
    )
  return { $, html, data, rows }
}

describe('opening hours', () => {
  it('are a table, days in a row with the same hours in one', () =>
    expect(rendered().rows).toEqual([
      'Monday – Thursday: 09:00–17:00',
      'Friday: 09:00–12:00|13:00–17:00',
      'Saturday – Sunday: Closed',
    ]))
  it('or each day in its own, in the language of the page, with its way of writing a time', () => {
    expect(rendered({ joined: false, locale: 'page' }, {}, { language: 'de' }).rows.slice(4, 6)).toEqual([
      'Freitag: 09:00–12:00|13:00–17:00',
      'Samstag: Geschlossen',
    ])
    expect(rendered({ locale: 'en-US' }).rows[0]).toMatch(/9:00\sAM–5:00\sPM/)
  })
  it('special days stand below, in order; one without a day yet is left out', () => {
    const day = (from: string, until = '', name = '') => ({ from, until, name, spans: [] })
    const { rows } = rendered({ special: [day('2027-01-01'), day(''), day('2026-12-24', '2026-12-26', 'A <feast>')] })
    // CLDR writes a range of days with thin spaces.
    expect(rows.slice(3).map((row) => row.replace(/\s/g, ' '))).toEqual([
      '24 – 26 December A <feast>: Closed',
      '1 January: Closed',
    ])
    expect(rendered({ special: [day('2027-01-01')], ahead: 0 }).rows).toHaveLength(3)
  })
  it.each(['line', 'badge'])('as a %s it says the week until a script can tell what time it is', (style) => {
    const { $, data } = rendered({ style })
    expect($('[data-open-now]').text()).toBe('Monday – Thursday 09:00–17:00; Friday 09:00–12:00, 13:00–17:00')
    expect(data).toMatchObject({ openNow: { timeZone: 'Atlantic/Faroe', locale: 'en-GB', hours: { week: shop } } })
  })
  it('are those that a page states, with days that were typed before its own', () => {
    const stated = {
      week: Array(7).fill(readHours('10-12')),
      special: [{ from: '2026-12-24', until: '', name: '', spans: readHours('10-11') }],
    }
    const sources = { [id]: { title: 'Kiln', link: null, hours: stated } }
    const typed = { from: '2026-12-24', until: '', name: 'Closed', spans: [] }
    const { rows, data } = rendered({ sources: [id], special: [typed] }, sources)
    expect(rows[0]).toBe('Monday – Sunday: 10:00–12:00')
    expect(data).toMatchObject({ openNow: { hours: { special: [stated.special[0], typed] } } })
  })
  it('of a page that states none are empty; typed ones need no source', () => {
    const { isEmpty } = openingHours.content!
    expect(isEmpty!(view({ sources: [id] }, { [id]: { title: 'Kiln', link: null, hours: null } }))).toBe(true)
    expect(drawnHeight(openingHours, view({ sources: [id] }), 300)).toBe(0)
    expect(isEmpty!(view())).toBe(false)
    expect(standsForSample(openingHours, OpeningHoursSettings.parse({}))).toBe(false)
  })
  it('are said in the brief as one would say them', () =>
    expect(
      briefText(
        briefOf(openingHours as unknown as Kind, OpeningHoursSettings.parse({ week: shop }), { sourceNames: {} }),
      ),
    ).toContain(
      'Shows the hours typed in here: open Monday to Thursday 09:00–17:00 and Friday 09:00–12:00, 13:00–17:00; other hours on no holidays.',
    ))
})
