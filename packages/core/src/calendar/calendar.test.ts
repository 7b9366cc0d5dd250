import fc from 'fast-check'
import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { icsOf } from '.'

const start = new Date('2026-12-05T18:30:00Z')

// Reference: a second parser of RFC 5545.
const readBack = (text: string) => {
  const event = new ICAL.Event(new ICAL.Component(ICAL.parse(text)).getFirstSubcomponent('vevent')!)
  return { title: event.summary, place: event.location, text: event.description, event }
}

describe('a date for calendars', () => {
  it('is read back as it was written, whatever its words', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), fc.string({ maxLength: 100 }), (title, place) => {
        // Control characters are no text there (section 3.1), nor anywhere a person writes.
        const clean = (text: string) => text.replace(/\p{Cc}/gu, ' ')
        const written = icsOf({ title: clean(title), place: clean(place) || 'Pier', text: 'a\nb', start })
        const read = readBack(written)
        expect(read).toMatchObject({ title: clean(title), place: clean(place) || 'Pier', text: 'a\nb' })
        for (const line of written.split('\r\n')) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75)
      }),
    ))
  it('begins and ends at its moments; an hour later where nobody says when it ends', () => {
    const { event } = readBack(icsOf({ title: 'Regatta', start }))
    expect(event.startDate.toJSDate()).toEqual(start)
    expect(event.endDate.toJSDate()).toEqual(new Date('2026-12-05T19:30:00Z'))
  })
  it('has the same name each time, so that a calendar takes it in once', () => {
    const uid = (title: string) => readBack(icsOf({ title, start })).event.uid
    expect(uid('Regatta')).toBe(uid('Regatta'))
    expect(uid('Regatta')).not.toBe(uid('Race'))
  })
})
