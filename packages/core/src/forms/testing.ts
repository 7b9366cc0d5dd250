import fc from 'fast-check'
import { daysAfter, weekday } from '../zoned-time/days'
import { Field, type FieldKind } from './fields'
import { FormDefinition } from './form'
import type { Answer } from './reading'

// Forms at random, what can be answered to them, and what cannot.

export const TODAY = '2026-11-27'

const word = fc
  .string({ minLength: 1, maxLength: 12, unit: fc.constantFrom(...'abcdefgh ij') })
  .map((text) => text.trim() || 'x')
const options = fc
  .uniqueArray(word, { minLength: 2, maxLength: 6 })
  .map((values) => values.map((value) => ({ value, words: value })))

type Made = { field: object; answer: fc.Arbitrary<Answer>; wrong: fc.Arbitrary<unknown> }
const made = (field: object, answer: fc.Arbitrary<Answer>, wrong: fc.Arbitrary<unknown>): Made => ({
  field,
  answer,
  wrong,
})
const letters = (least: number, most: number) =>
  fc.string({
    minLength: Math.max(1, least),
    maxLength: most,
    unit: fc.constantFrom(...'abcß日 é').filter((one) => one !== ' '),
  })

/** A field of each kind with limits of its own, answers that it takes, and some that it does not. */
const kinds: Record<Exclude<FieldKind, 'hidden'>, fc.Arbitrary<Made>> = {
  short: fc
    .record({ least: fc.integer({ min: 0, max: 5 }), most: fc.integer({ min: 6, max: 30 }) })
    .map((limits) =>
      made({ is: 'short', ...limits }, letters(limits.least, limits.most), letters(limits.most + 1, limits.most + 9)),
    ),
  long: fc
    .integer({ min: 1, max: 60 })
    .map((most) =>
      made({ is: 'long', most }, letters(1, most), fc.oneof(letters(most + 1, most + 9), fc.constant({}))),
    ),
  email: fc.constant(
    made(
      { is: 'email' },
      fc.emailAddress({ size: 'small' }).filter((one) => one.length <= 254),
      fc.constantFrom('nobody', 'a@', '@b', 'a b@c.example', 'a@b..c', 7, ['a@b.example']),
    ),
  ),
  telephone: fc.constant(
    made(
      { is: 'telephone' },
      fc
        .tuple(fc.constantFrom('', '+', '00'), fc.integer({ min: 1000, max: 9_999_999_999 }))
        .map(([sign, n]) => sign + n),
      fc.constantFrom('call me', '12', '+', '1'.repeat(16), '12345;drop'),
    ),
  ),
  number: fc
    .record({
      min: fc.integer({ min: -50, max: 0 }),
      max: fc.integer({ min: 1, max: 50 }),
      decimals: fc.integer({ min: 0, max: 2 }),
    })
    .map(({ min, max, decimals }) =>
      made(
        { is: 'number', min, max, decimals },
        fc.integer({ min, max }),
        fc.constantFrom(min - 1, max + 1, 'many', '1,5', '0x10', 0.12345, Infinity),
      ),
    ),
  'one-of': options.map((all) =>
    made(
      { is: 'one-of', options: all },
      fc.constantFrom(...all.map(({ value }) => value)),
      fc.constantFrom('none of them', [all[0]!.value, 'x'], 3),
    ),
  ),
  'several-of': options.chain((all) =>
    fc.integer({ min: 1, max: all.length }).map((most) =>
      made(
        { is: 'several-of', options: all, most },
        fc
          .shuffledSubarray(
            all.map(({ value }) => value),
            { minLength: 1, maxLength: most },
          )
          .map((some) => all.map(({ value }) => value).filter((one) => some.includes(one))),
        fc.constantFrom(['none of them'], [all[0]!.value, all[0]!.value], [all[0]!.value, 4]),
      ),
    ),
  ),
  tick: fc.constant(made({ is: 'tick' }, fc.constant(true), fc.constantFrom('maybe', 1, ['yes']))),
  consent: fc.constant(made({ is: 'consent' }, fc.constant(true), fc.constantFrom('maybe', 1))),
  date: fc
    .record({
      fromDays: fc.integer({ min: -9, max: 0 }),
      untilDays: fc.integer({ min: 8, max: 30 }),
      out: fc.integer({ min: 1, max: 7 }),
    })
    .map(({ fromDays, untilDays, out }) =>
      made(
        { is: 'date', fromDays, untilDays, notOn: [out] },
        fc
          .integer({ min: fromDays, max: untilDays })
          .map((days) => daysAfter(TODAY, days))
          .filter((day) => weekday(day) !== out),
        fc.constantFrom(
          '27.11.2026',
          '2026-02-30',
          daysAfter(TODAY, fromDays - 1),
          daysAfter(TODAY, untilDays + 1),
          'soon',
        ),
      ),
    ),
  rating: fc
    .integer({ min: 3, max: 10 })
    .map((most) =>
      made({ is: 'rating', most }, fc.integer({ min: 1, max: most }), fc.constantFrom(0.5, most + 1, -1, 'five')),
    ),
}

/** A form, all its answers, and for each field something that it refuses. */
export const filled = fc
  .array(fc.tuple(fc.oneof(...Object.values(kinds)), fc.boolean()), { minLength: 1, maxLength: 12 })
  .chain((all) => {
    const fields = all.map(([{ field }, required], i) =>
      Field.parse({ name: `f${i}`, label: `Field ${i}`, required, ...field }),
    )
    const half = Math.ceil(fields.length / 2)
    const steps = [fields.slice(0, half), fields.slice(half)]
      .filter(({ length }) => length)
      .map((some) => ({ fields: some }))
    return fc.record({
      form: fc.constant(FormDefinition.parse({ steps })),
      answers: fc.tuple(...all.map(([{ answer }]) => answer)),
      wrong: fc.tuple(...all.map(([{ wrong }]) => wrong)),
    })
  })
