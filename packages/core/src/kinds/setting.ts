import { z } from 'zod'

/** How a setting is changed in place. Numbers carry their limits, choices the words for each value. */
export type Control =
  | { type: 'number'; min: number; max: number; step: number; unit: string }
  | { type: 'choice'; options: readonly { value: string; words: string }[] }
  | { type: 'switch'; on: string; off: string }
  | { type: 'words'; most: number; none: string }
  | { type: 'text'; most: number; none: string }
  | { type: 'colour'; unset: string | null }
  | { type: 'sources'; most: number }

/** The five questions a brief answers, in this order; each heads a paragraph. */
export const paragraphs = {
  shows: 'What it shows',
  layout: 'How it is laid out',
  look: 'How it looks',
  click: 'What a click does',
  words: 'The words on it',
} as const
export type Paragraph = keyof typeof paragraphs

/** What stands beside a setting's schema: its name, where it is said in the brief, and the words around it. */
export interface SettingMeta {
  label: string
  paragraph: Paragraph
  /** Text before the value, with its own spaces and punctuation. */
  before: string
  after?: string
  control: Control
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

const hex = /^#(?:[0-9a-f]{3}|[0-9a-f]{6})$/i

/** A colour as #rrggbb, or '' where `unset` says what then applies. */
export const colour = (byDefault: string, unset: string | null, place: Place) =>
  z
    .string()
    .refine((value) => hex.test(value) || (unset !== null && value === ''), 'must be a colour like #17665A')
    .default(byDefault)
    .register(settingRegistry, { ...place, control: { type: 'colour', unset } })

export const sources = (most: number, place: Place) =>
  z
    .array(z.uuid('must be the id of a source'))
    .max(most, `takes ${most} sources at most`)
    .default([])
    .register(settingRegistry, { ...place, control: { type: 'sources', most } })
