import { parse } from 'csv-parse/sync'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { z } from 'zod'
import { sayAnswer } from './answer-words'
import { dayIn } from '../zoned-time/days'
import { DeliverySettings, usualDelivery } from './delivery'
import { leadsCsv, leadsJson, type ExportedLead } from './export'
import { fieldKinds, freeName, moved, newField } from './field-kinds'
import { Field, type FieldKind } from './fields'
import { FormDefinition } from './form'
import { leadLines, listLines, noteLetter, replyLetter, strangeBlanks } from './letters'
import { madeUp } from './made-up'
import { countsAfter, resultsOf } from './poll'
import { isSolved, solve, zeroBits } from './proof'
import { askedFields, readResponses } from './responses'
import { consentsOf, mailsIn } from './taken'
import { filled, TODAY } from './testing'

const form = FormDefinition.parse({
  steps: [
    {
      fields: [
        { is: 'email', name: 'email', label: 'E-mail address', required: true },
        {
          is: 'one-of',
          name: 'size',
          label: 'Which?',
          options: [
            { value: 's', words: 'Small' },
            { value: 'l', words: 'Large' },
          ],
        },
        { is: 'date', name: 'day', label: 'Day' },
        { is: 'rating', name: 'stars', label: 'Stars' },
        { is: 'consent', name: 'consent', label: 'You may write to me.', link: 'https://kiln.example/privacy' },
        { is: 'hidden', name: 'list', from: 'fixed', value: 'winter' },
      ],
    },
  ],
})
const responses = {
  email: 'isla@visitor.example',
  size: 'l',
  day: '2026-12-24',
  stars: 4,
  consent: true,
  list: 'winter',
}

describe('a test submission', () => {
  it('is one that any form takes', () =>
    fc.assert(
      fc.property(filled, ({ form }) => {
        const answers = madeUp(form, { mail: 'test@agency.example', today: TODAY })
        expect(readResponses(form, answers, { today: TODAY })).toMatchObject({ well: true })
      }),
    ))
  it('asks for what a form asks for, whatever is still wrong with it', () =>
    fc.assert(
      fc.property(filled, ({ form, answers }) => {
        const raw = Object.fromEntries(
          form.steps.flatMap(({ fields }) => fields).map(({ name }, i) => [name, answers[i]]),
        )
        const read = readResponses(form, raw, { today: TODAY })
        const asked = askedFields(form, raw, { today: TODAY })
        if (read.well) for (const name of Object.keys(read.responses)) expect(asked.has(name)).toBe(true)
      }),
    ))
})

describe('what is said of answers', () => {
  it('is in the words of what was chosen, days and numbers in the language', () => {
    const lines = leadLines(form, responses, 'de-DE')
    expect(lines.map(({ says }) => says)).toEqual([
      'isla@visitor.example',
      'Large',
      '24. Dezember 2026',
      '4/5',
      '✓',
      'winter',
    ])
    expect(listLines(form, responses, 'en-GB').map(({ label }) => label)).toEqual([
      'E-mail address',
      'Which?',
      'Day',
      'Stars',
    ])
  })
  it('a number is grouped, and a list is one line', () => {
    const number = Field.parse({ is: 'number', name: 'n', label: 'N' })
    expect(sayAnswer(number, 12_345, 'en-GB')).toBe('12,345')
    const some = Field.parse({
      is: 'several-of',
      name: 's',
      label: 'S',
      options: [
        { value: 'a', words: 'A' },
        { value: 'b', words: 'B' },
      ],
    })
    expect(sayAnswer(some, ['a', 'b'], 'en-GB')).toBe('A, B')
  })
  it('a reply has its blanks filled, and nothing a visitor wrote can be markup or a line of its own in the subject', () => {
    const said = { replySubject: 'Hello {email} {site}', replyText: '{email}\n\nCode {coupon}, {size}, {unknown}' }
    const wicked = { ...responses, email: '<b>@x.example\r\nBcc: y' }
    const letter = replyLetter(
      said,
      form,
      wicked,
      { coupon: 'C-1', site: 'Kiln', form: 'F' },
      { lang: 'en', direction: 'ltr' },
    )
    expect(letter.subject).toBe('Hello <b>@x.example Bcc: y Kiln')
    expect(letter.text).toContain('Code C-1, Large, {unknown}')
    expect(letter.html).toContain('&lt;b&gt;@x.example')
    expect(letter.html).not.toContain('<b>')
    expect(strangeBlanks(said, form)).toEqual(['unknown'])
  })
  it('a note of several says how many, a test that it is one', () => {
    const one = { at: 'today', page: '/', lines: [{ label: 'A', says: 'b' }] }
    expect(noteLetter({ form: 'F', site: 'S', isTest: false, link: '' }, [one, one]).subject).toBe('2 answers to F (S)')
    expect(noteLetter({ form: 'F', site: '', isTest: true, link: '' }, [one])).toMatchObject({
      subject: 'Test: F',
      text: expect.stringContaining('Nobody filled it in') as string,
    })
  })
})

