import type { FormDefinition } from '../forms'
import { weekWords, writtenHours, type DayHours, type Week } from '../hours'
import { triggerWords } from '../presence/words'
import type { Trigger } from '../presence/rules'
import { plainText, type RichText } from '../rich-text'
import { labels, listed, type LabelId } from '../words'
import { cutAtWord } from '../text'

/** What a control needs to know, by its type. Numbers carry their limits, choices the words for each value. */
export interface Controls {
  number: { min: number; max: number; step: number; unit: string }
  choice: { options: readonly { value: string; words: string }[] }
  switch: { on: string; off: string }
  words: { most: number; none: string }
  text: { most: number; none: string }
  /** Where a link leads: a web address, a page or a place of the site, a mail address, a telephone (core/addresses). */
  link: { most: number; none: string }
  /** Words of the widget itself: `says` in its language where nobody rewords them (null); `names`: they may not be left out. */
  label: { most: number; says: LabelId; names: boolean }
  /** Rules of CSS for the widget. */
  css: { most: number }
  colour: { unset: string | null }
  /** `none`: said where there is none; `of`: said before their names. */
  sources: { most: number; none: string; of: string }
  /** Items named by their ids, chosen where they are listed. */
  items: { most: number; one: string; none: string }
  /** Addresses of items named by their ids, chosen where they are listed. */
  'item-links': { most: number; one: string; none: string }
  /** How many items of some sources at most. */
  'source-mosts': { most: number }
  /** Some of a few values. */
  several: { options: readonly { value: string; words: string }[]; none: string }
  /** Text with paragraphs, lists, bold, italics and links. */
  rich: { most: number; none: string }
  /** A day and a time on the clocks of the site, and hours and minutes of any day. */
  'local-time': { none: string }
  'time-of-day': { none: string }
  /** A day of the calendar. */
  day: { none: string }
  /** The openings of one day, and of each day of a week. */
  hours: object
  week: object
  /** The address of a picture, typed or of one that was uploaded. */
  picture: { most: number; none: string }
  /** Paths of pages and patterns of them. */
  paths: { most: number; none: string }
  /** Another widget, by its id: one that stands in a place, or one over the page. */
  widget: { none: string; of: 'placed' | 'over-page' }
  /** Fields of a form, in steps; `none`: said where there are none, null where it must have some. */
  fields: { none: string | null }
  /** What makes it appear (core/presence). */
  triggers: { most: number }
  /** Values of one control in an order: pinned items, own links, the fields of a form. `one` is the noun of an entry. */
  list: { of: Control; most: number; one: string; none: string; blank: unknown }
  /** Several values under one name. `saidBy` names the part that stands for the whole in the brief. */
  object: { parts: Record<string, ObjectPart>; saidBy: string }
}

/** One of several values under one name; `when`: it means something only where another of them has one of some values. */
export interface ObjectPart {
  label: string
  control: Control
  when?: { part: string; is: readonly string[] }
}

export type ControlType = keyof Controls
export type ControlOf<T extends ControlType> = { type: T } & Controls[T]
/** How a setting is changed in place. */
export type Control = { [T in ControlType]: ControlOf<T> }[ControlType]

/** Names of what ids in the settings stand for. */
export interface BriefContext {
  sourceNames: Record<string, string>
  widgetNames?: Record<string, string>
}

type Wording<T extends ControlType> = (control: ControlOf<T>, value: never, context: BriefContext) => string

const grouped = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 20 })

const calendarDay = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: 'UTC' })
const dayAndTime = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: 'UTC' })

/** Letters of a longer text that are said. */
const EXCERPT = 60
const excerpt = (text: string): string => {
  const line = text.replace(/\s+/g, ' ')
  const cut = line.length > EXCERPT ? `${cutAtWord(line, EXCERPT)} …` : line
  return line && `“${cut}”`
}

/** Of a label's forms the last, which most numbers have. */
const usualForm = (label: string) => label.split('|').at(-1)!.trim()

