import { daysAfter, weekday } from '../zoned-time/days'
import type { Field, FieldKind, FieldOf } from './fields'
import { fieldsOf } from './fields-of'
import type { FormDefinition } from './form'
import { isAsked, type Responses } from './responses'
import type { Answer } from './reading'

interface Given {
  /** Where a reply to it goes. */
  mail: string
  today: string
}

/** Days that are tried for one that a form takes. */
const MOST_DAYS = 800

function dayFor({ fromDays, untilDays, notOn, not }: FieldOf<'date'>, today: string): string | null {
  const first = fromDays ?? Math.min(1, untilDays ?? 1)
  for (let days = first; days <= (untilDays ?? first + MOST_DAYS) && days <= first + MOST_DAYS; days++) {
    const day = daysAfter(today, days)
    if (!notOn.includes(weekday(day)) && !not.includes(day)) return day
  }
  return null
}

const words = (least: number, most: number) =>
  'Test visitor '
    .repeat(Math.ceil((least || 1) / 13))
    .trim()
    .padEnd(least, '.')
    .slice(0, most)

const answers: { [K in FieldKind]: (field: FieldOf<K>, given: Given) => Answer | null } = {
  short: ({ least, most }) => words(least, most),
  long: ({ least, most }) => words(least, most),
  email: (_field, { mail }) => mail,
  telephone: () => '+44 1632 960 000', // numbers of Ofcom's that nobody has, for drama
  number: ({ min, max }) => min ?? (max === null ? 1 : Math.min(1, Math.floor(max))),
  'one-of': ({ options }) => options[0]!.value,
  'several-of': ({ options, least }) => options.slice(0, Math.max(1, least)).map(({ value }) => value),
  tick: () => true,
  consent: () => true,
  date: (field, { today }) => dayFor(field, today),
  rating: ({ most }) => most,
  hidden: ({ from, value }) => (from === 'fixed' ? value || null : null),
}

/** Answers that a form takes, whatever it asks: for a test that goes the whole way. */
export function madeUp(form: FormDefinition, given: Given): Responses {
  const responses: Responses = {}
  for (const field of fieldsOf(form)) {
    if (!isAsked(field, responses)) continue
    const answer = (answers[field.is] as (f: Field, g: Given) => Answer | null)(field, given)
    if (answer !== null) responses[field.name] = answer
  }
  return responses
}