describe('what is taken of answers', () => {
  it('consent with its exact words, release and time; addresses in their order', () => {
    const at = new Date('2026-11-27T10:00:00Z')
    expect(consentsOf(form, responses, { release: 3, at })).toEqual([
      {
        field: 'consent',
        words: 'You may write to me.',
        help: '',
        link: 'https://kiln.example/privacy',
        release: 3,
        at: '2026-11-27T10:00:00.000Z',
      },
    ])
    expect(consentsOf(form, { ...responses, consent: false }, { release: 3, at })).toEqual([])
    expect(mailsIn(form, responses)).toEqual(['isla@visitor.example'])
  })
  it('what its author wrote into a hidden field, whatever came', () => {
    const read = readResponses(form, { ...responses, list: 'all of them' }, { today: TODAY })
    expect(read).toMatchObject({ well: true, responses: { list: 'winter' } })
  })
  it('counts that add up, of any form and any answers', () =>
    fc.assert(
      fc.property(filled, fc.integer({ min: 1, max: 5 }), ({ form, answers }, times) => {
        const raw = Object.fromEntries(
          form.steps.flatMap(({ fields }) => fields).map(({ name }, i) => [name, answers[i]]),
        )
        const read = readResponses(form, raw, { today: TODAY })
        if (!read.well) return
        const counts: Record<string, Record<string, number>> = {}
        for (let n = 0; n < times; n++)
          for (const { field, value } of countsAfter(form, read.responses))
            (counts[field] ??= {})[value] = (counts[field]?.[value] ?? 0) + 1
        for (const { field, bars } of resultsOf(form, counts)) {
          const given = [read.responses[field] ?? []].flat().length
          expect(bars.reduce((sum, { count }) => sum + count, 0)).toBe(given * times)
          if (given) expect(bars.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1)
        }
      }),
    ))
})

describe('what leaves', () => {
  const lead = (answers: ExportedLead['answers']): ExportedLead => ({
    id: 'i',
    at: '2026-11-27T10:00:00.000Z',
    form: 'F',
    site: 'S',
    page: '/',
    state: 'new',
    test: false,
    from: '',
    language: 'en-GB',
    answers,
    consents: [],
  })
  it('as CSV is read by another parser as it was written, whatever was written (RFC 4180)', () =>
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'binary' }), { minLength: 1, maxLength: 6 }), (texts) => {
        const rows = parse(leadsCsv(texts.map((text) => lead({ text }))), { columns: true }) as Record<string, string>[]
        // An apostrophe is put before what a spreadsheet would calculate (OWASP, CSV injection).
        const plain = (text: string) => text.replace(/(^|[;|\t\r\n])'+/g, '$1')
        expect(rows.map((row) => plain(row['answer:text']!))).toEqual(texts.map(plain))
      }),
    ))
  it.each([
    ['=1+1', `'=1+1`],
    ['+SUM(A1)', `'+SUM(A1)`],
    ['-cmd', `'-cmd`],
    ['@x', `'@x`],
    ['\t=1', `\t'=1`],
    [' =1', `' =1`],
    ['x;=cmd|calc', `x;'=cmd|calc`],
    ['a| =1', `a|' =1`],
    ['two\n=lines', `two\n'=lines`],
    ['＝1+1', `'＝1+1`],
    ['a; -3; +44 1632', 'a; -3; +44 1632'],
  ])('a formula (%j) is text there, whatever parts the columns; a telephone number is itself', (formula, text) => {
    const [row] = parse(leadsCsv([lead({ f: formula, t: '+44 1632 960 001', n: -3 })]), {
      columns: true,
      trim: false,
    }) as [Record<string, string>]
    expect(row['answer:f']).toBe(text)
    expect([row['answer:t'], row['answer:n']]).toEqual(['+44 1632 960 001', '-3'])
  })
  it('as JSON says what it is', () =>
    expect(JSON.parse(leadsJson([lead({ a: [] })]))).toMatchObject({
      format: 'pebblestrand-leads',
      version: 1,
      leads: [{ id: 'i' }],
    }))
})

