import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { OpeningHours, writtenHours } from '../../hours'
import { structuredData } from '.'

const page = (ld: unknown, more = '') =>
  `<!doctype html><html lang="en"><head><title>A page</title><script type="application/ld+json">${JSON.stringify(ld)}</script></head><body>${more}</body></html>`
const read = (html: string) => structuredData.document!.read(html, 'https://kiln.example/')
const hoursOf = (ld: object) =>
  read(page({ '@context': 'https://schema.org', '@type': 'Store', name: 'Kiln', ...ld })).hours!
const written = ({ week }: OpeningHours) => week.map(writtenHours)

describe('opening hours that a page marks up', () => {
  // schema.org, OpeningHoursSpecification, first example, from memory (a shop on some days, with its vocabulary in the day's address).
  it('by day, as schema.org’s own example has them', () =>
    expect(
      written(
        hoursOf({
          '@type': 'Store',
          openingHoursSpecification: [
            {
              '@type': 'OpeningHoursSpecification',
              closes: '17:00:00',
              dayOfWeek: 'https://schema.org/Sunday',
              opens: '09:00:00',
            },
            {
              '@type': 'OpeningHoursSpecification',
              closes: '17:00:00',
              dayOfWeek: 'https://schema.org/Saturday',
              opens: '09:00:00',
            },
            {
              '@type': 'OpeningHoursSpecification',
              closes: '18:00:00',
              dayOfWeek: 'https://schema.org/Thursday',
              opens: '09:00:00',
            },
            {
              '@type': 'OpeningHoursSpecification',
              closes: '18:00:00',
              dayOfWeek: 'https://schema.org/Tuesday',
              opens: '09:00:00',
            },
          ],
        }),
      ),
    ).toEqual(['', '09:00–18:00', '', '09:00–18:00', '', '09:00–17:00', '09:00–17:00']))

  // schema.org, OpeningHoursSpecification, the example with holidays, from memory (validFrom, validThrough).
  it('on holidays, between two days', () =>
    expect(
      hoursOf({
        openingHours: 'Mo-Sa 11:00-14:30',
        openingHoursSpecification: [
          {
            '@type': 'OpeningHoursSpecification',
            opens: '09:00:00',
            closes: '11:00:00',
            validFrom: '2013-12-24',
            validThrough: '2013-12-25',
          },
          {
            '@type': 'OpeningHoursSpecification',
            opens: '12:00:00',
            closes: '14:00:00',
            validFrom: '2014-01-01',
            validThrough: '2014-01-01',
          },
        ],
      }).special,
    ).toEqual([
      { from: '2013-12-24', until: '2013-12-25', name: '', spans: [{ opens: '09:00', closes: '11:00' }] },
      { from: '2014-01-01', until: '', name: '', spans: [{ opens: '12:00', closes: '14:00' }] },
    ]))

  // schema.org, LocalBusiness.openingHours, from memory: "Mo,Tu,We,Th 09:00-12:00" and "Mo-Su".
  it.each([
    [
      ['Mo-Sa 11:00-14:30', 'Mo-Th 17:00-21:30', 'Fr-Sa 17:00-22:00'],
      ['11:00–14:30, 17:00–21:30', '11:00–14:30, 17:00–22:00', ''],
    ],
    ['Mo,Tu,We,Th 09:00-12:00', ['09:00–12:00', '', '']],
    ['Mo-Su', ['00:00–24:00', '00:00–24:00', '00:00–24:00']],
    ['Fr-Mo 20:00-02:00', ['20:00–02:00', '20:00–02:00', '20:00–02:00']],
  ])('as text, %s', (openingHours, [monday, friday, sunday]) =>
    expect(written(hoursOf({ openingHours }))).toMatchObject({ 0: monday, 4: friday, 6: sunday }),
  )

  it('several openings a day, several days at once, midnight written as a minute before, closed as midnight to midnight', () => {
    const hours = hoursOf({
      openingHoursSpecification: [
        { dayOfWeek: ['Monday', 'Tuesday'], opens: '14:00', closes: '23:59' },
        { dayOfWeek: ['Monday', { '@id': 'schema:Tuesday' }], opens: '09:00', closes: '12:00' },
        { dayOfWeek: 'Wednesday', opens: '00:00', closes: '00:00' },
        { dayOfWeek: 'PublicHolidays', opens: '10:00', closes: '12:00' },
      ],
      specialOpeningHoursSpecification: { validFrom: '2026-12-24', validThrough: '2026-12-26' },
    })
    expect(written(hours).slice(0, 3)).toEqual(['09:00–12:00, 14:00–24:00', '09:00–12:00, 14:00–24:00', ''])
    expect(hours.special).toEqual([{ from: '2026-12-24', until: '2026-12-26', name: '', spans: [] }])
  })
  it('for a season on some weekdays', () =>
    expect(
      hoursOf({
        openingHoursSpecification: [
          {
            dayOfWeek: ['Saturday', 'Sunday'],
            opens: '10:00',
            closes: '16:00',
            validFrom: '2026-06-01',
            validThrough: '2026-08-31',
          },
        ],
      }).special[0],
    ).toMatchObject({ from: '2026-06-01', until: '2026-08-31', weekdays: [6, 7] }))

  // HTML standard, microdata; the same vocabulary.
  it('in microdata', () => {
    const { hours, title } = read(
      `<div itemscope itemtype="https://schema.org/Store"><h1 itemprop="name">Orrin Kiln</h1>
      <time itemprop="openingHours" datetime="Tu-Sa 10:00-18:00">Tuesday to Saturday</time></div>`,
    )
    expect(written(hours!)[1]).toBe('10:00–18:00')
    expect(title).toBe('Orrin Kiln')
  })
  it('is of use for hours and not for reviews', () => {
    const found = read(page({ '@type': 'Store', openingHours: 'Mo 9:00-12:00' }))
    expect(structuredData.lacks!(found, ['hours'])).toBeNull()
    expect(structuredData.lacks!(found, ['review'])).toBe('no-reviews')
    expect(structuredData.lacks!({ hours: null }, ['hours'])).toBe('no-hours')
  })
  it('whatever is written there, what is read is hours', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record(
            {
              dayOfWeek: fc.oneof(
                fc.constantFrom('Monday', 'https://schema.org/Friday', 'Noday'),
                fc.string(),
                fc.integer(),
              ),
              opens: fc.oneof(fc.constantFrom('09:00', '24:00', '99:99', '9:5'), fc.string()),
              closes: fc.oneof(fc.constantFrom('17:00', '00:00', '23:59', '08:00'), fc.string()),
              validFrom: fc.oneof(fc.constantFrom('2026-02-30', '2026-02-03', '2026-12-24T00:00Z'), fc.string()),
              validThrough: fc.constantFrom('2026-01-01', '2026-12-26', ''),
            },
            { requiredKeys: [] },
          ),
          { minLength: 1, maxLength: 12 },
        ),
        (openingHoursSpecification) => {
          const things = page({
            '@type': 'Store',
            openingHoursSpecification,
            aggregateRating: { '@type': 'AggregateRating', ratingValue: 4, ratingCount: 2 },
          })
          const { hours } = read(things)
          if (hours) OpeningHours.parse(hours)
        },
      ),
    ))
})
