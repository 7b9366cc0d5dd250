import fc from 'fast-check'
import { getExampleNumber, type CountryCode } from 'libphonenumber-js'
import examples from 'libphonenumber-js/examples.mobile.json'
import { describe, expect, it } from 'vitest'
import { counted, labels, languages } from '../words'
import {
  Field,
  faultLabels,
  fieldsOf,
  FormDefinition,
  fromEntries,
  readAnswer,
  readResponses,
  responsesSchema,
  type FieldKind,
} from '.'
import { filled, TODAY } from './testing'

const today = { today: TODAY } // a Friday
const field = (more: object) => Field.parse({ name: 'it', label: 'It', ...more })
const read = (more: object, raw: unknown) => readAnswer(field(more), raw, today)
const options = ['north', 'south', 'west'].map((value) => ({ value, words: value }))
const form = (...fields: object[]) => FormDefinition.parse({ steps: [{ fields }] })
const problems = (definition: object) =>
  (FormDefinition.safeParse(definition).error?.issues ?? []).map(({ path, message }) => `${path.join('.')} ${message}`)

describe('a form', () => {
  it('knows each field by a name of its own', () =>
    expect(problems({ steps: [{ fields: [field({ is: 'short' }), field({ is: 'email' })] }] })).toEqual([
      'steps.0.fields.1.name must not be used twice: it',
    ]))
  it('hangs a field on one before it that has answers to choose from', () => {
    const other = { name: 'way', label: 'Which way', is: 'one-of', options }
    const hanging = (on: string) => ({ name: 'why', label: 'Why', is: 'short', when: { field: on, is: ['north'] } })
    expect(problems({ steps: [{ fields: [other, hanging('way')] }] })).toEqual([])
    expect(problems({ steps: [{ fields: [hanging('way'), other] }] })).toEqual([
      'steps.0.fields.0.when must be a field that comes before this one',
    ])
    expect(problems({ steps: [{ fields: [field({ is: 'short' }), hanging('it')] }] })).toEqual([
      'steps.0.fields.1.when must be a field with answers to choose from',
    ])
  })
  it.each([
    [{ is: 'short', least: 9, most: 3 }, 'must not ask for more letters than it takes'],
    [{ is: 'number', min: 3, max: 2 }, 'must not begin after its end'],
    [{ is: 'several-of', options, least: 4 }, 'must not ask for more than can be chosen'],
    [{ is: 'date', fromDays: 3, untilDays: 2 }, 'must not begin after its end'],
  ])('takes no limits that nothing can keep to: %o', (more, problem) =>
    expect(problems({ steps: [{ fields: [{ name: 'it', label: 'It', ...more }] }] })).toEqual([
      `steps.0.fields.0 ${problem}`,
    ]),
  )
  it('asks for something', () =>
    expect(problems({ steps: [{ fields: [{ name: 'it', is: 'hidden', from: 'page' }] }] })).toEqual([
      'steps needs a field that can be filled in',
    ]))
})