describe('what becomes of answers', () => {
  it('is as usual where nobody decides, and its faults are at their fields', () => {
    expect(usualDelivery).toMatchObject({ reply: false, noteAgency: 'each', keepDays: 365 })
    const faults = (change: object) => {
      const read = DeliverySettings.safeParse({ ...usualDelivery, ...change })
      return read.success ? [] : read.error.issues.map(({ path }) => path.join('.'))
    }
    expect(faults({ reply: true })).toEqual(['replySubject', 'replyText'])
    expect(faults({ coupon: 'fixed' })).toEqual(['code'])
    expect(faults({ webhook: 'javascript:alert(1)' })).toEqual(['webhook'])
    expect(faults({ reply: true, replySubject: 'A', replyText: '{coupon}' })).toEqual(['replyText'])
  })
})

describe('work for a form under attack', () => {
  // FIPS 180-4: the digest of the empty message begins e3 b0 c4.
  it('counts zero bits from the front', () => {
    expect(zeroBits(Uint8Array.of(0xe3))).toBe(0)
    expect(zeroBits(Uint8Array.of(0, 0x1f))).toBe(11)
    expect(zeroBits(Uint8Array.of(0, 0))).toBe(16)
  })
  it('is done by trying, known when it is done, and twice as much for each bit on the average', () => {
    const tries = (bits: number) =>
      Array.from({ length: 40 }, (_, n) => Number(solve(`c${n}`, bits, 0, 1_000_000))).reduce((sum, n) => sum + n, 0) /
      40
    expect(isSolved('c0', solve('c0', 10, 0, 1_000_000)!, 10)).toBe(true)
    expect(solve('c0', 30, 0, 10)).toBeNull()
    const ratio = tries(9) / tries(6)
    expect(ratio).toBeGreaterThan(4)
    expect(ratio).toBeLessThan(16)
  })
})

describe('putting a form together', () => {
  it.each(Object.keys(fieldKinds) as FieldKind[])(
    '%s begins as a field that a form takes, known by a name of its own',
    (is) => {
      const first = newField(is, [])
      const second = newField(is, [first.name])
      expect(second.name).not.toBe(first.name)
      const whole = { steps: [{ fields: [first, second, newField('short', [first.name, second.name])] }] }
      expect(FormDefinition.safeParse(whole).error?.issues ?? []).toEqual([])
      const keys = Object.keys((Field.options.find((one) => one.shape.is.value === is) as z.ZodObject).shape)
      for (const { key } of fieldKinds[is].parts) expect(keys).toContain(key)
    },
  )
  it('names are plain, free, and never ours', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.array(fc.string()), (words, taken) => {
        const name = freeName(words, taken)
        expect(name).toMatch(/^[a-z][a-z0-9-]{0,39}$/)
        expect(taken).not.toContain(name)
      }),
    ))
  it('a field moved anywhere is there, and nothing else is lost', () =>
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.nat(), { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 3 }),
        fc.nat(),
        fc.nat(),
        fc.nat(),
        (all, a, b, c) => {
          const steps = all.map((fields) => ({ fields }))
          const from = { step: a % all.length, at: b % all[a % all.length]!.length }
          const toStep = c % all.length
          const to = { step: toStep, at: Math.min(c % 5, all[toStep]!.length - (toStep === from.step ? 1 : 0)) }
          const after = moved(steps, from, to)
          expect(after[to.step]!.fields[to.at]).toBe(all[from.step]![from.at])
          expect(after.flatMap(({ fields }) => fields).sort()).toEqual(all.flat().sort())
        },
      ),
    ))
})

describe('days', () => {
  // IANA: Auckland is 13 h ahead of UTC in November.
  it('are those of the site', () =>
    expect(dayIn('Pacific/Auckland', new Date('2026-11-25T11:00:00Z'))).toBe('2026-11-26'))
})
