import { z } from 'zod'

// What a form asks for, as its author put it together. A field is told by its kind (`is`); how its answer is read stands in reading.ts.

const words = (most: number) => z.string().trim().max(most, `must have ${most} letters or fewer`)

/** What a field's answer is known by, in leads and exports; it stays when its label is reworded. */
export const FieldName = z
  .string()
  .regex(/^[a-z][a-z0-9_-]{0,39}$/, 'must begin with a letter and have small letters, digits, - and _ only, 40 at most')

/** A field that is asked for only where an earlier one has one of some answers; `yes` and `no` of what is ticked. */
export const When = z.strictObject({ field: FieldName, is: z.array(words(200)).min(1).max(50) })
export type When = z.infer<typeof When>

/** A day of the calendar (ISO 8601), as `2026-11-27`. */
const Day = z.iso.date('must be a day like 2026-11-27')

const common = {
  name: FieldName,
  label: words(200).min(1, 'needs words: nobody knows what to write in a field without'),
  help: words(500).default(''),
  required: z.boolean().default(false),
  /** Of the form's width; on phones each field has all of it. */
  width: z.enum(['whole', 'half']).default('whole'),
  when: When.nullable().default(null),
}
const placeholder = words(200).default('')

export const Option = z.strictObject({
  /** What is stored. */
  value: words(200).min(1),
  words: words(200).min(1),
})
export type Option = z.infer<typeof Option>

const options = z
  .array(Option)
  .min(2, 'needs two options at least')
  .max(50, 'takes 50 options at most')
  .refine((all) => new Set(all.map(({ value }) => value)).size === all.length, 'must not have two options of one value')

const count = z.number().int().min(0)

/** Where a hidden field takes its value from: the page's address, a campaign in it, any parameter of it, or what is written here. */
export const HIDDEN_FROM = ['page', 'campaign', 'parameter', 'fixed'] as const

export const Field = z.discriminatedUnion('is', [
  z.strictObject({
    ...common,
    is: z.literal('short'),
    placeholder,
    least: count.max(200).default(0),
    most: count.min(1).max(500).default(200),
  }),
  z.strictObject({
    ...common,
    is: z.literal('long'),
    placeholder,
    least: count.max(2000).default(0),
    most: count.min(1).max(10_000).default(4000),
    /** Lines that are in sight. */
    rows: count.min(2).max(20).default(4),
  }),
  z.strictObject({ ...common, is: z.literal('email'), placeholder }),
  z.strictObject({ ...common, is: z.literal('telephone'), placeholder }),
  z.strictObject({
    ...common,
    is: z.literal('number'),
    placeholder,
    min: z.number().nullable().default(null),
    max: z.number().nullable().default(null),
    /** Digits behind the point. */
    decimals: count.max(4).default(0),
  }),
  z.strictObject({
    ...common,
    is: z.literal('one-of'),
    options,
    shown: z.enum(['buttons', 'list']).default('buttons'),
  }),
  z.strictObject({
    ...common,
    is: z.literal('several-of'),
    options,
    least: count.max(50).default(0),
    /** 0 for as many as there are. */
    most: count.max(50).default(0),
  }),
  z.strictObject({ ...common, is: z.literal('tick') }),
  z.strictObject({
    ...common,
    is: z.literal('date'),
    /** Days from today, on the site's clocks; null for no limit. */
    fromDays: z.number().int().min(-36_500).max(36_500).nullable().default(null),
    untilDays: z.number().int().min(-36_500).max(36_500).nullable().default(null),
    /** Days of the week that are left out: 1 for Monday to 7 for Sunday (ISO 8601). */
    notOn: z.array(z.number().int().min(1).max(7)).max(6, 'must leave one day of the week').default([]),
    /** Single days that are left out. */
    not: z.array(Day).max(400).default([]),
  }),
  z.strictObject({ ...common, is: z.literal('rating'), most: count.min(3).max(10).default(5) }),
  z.strictObject({
    name: FieldName,
    is: z.literal('hidden'),
    from: z.enum(HIDDEN_FROM),
    /** Name of the parameter, or the value itself. */
    value: words(500).default(''),
  }),
  /** What the law asks for: its exact words are stored with each lead, and it is never ticked beforehand. */
  z.strictObject({
    ...common,
    is: z.literal('consent'),
    required: z.boolean().default(true),
    /** Where the full text stands; '' for nowhere. */
    link: z
      .union([z.literal(''), z.url({ protocol: /^https?$/ }).max(2000)], 'must be an address like https://…')
      .default(''),
  }),
])
export type Field = z.infer<typeof Field>
export type FieldKind = Field['is']
export type FieldOf<K extends FieldKind> = Extract<Field, { is: K }>