describe('an answer', () => {
  it.each<[object, unknown, unknown]>([
    [{ is: 'short', most: 5 }, ' Isla\r\n', { answer: 'Isla' }],
    [{ is: 'short', most: 5 }, 'Isabella', { fault: { code: 'too-long', limit: 5 } }],
    [{ is: 'short', least: 3 }, 'Jo', { fault: { code: 'too-short', limit: 3 } }],
    [{ is: 'short' }, '   ', { none: true }],
    [{ is: 'short' }, { toString: 'x' }, { fault: { code: 'not-offered' } }],
    [{ is: 'long' }, 'one\r\ntwo\0', { answer: 'one\ntwo' }],
    [{ is: 'number', decimals: 1 }, '2.5', { answer: 2.5 }],
    [{ is: 'number' }, '2.5', { fault: { code: 'too-precise', limit: 0 } }],
    [{ is: 'number', min: 0 }, -1, { fault: { code: 'too-small', limit: 0 } }],
    [{ is: 'number' }, '2,5', { fault: { code: 'no-number' } }],
    [{ is: 'number' }, '1e999', { fault: { code: 'no-number' } }],
    [{ is: 'one-of', options }, 'west', { answer: 'west' }],
    [{ is: 'one-of', options }, 'east', { fault: { code: 'not-offered' } }],
    [{ is: 'several-of', options }, 'west', { answer: ['west'] }],
    [{ is: 'several-of', options }, ['west', 'north'], { answer: ['north', 'west'] }],
    [{ is: 'several-of', options, most: 1 }, ['west', 'north'], { fault: { code: 'too-many', limit: 1 } }],
    [{ is: 'several-of', options, least: 2 }, ['west'], { fault: { code: 'too-few', limit: 2 } }],
    [{ is: 'tick' }, 'on', { answer: true }],
    [{ is: 'tick' }, false, { none: true }],
    [{ is: 'date' }, '2026-12-01', { answer: '2026-12-01' }],
    [{ is: 'date' }, '2026-02-29', { fault: { code: 'no-date' } }],
    [{ is: 'date' }, '2028-02-29', { answer: '2028-02-29' }],
    [{ is: 'date', fromDays: 1 }, '2026-11-27', { fault: { code: 'too-early', limit: '2026-11-28' } }],
    [{ is: 'date', untilDays: 30 }, '2026-12-28', { fault: { code: 'too-late', limit: '2026-12-27' } }],
    [{ is: 'date', notOn: [7] }, '2026-11-29', { fault: { code: 'day-left-out' } }],
    [{ is: 'date', not: ['2026-12-25'] }, '2026-12-25', { fault: { code: 'day-left-out' } }],
    [{ is: 'rating' }, '4', { answer: 4 }],
    [{ is: 'rating' }, 6, { fault: { code: 'not-offered' } }],
  ])('%o: %o', (more, raw, wanted) => expect(read(more, raw)).toEqual(wanted))

  // RFC 5321 keeps an address to 254 octets; the rule itself is the HTML standard's, tried against the browser's own in e2e/fields.spec.ts.
  it('an e-mail address that mail cannot take is none', () =>
    expect(read({ is: 'email' }, `${'a'.repeat(64)}@${'b.'.repeat(95)}example`)).toEqual({
      fault: { code: 'no-email' },
    }))

  // Reference: a mobile number of each country, as libphonenumber-js writes it in four ways.
  it('takes telephone numbers of every country, however they are written', () => {
    const refused = Object.keys(examples).flatMap((country) => {
      const number = getExampleNumber(country as CountryCode, examples)!
      return [
        number.formatInternational(),
        number.formatNational(),
        number.number,
        `${number.formatNational()} ext. 12`,
      ]
        .filter((text) => !('answer' in read({ is: 'telephone' }, text)))
        .map((text) => `${country}: ${text}`)
    })
    expect(Object.keys(examples).length).toBeGreaterThan(200)
    expect(refused).toEqual([])
  })
  it.each(['', 'call me', '12', '+', '1234567890123456', '(020) call', 'tel:020123'])(
    '%o is no telephone number',
    (text) => expect('answer' in read({ is: 'telephone' }, text)).toBe(false),
  )
})

