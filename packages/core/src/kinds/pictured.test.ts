import { describe, expect, it } from 'vitest'
import { picturedAsText } from '../pictured'
import { kindList, picturedIn, type Settings } from './index'

/** What a picture of a kind's own example says. */
function saidOf(id: string, change: Settings = {}, language: string | null = null) {
  const kind = Object.values(kindList).find((one) => one.id === id)!
  const { items, facts } = kind.sample('https://strand.example')
  const settings = kind.settings.parse(change) as Settings
  const around = { language, timeZone: 'UTC', credit: null }
  return picturedIn(kind, { settings, items, context: { widgetName: 'x', sources: {}, facts, around } })
}

describe('pictures of kinds', () => {
  it('there are of a badge, a list of headlines, a counter and opening hours', () =>
    expect(
      Object.values(kindList)
        .filter(({ pictured }) => pictured)
        .map(({ id }) => id),
    ).toEqual(['headlines', 'rating-badge', 'visit-counter', 'opening-hours']))
  it('a badge says its mean, its stars and how many', () => {
    const badge = saidOf('rating-badge', { label: 'Guests say' })!
    expect(badge.rows).toHaveLength(1)
    expect(badge.rows[0]!.lead).toMatch(/^\d\.\d$/)
    expect(picturedAsText(badge)).toMatch(/^Guests say\. \d\.\d of 5 stars, \d+ reviews$/)
    expect(saidOf('rating-badge', { stars: false })!.rows[0]!.stars).toBeNull()
  })
  it('headlines say their newest, eight at most, with their dates', () => {
    const { rows } = saidOf('headlines')!
    expect(rows.length).toBeGreaterThan(2)
    expect(rows.length).toBeLessThanOrEqual(8)
    expect(rows[0]!.note).toMatch(/20\d\d/)
  })
  it('a counter says each number with its name, in the language of its page', () => {
    expect(picturedAsText(saidOf('visit-counter')!)).toContain('38')
    expect(saidOf('visit-counter', {}, 'ar')!.rightToLeft).toBe(true)
  })
  it('opening hours say the week, in the language of its page', () => {
    expect(picturedAsText(saidOf('opening-hours', { title: 'When' })!)).toContain('Monday – Friday')
    expect(picturedAsText(saidOf('opening-hours', {}, 'de')!)).toContain('Samstag – Sonntag')
  })
  it('nothing to say is no picture', () => {
    const kind = Object.values(kindList).find(({ id }) => id === 'headlines')!
    const settings = kind.settings.parse({}) as Settings
    expect(picturedIn(kind, { settings, items: [], context: { widgetName: 'x', sources: {}, facts: {} } })).toBeNull()
  })
})
