import { Field, readAnswer } from '@pebblestrand/core/forms'
import fc from 'fast-check'
import { expect, test } from './pages/signed-in'

// What a form takes for an address, a number or a day, against the browser's own fields (HTML standard, 4.10.5.1): thousands of
// strings in one page.

const today = { today: '2026-11-27' }
const ascii = fc.string({ unit: fc.constantFrom(...'ab01.@-_+ !#$%&\'*/=?^`{|}~()<>[]:;,\\"'), maxLength: 24 })

/** Strings near what is right: something changed at one place. */
const near = (right: fc.Arbitrary<string>) =>
  fc
    .tuple(
      right,
      fc.nat(),
      fc.constantFrom('', '.', '@', '-', ' ', '1', 'a', ':', 'e', '+'),
      fc.integer({ min: 0, max: 1 }),
    )
    .map(([text, at, put, cut]) => {
      const place = at % (text.length + 1)
      return text.slice(0, place) + put + text.slice(place + cut)
    })

const sorts = [
  { type: 'email', is: 'email', strings: fc.oneof(fc.emailAddress(), near(fc.emailAddress()), ascii), more: {} },
  {
    type: 'number',
    is: 'number',
    strings: fc.oneof(
      near(fc.tuple(fc.integer(), fc.nat(), fc.integer({ min: -20, max: 20 })).map(([a, b, e]) => `${a}.${b}e${e}`)),
      ascii,
    ),
    more: { decimals: 4 },
  },
  {
    type: 'date',
    is: 'date',
    strings: near(
      fc
        .tuple(fc.integer({ min: 1, max: 9999 }), fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 31 }))
        .map(([year, month, day]) =>
          [String(year).padStart(4, '0'), ...[month, day].map((one) => String(one).padStart(2, '0'))].join('-'),
        ),
    ),
    more: {},
  },
]

test('an address, a number and a day are what the browser takes for one', async ({ page }) => {
  for (const { type, is, strings, more } of sorts) {
    const field = Field.parse({ name: 'it', label: 'It', is, ...more })
    // Spaces around it are no matter to either; longer addresses mail does not take.
    const all = [...new Set(fc.sample(strings, { numRuns: 4000, seed: 5 }).map((text) => text.trim()))].filter(
      // Nor are years of five digits days of ours.
      (text) => text && text.length <= 254 && !(type === 'date' && /^\d{5}/.test(text)),
    )
    const taken = await page.evaluate(
      ([kind, texts]) => {
        const input = Object.assign(document.createElement('input'), { type: kind, step: 'any' })
        return texts.map((text) => {
          input.value = text
          return input.value !== '' && input.validity.valid
        })
      },
      [type, all] as const,
    )
    const read = all.map((text) => {
      const one = readAnswer(field, text, today)
      // How precise a number may be is our own rule.
      return 'answer' in one || ('fault' in one && one.fault.code === 'too-precise')
    })
    const differing = all.filter((_, i) => taken[i] !== read[i])
    expect(differing, type).toEqual([])
    expect(taken.filter(Boolean).length, type).toBeGreaterThan(200)
    expect(taken.filter((one) => !one).length, type).toBeGreaterThan(200)
  }
})