describe('what was sent', () => {
  const way = { name: 'way', label: 'Which way', is: 'one-of', options }
  const why = { name: 'why', label: 'Why north', is: 'short', required: true, when: { field: 'way', is: ['north'] } }
  const sent = (raw: object, ...fields: object[]) =>
    readResponses(form(...fields), raw as Record<string, unknown>, today)

  it('is asked for only where its answer is wanted, and is left out where it is not', () => {
    expect(sent({ way: 'south', why: 'for the light' }, way, why)).toEqual({ well: true, responses: { way: 'south' } })
    expect(sent({ way: 'north' }, way, why)).toEqual({ well: false, faults: { why: { code: 'missing' } }, unknown: [] })
  })
  it('hangs on what hangs on something as well', () => {
    const more = { name: 'more', label: 'More', is: 'tick', when: { field: 'way', is: ['north'] } }
    const deep = { name: 'deep', label: 'Deep', is: 'short', when: { field: 'more', is: ['yes'] } }
    const given = { way: 'west', more: true, deep: 'never' }
    expect(sent(given, way, more, deep)).toEqual({ well: true, responses: { way: 'west' } })
  })
  it('is refused where the form has no such field, whatever it is called', () => {
    expect(sent({ way: 'west', hasOwnProperty: 1 }, way)).toEqual({
      well: false,
      faults: {},
      unknown: ['hasOwnProperty'],
    })
    const odd = { name: 'constructor', label: 'Builder', is: 'short', required: true }
    expect(sent({}, odd)).toEqual({ well: false, faults: { constructor: { code: 'missing' } }, unknown: [] })
  })
  it('needs what has to be ticked', () =>
    expect(sent({ ok: false }, { name: 'ok', label: 'I agree', is: 'consent' })).toEqual({
      well: false,
      faults: { ok: { code: 'not-ticked' } },
      unknown: [],
    }))

  it('is taken as it was answered, whatever the form; and each wrong answer is refused at its field', () =>
    fc.assert(
      fc.property(filled, fc.nat(), ({ form: definition, answers, wrong }, pick) => {
        const names = fieldsOf(definition).map(({ name }) => name)
        const raw = Object.fromEntries(names.map((name, i) => [name, answers[i]]))
        expect(readResponses(definition, raw, today)).toEqual({ well: true, responses: raw })
        expect(responsesSchema(definition, today).parse(raw)).toEqual(raw)
        const at = pick % names.length
        const broken = { ...raw, [names[at]!]: wrong[at] }
        const refused = readResponses(definition, broken, today)
        expect(refused.well ? [] : Object.keys(refused.faults)).toEqual([names[at]])
        const issues = responsesSchema(definition, today).safeParse(broken).error!.issues
        expect(issues.map(({ path }) => path)).toEqual([[names[at]]])
      }),
      { numRuns: 300 },
    ))
  it('without a script says the same as with one', () =>
    fc.assert(
      fc.property(filled, ({ form: definition, answers }) => {
        const names = fieldsOf(definition).map(({ name }) => name)
        const entries = names.flatMap((name, i): [string, string][] => {
          const answer = answers[i]!
          return Array.isArray(answer)
            ? answer.map((one) => [name, one])
            : [[name, answer === true ? 'on' : String(answer)]]
        })
        // Reference: a form's own encoding, written and read by the platform (URL standard, application/x-www-form-urlencoded).
        const body = new URLSearchParams(new URLSearchParams(entries).toString())
        const raw = Object.fromEntries(names.map((name, i) => [name, answers[i]]))
        expect(readResponses(definition, fromEntries(body), today)).toEqual({ well: true, responses: raw })
      }),
      { numRuns: 200 },
    ))
  it('is read without throwing, whatever it is', () =>
    fc.assert(
      fc.property(filled, fc.array(fc.anything()), ({ form: definition }, values) => {
        const raw = Object.fromEntries(fieldsOf(definition).map(({ name }, i) => [name, values[i]]))
        expect(() => readResponses(definition, raw, today)).not.toThrow()
      }),
    ))
})

describe('what is wrong with an answer', () => {
  it('is said in every language of the widgets, its limit filled in', () => {
    for (const { labels: of } of Object.values(languages))
      for (const label of Object.values(faultLabels)) {
        const says = counted(labels[of][label], 3, of)
        expect(says, `${of} ${label}`).not.toMatch(/[{}]/)
      }
  })
  it('has words for every kind of field that there is', () => {
    const all: FieldKind[] = Field.options.map(({ shape }) => shape.is.value)
    expect(all).toHaveLength(12)
  })
})
