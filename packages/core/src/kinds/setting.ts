import { LEADS_NOWHERE } from '../addresses'
import { linkTarget } from '../markup'
import { z } from 'zod'
import { Week } from '../hours'
import { patternProblem } from '../page-patterns'
import { lengthOf, RichText } from '../rich-text'
import type { Control } from './controls'

/** The questions a brief answers, in this order; each heads a paragraph. The last is for what stands over the page. */
export const paragraphs = {
  shows: 'What it shows',
  asks: 'What it asks for',
  after: 'After it is sent',
  layout: 'How it is laid out',
  look: 'How it looks',
  click: 'What a click does',
  words: 'The words on it',
  presence: 'When it appears',
} as const
export type Paragraph = keyof typeof paragraphs

/** `rows`: what fills the last row; `cell`: the width each cell gets; `contrast`: text on background; `markup`: what search engines make of it; `phrases`: in which languages; `phones`, `closing`: what is common practice. */
export type HintId = 'rows' | 'cell' | 'contrast' | 'markup' | 'phrases' | 'phones' | 'closing'

/** What stands beside a setting's schema: its name, where it is said in the brief, and the words around it. */
export interface SettingMeta {
  label: string
  paragraph: Paragraph
  /** Text before the value, with its own spaces and punctuation. */
  before: string
  after?: string
  control: Control
  /** What else is worth knowing beside its control; worked out where widget and width are known. */
  hints?: readonly HintId[]
  /** Written for this one widget: another design leaves it alone once it was changed. */
  written?: true
  /** Said only where another setting gives it a meaning. */
  when?: (settings: Record<string, unknown>) => boolean
}

/** Zod keeps a setting's schema and its metadata together; one registry for all kinds. */
export const settingRegistry = z.registry<SettingMeta>()

type Place = Omit<SettingMeta, 'control'>

export const number = (
  limits: { min: number; max: number; step?: number; unit?: string; byDefault: number },
  place: Place,
) =>
  z
    .number({ error: `must be a whole number from ${limits.min} to ${limits.max}` })
    .int(`must be a whole number from ${limits.min} to ${limits.max}`)
    .min(limits.min, `must be ${limits.min} or more`)
    .max(limits.max, `must be ${limits.max} or less`)
    .default(limits.byDefault)
    .register(settingRegistry, {
      ...place,
      control: { type: 'number', min: limits.min, max: limits.max, step: limits.step ?? 1, unit: limits.unit ?? '' },
    })

export const choice = <const V extends string>(options: Record<V, string>, byDefault: NoInfer<V>, place: Place) =>
  z
    .enum(Object.keys(options) as [V, ...V[]], { error: `must be one of ${Object.keys(options).join(', ')}` })
    .default(byDefault as never)
    .register(settingRegistry, {
      ...place,
      control: {
        type: 'choice',
        options: (Object.entries(options) as [string, string][]).map(([value, words]) => ({ value, words })),
      },
    })

export const onOff = (words: { on: string; off: string }, byDefault: boolean, place: Place) =>
  z
    .boolean()
    .default(byDefault)
    .register(settingRegistry, { ...place, control: { type: 'switch', ...words } })

export const wordList = (none: string, place: Place) =>
  z
    .array(z.string().trim().min(1).max(60, 'a keyword has 60 letters at most'))
    .max(20, 'takes 20 keywords at most')
    .default([])
    .register(settingRegistry, { ...place, control: { type: 'words', most: 20, none } })

export const text = (most: number, none: string, place: Place) =>
  z
    .string()
    .trim()
    .max(most, `must have ${most} letters or fewer`)
    .default('')
    .register(settingRegistry, { ...place, control: { type: 'text', most, none } })

/** Where a link leads; '' for nowhere. */
const Link = z
  .string()
  .trim()
  .max(2000, 'must have 2000 letters or fewer')
  .refine((to) => !to || linkTarget(to) !== '', LEADS_NOWHERE)

export const link = (none: string, place: Place) =>
  Link.default('').register(settingRegistry, { ...place, control: { type: 'link', most: 2000, none } })

/** Rules of CSS, as they are typed; what of them applies is decided when they are scoped (core/own-css). */
export const css = (most: number, place: Place) =>
  z
    .string()
    .max(most, `must have ${most} letters or fewer`)
    .default('')
    .register(settingRegistry, { ...place, control: { type: 'css', most } })

const hex = /^#(?:[0-9a-f]{3}|[0-9a-f]{6})$/i

/** A colour as #rrggbb, or '' where `unset` says what then applies. */
export const colour = (byDefault: string, unset: string | null, place: Place) =>
  z
    .string()
    .refine((value) => hex.test(value) || (unset !== null && value === ''), 'must be a colour like #17665A')
    .default(byDefault)
    .register(settingRegistry, { ...place, control: { type: 'colour', unset } })

/**
 * @param words `none`: said where there is no source, of what has content of its own then; `of`: said before the sources' names
 */
export const sources = (most: number, place: Place, { none = 'no source yet', of = '' } = {}) =>
  z
    .array(z.uuid('must be the id of a source'))
    .max(most, `takes ${most} sources at most`)
    .default([])
    .register(settingRegistry, { ...place, control: { type: 'sources', most, none, of } })

