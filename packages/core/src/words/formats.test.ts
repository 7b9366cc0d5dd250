import { describe, expect, it } from 'vitest'
import { dateFormat, numberFormat, pluralRules } from './formats'

describe('formats', () => {
  it('say what those of the language say, whatever was asked before', () => {
    const at = new Date('2026-11-03T12:00:00Z')
    for (const locale of ['en-GB', 'de-DE', 'ar-EG', 'en-GB'])
      for (const options of [{ timeZone: 'UTC' }, { timeZone: 'Asia/Tokyo', dateStyle: 'long' }] as const) {
        expect(dateFormat(locale, options).format(at)).toBe(new Intl.DateTimeFormat(locale, options).format(at))
        expect(numberFormat(locale).format(12_345.6)).toBe(new Intl.NumberFormat(locale).format(12_345.6))
        expect(pluralRules(locale).select(2)).toBe(new Intl.PluralRules(locale).select(2))
      }
  })
  it('are made once, and do not grow without end', () => {
    expect(numberFormat('pl-PL')).toBe(numberFormat('pl-PL'))
    for (let n = 0; n < 1000; n++)
      numberFormat('en-GB', { maximumFractionDigits: n % 20, minimumIntegerDigits: 1 + (n % 21) })
    expect(numberFormat('pl-PL').format(1.5)).toBe('1,5')
  })
  it('refuse what is no language', () => expect(() => numberFormat('not a language')).toThrow(RangeError))
})
