import { fieldsOf } from './fields-of'
import type { Field, FieldOf } from './fields'
import type { FormDefinition } from './form'
import type { Responses } from './responses'

/** A field whose answers can be counted without knowing who gave them. */
export type Polled = FieldOf<'one-of'> | FieldOf<'several-of'> | FieldOf<'rating'>
export const isPolled = (field: Field): field is Polled =>
  field.is === 'one-of' || field.is === 'several-of' || field.is === 'rating'

/** What somebody's answers add to the counts: by field and value, one each. */
export const countsAfter = (form: FormDefinition, responses: Responses): { field: string; value: string }[] =>
  fieldsOf(form)
    .filter(isPolled)
    .flatMap(({ name }) =>
      Object.hasOwn(responses, name)
        ? [responses[name]!].flat().map((value) => ({ field: name, value: String(value) }))
        : [],
    )

/** What all answered to one field. */
export interface PollResult {
  field: string
  label: string
  /** In the order in which they are offered; `share`: of all the counts of this field, 0 to 1. */
  bars: { words: string; count: number; share: number }[]
}

const valuesOf = (field: Polled): { value: string; words: string }[] =>
  field.is === 'rating'
    ? Array.from({ length: field.most }, (_, i) => ({ value: String(field.most - i), words: `${field.most - i} ★` }))
    : field.options

/** @param counts how often each value was given, by field; of fields and values that there are no more, nothing is shown */
export const resultsOf = (form: FormDefinition, counts: Record<string, Record<string, number>>): PollResult[] =>
  fieldsOf(form)
    .filter(isPolled)
    .map((field) => {
      const own = Object.hasOwn(counts, field.name) ? counts[field.name]! : {}
      const bars = valuesOf(field).map(({ value, words }) => ({
        words,
        count: Object.hasOwn(own, value) ? own[value]! : 0,
      }))
      const all = bars.reduce((sum, { count }) => sum + count, 0)
      return {
        field: field.name,
        label: field.label,
        bars: bars.map((bar) => ({ ...bar, share: all ? bar.count / all : 0 })),
      }
    })