/** The names of a form's fields, and in how many steps they are asked for. */
function fieldsWords({ steps }: FormDefinition): string {
  const named = steps.flatMap(({ fields }) => fields).flatMap((field) => ('label' in field ? excerpt(field.label) : []))
  const said = named.length > 6 ? [...named.slice(0, 5), `${named.length - 5} more`] : named
  return `${listed(said, 'and')}${steps.length > 1 ? ` in ${steps.length} steps` : ''}`
}

/** A value as the brief says it, for each type of control. */
const wordings: { [T in ControlType]: Wording<T> } = {
  number: ({ unit }, value: number) => (unit ? `${grouped.format(value)} ${unit}` : grouped.format(value)),
  choice: ({ options }, value: string) => options.find((o) => o.value === value)?.words ?? String(value),
  switch: ({ on, off }, value: boolean) => (value ? on : off),
  words: ({ none }, value: string[]) => (value.length ? listed(value, 'or') : none),
  text: ({ none }, value: string) => (value ? `“${value}”` : none),
  link: ({ none }, value: string) => value || none,
  label: ({ says, names }, value: string | null) =>
    value === null || (names && !value) ? `“${usualForm(labels.en[says])}”` : value ? `“${value}”` : 'nothing',
  css: (_control, value: string) => (value.trim() ? `${value.trim().split('\n').length} lines` : 'none'),
  colour: ({ unset }, value: string) => value || (unset ?? ''),
  sources: ({ none, of }, value: string[], { sourceNames }) =>
    value.length
      ? of +
        listed(
          value.map((id) => sourceNames[id] ?? 'a source that is gone'),
          'and',
        )
      : none,
  items: ({ one, none }, value: string[]) =>
    value.length ? `${value.length} ${value.length === 1 ? one : `${one}s`}` : none,
  'item-links': ({ one, none }, value: unknown[]) =>
    value.length ? `${value.length} ${value.length === 1 ? one : `${one}s`}` : none,
  'source-mosts': (_control, value: { id: string; most: number }[], { sourceNames }) =>
    value.length
      ? `at most ${listed(
          value.map(({ id, most }) => `${most} from ${sourceNames[id] ?? 'a source that is gone'}`),
          'and',
        )}`
      : 'as many from each as there are',
  several: ({ options, none }, value: string[]) =>
    value.length
      ? listed(
          options.filter((one) => value.includes(one.value)).map(({ words }) => words),
          'and',
        )
      : none,
  rich: ({ none }, value: RichText) => excerpt(plainText(value)) || none,
  'local-time': ({ none }, value: string) => (value ? dayAndTime.format(new Date(`${value}Z`)) : none),
  'time-of-day': ({ none }, value: string) => value || none,
  day: ({ none }, value: string) => (value ? calendarDay.format(new Date(`${value}T00:00Z`)) : none),
  hours: (_control, value: DayHours) => writtenHours(value) || 'closed',
  week: (_control, value: Week) => weekWords(value) || 'on no day',
  picture: ({ none }, value: string) => (/\/api\/uploads\/[\w-]+$/.test(value) ? 'one of your own' : value || none),
  paths: ({ none }, value: string[]) => (value.length ? listed(value, 'and') : none),
  widget: ({ none }, value: string, { widgetNames }) =>
    value ? (widgetNames?.[value] ?? 'a widget that is gone') : none,
  fields: ({ none }, value: FormDefinition | null) => (value ? fieldsWords(value) : (none ?? 'nothing')),
  triggers: (_control, value: Trigger[]) => listed(value.map(triggerWords), 'or'),
  list: ({ of, none }, value: unknown[], context) =>
    value.length
      ? listed(
          value.map((one) => wordsFor(of, one, context)),
          'and',
        )
      : none,
  object: ({ parts, saidBy }, value: Record<string, unknown>, context) =>
    wordsFor(parts[saidBy]!.control, value[saidBy], context),
}

/** A value as the brief says it. */
export const wordsFor = (control: Control, value: unknown, context: BriefContext): string =>
  (wordings[control.type] as (c: Control, v: unknown, x: BriefContext) => string)(control, value, context)
