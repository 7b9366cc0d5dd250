import { Field, type FieldKind } from './fields'
import { withoutTrailingLetter } from '../text'

/** What is asked about a field of a kind, where it is put together; the inputs are the workbench's. */
export interface FieldPart {
  key: string
  label: string
  input: 'line' | 'count' | 'maybe-number' | 'maybe-count' | 'switch' | 'choice' | 'options' | 'weekdays' | 'days'
  choices?: Record<string, string>
  hint?: string
}

const line = (key: string, label: string, hint?: string): FieldPart => ({ key, label, input: 'line', hint })
const count = (key: string, label: string, hint?: string): FieldPart => ({ key, label, input: 'count', hint })

const placeholder = line('placeholder', 'Shown while it is empty')
const letters = [count('least', 'Letters at least'), count('most', 'Letters at most')]
const options: FieldPart = { key: 'options', label: 'What can be chosen', input: 'options' }

/** What kinds of fields there are, as they are offered, and what is asked about each beside what all have. */
export const fieldKinds: Record<FieldKind, { name: string; label: string; parts: FieldPart[] }> = {
  short: { name: 'Short text', label: 'Your name', parts: [placeholder, ...letters] },
  long: { name: 'Long text', label: 'Your message', parts: [placeholder, ...letters, count('rows', 'Lines in sight')] },
  email: { name: 'E-mail address', label: 'E-mail address', parts: [placeholder] },
  telephone: { name: 'Telephone number', label: 'Telephone number', parts: [placeholder] },
  number: {
    name: 'Number',
    label: 'How many?',
    parts: [
      placeholder,
      { key: 'min', label: 'At least', input: 'maybe-number' },
      { key: 'max', label: 'At most', input: 'maybe-number' },
      count('decimals', 'Digits behind the point'),
    ],
  },
  'one-of': {
    name: 'One of several',
    label: 'Which one?',
    parts: [
      options,
      {
        key: 'shown',
        label: 'Shown as',
        input: 'choice',
        choices: { buttons: 'all in sight', list: 'a list that opens' },
      },
    ],
  },
  'several-of': {
    name: 'Several of several',
    label: 'Which ones?',
    parts: [options, count('least', 'At least'), count('most', 'At most', '0 for as many as there are.')],
  },
  tick: { name: 'A tick', label: 'Please call me back', parts: [] },
  date: {
    name: 'A day',
    label: 'Which day?',
    parts: [
      {
        key: 'fromDays',
        label: 'Not before, days from today',
        input: 'maybe-count',
        hint: '1 for tomorrow; empty for any.',
      },
      { key: 'untilDays', label: 'Not after, days from today', input: 'maybe-count' },
      { key: 'notOn', label: 'Not on', input: 'weekdays' },
      { key: 'not', label: 'Single days left out', input: 'days', hint: 'Like 2026-12-24, one a line.' },
    ],
  },
  rating: { name: 'Stars', label: 'How was it?', parts: [count('most', 'Stars')] },
  hidden: {
    name: 'Hidden',
    label: '',
    parts: [
      {
        key: 'from',
        label: 'Filled in with',
        input: 'choice',
        choices: {
          page: 'the page’s address',
          campaign: 'the campaign in it (utm_campaign)',
          parameter: 'a parameter of it',
          fixed: 'what is written here',
        },
      },
      line('value', 'Which parameter, or what'),
    ],
  },
  consent: {
    name: 'Consent',
    label: 'You may write to me. I can take this back at any time.',
    parts: [
      line('link', 'Where the full text stands', 'An address like https://…; its words are kept with each answer.'),
    ],
  },
}

/** A name as fields have it, of some words; one that is taken gets a number. */
export function freeName(words: string, taken: readonly string[]): string {
  const plain = words
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^[^a-z]+/, '')
    .slice(0, 34)
  const base = withoutTrailingLetter(plain, '-') || 'field'
  if (!taken.includes(base)) return base
  for (let n = 2; ; n++) if (!taken.includes(`${base}-${n}`)) return `${base}-${n}`
}

/** A field to begin with. @param taken names of the form's other fields */
export function newField(is: FieldKind, taken: readonly string[]): Field {
  const { label } = fieldKinds[is]
  const name = freeName(label.split(' ').slice(0, 3).join(' ') || is, taken)
  if (is === 'hidden') return Field.parse({ is, name, from: 'page' })
  const more =
    is === 'one-of' || is === 'several-of'
      ? {
          options: [
            { value: 'first', words: 'The first' },
            { value: 'second', words: 'The second' },
          ],
        }
      : {}
  return Field.parse({ is, name, label, ...more })
}

/** Where a field is moved to. @param to number in the step it comes to, counted without it */
export function moved<S extends { fields: readonly unknown[] }>(
  steps: readonly S[],
  from: { step: number; at: number },
  to: { step: number; at: number },
): S[] {
  const field = steps[from.step]!.fields[from.at]
  return steps.map((step, number) => {
    const left = number === from.step ? step.fields.toSpliced(from.at, 1) : [...step.fields]
    return { ...step, fields: number === to.step ? left.toSpliced(to.at, 0, field) : left }
  })
}
