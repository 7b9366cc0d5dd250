import type { FieldFault } from './faults'
import type { Field, When } from './fields'
import { fieldsOf } from './fields-of'
import type { FormDefinition } from './form'
import { readAnswer, type Answer, type Circumstances } from './reading'

/** What somebody answered, by the names of the fields; what they left out is not there. */
export type Responses = Record<string, Answer>

export type ResponsesRead =
  | { well: true; responses: Responses }
  /** What is wrong, by field; `unknown`: names that this form has no field of. */
  | { well: false; faults: Record<string, FieldFault>; unknown: string[] }

const says = (answer: Answer | undefined): string[] =>
  answer === undefined || answer === false
    ? ['no']
    : answer === true
      ? ['yes']
      : Array.isArray(answer)
        ? answer
        : [String(answer)]

const isMet = ({ field, is }: When, responses: Responses): boolean =>
  says(Object.hasOwn(responses, field) ? responses[field] : undefined).some((one) => is.includes(one))

/** Whether a field is asked for, by what was answered before it. One that hangs on a field that is not asked for is not, either. */
export const isAsked = (field: Field, responses: Responses): boolean =>
  !('when' in field) || field.when === null || isMet(field.when, responses)

/** Which fields are asked for while it is filled in, whatever is still wrong with it. */
export function askedFields(
  form: FormDefinition,
  raw: Readonly<Record<string, unknown>>,
  circumstances: Circumstances,
): Set<string> {
  const responses: Responses = {}
  const asked = new Set<string>()
  for (const field of fieldsOf(form)) {
    if (!isAsked(field, responses)) continue
    asked.add(field.name)
    const read = readAnswer(field, Object.hasOwn(raw, field.name) ? raw[field.name] : undefined, circumstances)
    if ('answer' in read) responses[field.name] = read.answer
  }
  return asked
}

/**
 * Reads what was sent of a form, in the order of its fields: the same in the visitor's browser and on the server. Answers to fields
 * that are not asked for are left out, whatever they are.
 * @param raw names and what was given: of a JSON object, or of a form sent without a script (entries.ts)
 */
export function readResponses(
  form: FormDefinition,
  raw: Readonly<Record<string, unknown>>,
  circumstances: Circumstances,
): ResponsesRead {
  const responses: Responses = {}
  const faults: Record<string, FieldFault> = {}
  const known = new Set<string>()
  for (const field of fieldsOf(form)) {
    known.add(field.name)
    if (!isAsked(field, responses)) continue
    const read = readAnswer(field, Object.hasOwn(raw, field.name) ? raw[field.name] : undefined, circumstances)
    if ('fault' in read) faults[field.name] = read.fault
    else if ('answer' in read) responses[field.name] = read.answer
    else if ('required' in field && field.required)
      faults[field.name] = { code: field.is === 'tick' || field.is === 'consent' ? 'not-ticked' : 'missing' }
  }
  const unknown = Object.keys(raw).filter((name) => !known.has(name))
  return Object.keys(faults).length || unknown.length ? { well: false, faults, unknown } : { well: true, responses }
}
