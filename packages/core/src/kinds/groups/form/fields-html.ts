import type { fieldsOf } from '../../../forms'
import { type Field, type FieldKind, type FieldOf } from '../../../forms'
import { escapeAttribute as attribute, escapeText } from '../../../markup'
import { counted, labels, spokenLanguage, type LabelId } from '../../../words'

/** What was filled in already, and what is wrong with it: where a form without a script comes back. */
export interface Filled {
  values: Readonly<Record<string, unknown>>
  /** In words, by field. */
  faults: Readonly<Record<string, string>>
}

export interface FieldContext {
  locale: string
  optional: string
  filled: Filled
}

/** What a browser may fill in by itself, by the name of a field (HTML, 4.10.18.7.1; WCAG 2.2, 1.3.5). */
const AUTOCOMPLETE: Record<string, string> = {
  name: 'name',
  'first-name': 'given-name',
  'last-name': 'family-name',
  street: 'street-address',
  postcode: 'postal-code',
  town: 'address-level2',
  organisation: 'organization',
  birthday: 'bday',
}

/** Words of ours in the language of the form. */
export const say = (id: LabelId, locale: string, n?: number): string => {
  const label = labels[spokenLanguage(locale).labels][id]
  return n === undefined ? label : counted(label, n, locale)
}

const idOf = (name: string) => `f-${name}`
const valueOf = ({ filled }: FieldContext, name: string): unknown =>
  Object.hasOwn(filled.values, name) ? filled.values[name] : undefined
const textOf = (context: FieldContext, name: string): string => {
  const value = valueOf(context, name)
  return typeof value === 'string' || typeof value === 'number' ? String(value) : ''
}
const chosenOf = (context: FieldContext, name: string): string[] => {
  const value = valueOf(context, name)
  return Array.isArray(value) ? value.map(String) : value === undefined ? [] : [String(value)]
}

/** A field that hangs on another is not demanded without a script, which alone can tell whether it is asked for. */
const demanded = (field: Exclude<Field, { is: 'hidden' }>) => (field.required && field.when === null ? ' required' : '')
const described = ({ name, help }: { name: string; help: string }) =>
  ` aria-describedby="${help ? `h-${name} ` : ''}e-${name}"`
const common = (field: Exclude<Field, { is: 'hidden' }>, context: FieldContext) =>
  ` name="${field.name}"${demanded(field)}${described(field)}${context.filled.faults[field.name] ? ' aria-invalid="true"' : ''}`
const hint = ({ placeholder }: { placeholder: string }) =>
  placeholder ? ` placeholder="${attribute(placeholder)}"` : ''
const complete = (name: string) => (AUTOCOMPLETE[name] ? ` autocomplete="${AUTOCOMPLETE[name]}"` : '')

type Shown = Exclude<FieldKind, 'hidden'>
type Drawings = { [K in Shown]: (field: FieldOf<K>, context: FieldContext) => string }

const line = (
  field: FieldOf<'short' | 'email' | 'telephone' | 'number' | 'date'>,
  context: FieldContext,
  more: string,
) =>
  `<input class="ip" part="input" id="${idOf(field.name)}"${common(field, context)} value="${attribute(textOf(context, field.name))}"${more}>`

/** One of several that go together: the box and its words. */
const option = (
  type: 'radio' | 'checkbox',
  name: string,
  { value, words }: { value: string; words: string },
  more: string,
) =>
  `<label class="oc"><input type="${type}" name="${name}" value="${attribute(value)}"${more}><span>${escapeText(words)}</span></label>`

const box = (field: FieldOf<'tick' | 'consent'>, context: FieldContext) => {
  const link =
    field.is === 'consent' && field.link
      ? ` <a href="${attribute(field.link)}" target="_blank" rel="noopener" part="link">↗<span class="hd">${escapeText(field.label)}</span></a>`
      : ''
  const on = ['yes', 'on', 'true'].includes(textOf(context, field.name)) ? ' checked' : ''
  return `<span class="bx"><label class="oc"><input type="checkbox" id="${idOf(field.name)}" value="yes"${common(field, context)}${on}><span>${escapeText(field.label)}${mark(field, context)}</span></label>${link}</span>`
}