/** Items by their ids, in an order. */
export const items = (limits: { most: number; one: string; none: string }, place: Place) =>
  z
    .array(z.string().min(3).max(700))
    .max(limits.most, `takes ${limits.most} at most`)
    .default([])
    .register(settingRegistry, { ...place, control: { type: 'items', ...limits } })

/** Addresses of single items, by their ids; '' while none is typed yet. */
export const itemLinks = (limits: { most: number; one: string; none: string }, place: Place) =>
  z
    .array(
      z.strictObject({
        id: z.string().min(3).max(700),
        url: Link,
      }),
    )
    .max(limits.most, `takes ${limits.most} at most`)
    .default([])
    .register(settingRegistry, { ...place, control: { type: 'item-links', ...limits } })

/** For some sources, how many of their items at most; `most` sources. */
export const sourceMosts = (limits: { most: number }, place: Place) =>
  z
    .array(
      z.strictObject({
        id: z.uuid('must be the id of a source'),
        most: z.number().int('must be whole numbers').min(1, 'must be 1 or more').max(200, 'must be 200 or less'),
      }),
    )
    .max(limits.most, `takes ${limits.most} at most`)
    .default([])
    .register(settingRegistry, { ...place, control: { type: 'source-mosts', ...limits } })

/** Values of one schema in an order; `blank` is what a new entry begins as. */
export const list = <T extends z.ZodType>(
  entry: { schema: T; control: Control; blank: z.input<T> },
  limits: { most: number; one: string; none: string },
  place: Place,
) =>
  z
    .array(entry.schema)
    .max(limits.most, `takes ${limits.most} at most`)
    .default([] as never)
    .register(settingRegistry, {
      ...place,
      control: { type: 'list', of: entry.control, blank: entry.blank, ...limits },
    })

/** Several values of a few, in the order in which they are offered. */
export const several = <const V extends string>(
  options: Record<V, string>,
  byDefault: readonly NoInfer<V>[],
  none: string,
  place: Place,
) =>
  z
    .array(z.enum(Object.keys(options) as [V, ...V[]], { error: `must be of ${Object.keys(options).join(', ')}` }))
    .max(Object.keys(options).length)
    .default([...byDefault] as never)
    .register(settingRegistry, {
      ...place,
      control: {
        type: 'several',
        none,
        options: (Object.entries(options) as [string, string][]).map(([value, words]) => ({ value, words })),
      },
    })

/** Text with paragraphs, lists, bold, italics and links. */
export const rich = (most: number, none: string, place: Place) =>
  RichText.refine((value) => lengthOf(value) <= most, `must have ${most} letters or fewer`)
    .default([])
    .register(settingRegistry, { ...place, control: { type: 'rich', most, none } })

/** The address of a picture; '' for none. */
export const picture = (none: string, place: Place) =>
  z
    .union([z.literal(''), z.url({ protocol: /^https?$/ }).max(2000)], 'must be an address like https://…')
    .default('')
    .register(settingRegistry, { ...place, control: { type: 'picture', most: 2000, none } })

/** A day and a time on the clocks of the site, as `2026-11-27T08:30`; '' for none. */
export const localTime = (none: string, place: Place) =>
  z
    .union(
      [z.literal(''), z.iso.datetime({ local: true, precision: -1 })],
      'must be a day and a time like 2026-11-27T08:30',
    )
    .default('')
    .register(settingRegistry, { ...place, control: { type: 'local-time', none } })

/** Hours and minutes of a day, as `08:30`; '' for none. */
export const timeOfDay = (none: string, place: Place) =>
  z
    .string()
    .regex(/^(?:[01]\d|2[0-3]):[0-5]\d$|^$/, 'must be a time like 08:30')
    .default('')
    .register(settingRegistry, { ...place, control: { type: 'time-of-day', none } })

/** A day of the calendar, as `2026-12-24`; '' for none. */
export const day = (none: string, place: Place) =>
  z
    .union([z.literal(''), z.iso.date()], 'must be a day like 2026-12-24')
    .default('')
    .register(settingRegistry, { ...place, control: { type: 'day', none } })

/** When a place is open on each day of a week. */
export const week = (byDefault: Week, place: Place) =>
  Week.default(byDefault).register(settingRegistry, { ...place, control: { type: 'week' } })

/** Paths of pages, or patterns of them. */
export const paths = (most: number, none: string, place: Place) =>
  z
    .array(
      z
        .string()
        .trim()
        .max(300, 'a path has 300 letters at most')
        .superRefine((path, context) => {
          const problem = patternProblem(path)
          if (problem) context.addIssue({ code: 'custom', message: `must ${problem}` })
        }),
    )
    .max(most, `takes ${most} paths at most`)
    .default([])
    .register(settingRegistry, { ...place, control: { type: 'paths', most, none } })

/** Another widget, by its id; '' for none. */
export const widget = (none: string, of: 'placed' | 'over-page', place: Place) =>
  z
    .union([z.literal(''), z.uuid()], 'must be the id of a widget')
    .default('')
    .register(settingRegistry, { ...place, control: { type: 'widget', none, of } })

/** Several values under one name, all of them said in the brief by one. */
export const group = <S extends z.ZodObject>(
  schema: S,
  control: Omit<Extract<Control, { type: 'object' }>, 'type'>,
  byDefault: z.input<S>,
  place: Place,
) => {
  const whole = schema.default(byDefault as never)
  settingRegistry.add(whole as z.ZodType, { ...place, control: { type: 'object', ...control } })
  return whole
}