const drawings: Drawings = {
  short: (field, context) =>
    line(field, context, ` type="text" maxlength="${field.most}"${hint(field)}${complete(field.name)}`),
  email: (field, context) => line(field, context, ` type="email" autocomplete="email" maxlength="254"${hint(field)}`),
  telephone: (field, context) => line(field, context, ` type="tel" autocomplete="tel" maxlength="40"${hint(field)}`),
  number: (field, context) =>
    line(
      field,
      context,
      ` type="number" inputmode="decimal" step="${field.decimals ? (1 / 10 ** field.decimals).toFixed(field.decimals) : '1'}"${field.min === null ? '' : ` min="${field.min}"`}${field.max === null ? '' : ` max="${field.max}"`}${hint(field)}`,
    ),
  date: (field, context) => line(field, context, ` type="date"${complete(field.name)}`),
  long: (field, context) =>
    `<textarea class="ip" part="input" id="${idOf(field.name)}" rows="${field.rows}" maxlength="${field.most}"${common(field, context)}${hint(field)}>\n${escapeText(textOf(context, field.name))}</textarea>`,
  'one-of': (field, context) => {
    const chosen = chosenOf(context, field.name)
    if (field.shown === 'list')
      return `<select class="ip" part="input" id="${idOf(field.name)}"${common(field, context)}><option value="">${escapeText(say('choose', context.locale))}</option>${field.options
        .map(
          ({ value, words }) =>
            `<option value="${attribute(value)}"${chosen.includes(value) ? ' selected' : ''}>${escapeText(words)}</option>`,
        )
        .join('')}</select>`
    return field.options
      .map((one) =>
        option('radio', field.name, one, `${demanded(field)}${chosen.includes(one.value) ? ' checked' : ''}`),
      )
      .join('')
  },
  'several-of': (field, context) => {
    const chosen = chosenOf(context, field.name)
    return field.options
      .map((one) => option('checkbox', field.name, one, chosen.includes(one.value) ? ' checked' : ''))
      .join('')
  },
  tick: box,
  consent: box,
  rating: (field, context) => {
    const chosen = chosenOf(context, field.name)
    const stars = Array.from({ length: field.most }, (_, i) => String(i + 1))
    return `<span class="rt">${stars
      .map((value) => {
        const words = say('position', context.locale).replace('{n}', value).replace('{all}', String(field.most))
        return `<label class="sr"><input type="radio" name="${field.name}" value="${value}"${demanded(field)}${chosen.includes(value) ? ' checked' : ''}><span class="hd">${escapeText(words)}</span><span class="st" aria-hidden="true">★</span></label>`
      })
      .join('')}</span>`
  },
}

const mark = ({ required }: { required: boolean }, { optional }: FieldContext) =>
  required || !optional ? '' : ` <small class="op">${escapeText(optional)}</small>`

/** Whether a field is several controls, which a legend names. */
const isGroup = (field: Field) =>
  (field.is === 'one-of' && field.shown === 'buttons') || field.is === 'several-of' || field.is === 'rating'

function fieldHtml(field: Field, context: FieldContext): string {
  if (field.is === 'hidden') return `<input type="hidden" name="${field.name}" value="">`
  const drawn = (drawings[field.is] as (f: Field, c: FieldContext) => string)(field, context)
  const help = field.help ? `<p class="hp" id="h-${field.name}">${escapeText(field.help)}</p>` : ''
  const fault = context.filled.faults[field.name] ?? ''
  const error = `<p class="er" id="e-${field.name}"${fault ? '' : ' hidden'}>${escapeText(fault)}</p>`
  const named = `${escapeText('label' in field ? field.label : '')}${mark(field, context)}`
  const attributes = `class="fd${field.width === 'half' ? ' hf' : ''}" data-field="${field.name}"`
  if (isGroup(field))
    return `<fieldset ${attributes} part="field"${described(field)}><legend class="lb" part="label">${named}</legend>${help}<span class="os${field.is === 'rating' ? ' rw' : ''}">${drawn}</span>${error}</fieldset>`
  const label =
    field.is === 'tick' || field.is === 'consent'
      ? ''
      : `<label class="lb" part="label" for="${idOf(field.name)}">${named}</label>`
  return `<div ${attributes} part="field">${label}${field.is === 'consent' || field.is === 'tick' ? `${drawn}${help}` : `${help}${drawn}`}${error}</div>`
}

/** The fields of a form, step by step. Without a script all steps are in sight, one below the other. */
export const stepsHtml = (form: Parameters<typeof fieldsOf>[0], context: FieldContext): string =>
  form.steps
    .map(
      ({ title, fields }) =>
        `<fieldset class="se" data-step>${title ? `<legend class="sl" part="label">${escapeText(title)}</legend>` : ''}<div class="fs">${fields.map((field) => fieldHtml(field, context)).join('')}</div></fieldset>`,
    )
    .join('')
