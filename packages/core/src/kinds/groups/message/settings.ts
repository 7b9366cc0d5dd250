import { z } from 'zod'
import { LEADS_NOWHERE } from '../../../addresses'
import { linkTarget } from '../../../markup'
import type { RichText } from '../../../rich-text'
import type { ObjectPart } from '../../controls'
import { choice, list, picture, rich, text, widget } from '../../setting'

/** What a button does, and the words for choosing. */
export const goals = {
  address: 'goes to an address',
  file: 'brings a file',
  date: 'puts a date into the calendar',
  phone: 'calls a telephone number',
  place: 'goes to a place on the page',
  widget: 'opens another widget over the page',
  close: 'closes this',
} as const
export type Goal = keyof typeof goals

const Words = z.string().trim().max(60, 'must have 60 letters or fewer')
const LocalTime = z.union([z.literal(''), z.iso.datetime({ local: true, precision: -1 })], 'must be a day and a time')

export const Button = z
  .strictObject({
    words: Words.min(1, 'needs words: nobody presses an empty button'),
    goes: z.enum(Object.keys(goals) as [Goal, ...Goal[]]),
    /** An address, a number, or a name on the page, by what it does. */
    to: z.string().trim().max(2000).default(''),
    tab: z.enum(['same', 'new']).default('same'),
    /** Of a date, on the site's clocks. */
    title: Words.default(''),
    start: LocalTime.default(''),
    end: LocalTime.default(''),
    where: z.string().trim().max(200).default(''),
    widget: z.union([z.literal(''), z.uuid()]).default(''),
  })
  .refine(({ goes, to }) => (goes !== 'address' && goes !== 'file') || !to || linkTarget(to) !== '', {
    path: ['to'],
    message: LEADS_NOWHERE,
  })
export type Button = z.infer<typeof Button>

export const BUTTON: Button = {
  words: 'Read more',
  goes: 'address',
  to: '',
  tab: 'same',
  title: '',
  start: '',
  end: '',
  where: '',
  widget: '',
}

const when = (...is: Goal[]) => ({ part: 'goes', is })
const line = (most: number, none: string) => ({ type: 'text' as const, most, none })
const buttonParts: Record<string, ObjectPart> = {
  words: { label: 'Words', control: line(60, 'no words') },
  goes: {
    label: 'It',
    control: { type: 'choice', options: Object.entries(goals).map(([value, words]) => ({ value, words })) },
  },
  to: {
    label: 'Where',
    control: { type: 'link', most: 2000, none: 'nowhere yet' },
    when: when('address', 'file', 'phone', 'place'),
  },
  tab: {
    label: 'Opens in',
    control: {
      type: 'choice',
      options: [
        { value: 'same', words: 'the same tab' },
        { value: 'new', words: 'a new tab' },
      ],
    },
    when: when('address'),
  },
  title: { label: 'What', control: line(60, 'no title'), when: when('date') },
  start: { label: 'From', control: { type: 'local-time', none: 'no day yet' }, when: when('date') },
  end: { label: 'Until', control: { type: 'local-time', none: 'an hour later' }, when: when('date') },
  where: { label: 'Place', control: line(200, 'no place'), when: when('date') },
  widget: {
    label: 'Which',
    control: { type: 'widget', none: 'none yet', of: 'over-page' },
    when: when('widget'),
  },
}

const shows = (label: string, before: string) => ({
  label,
  paragraph: 'shows' as const,
  before,
  written: true as const,
})

/** One button, as an entry of a list. */
export const buttonEntry = {
  schema: Button,
  control: { type: 'object' as const, saidBy: 'words', parts: buttonParts },
  blank: BUTTON,
}

/** What it says. The order here is the order of the brief. */
export const messageShape = {
  heading: text(120, 'no heading', shows('Heading', 'Headed ')),
  body: rich(4000, 'no text', shows('Text', ', it says ')),
  picture: picture('none', shows('Picture', '; picture: ')),
  pictureAlt: text(200, 'nothing, it only adorns', {
    ...shows('What the picture shows', ', which shows '),
    when: (s) => s.picture !== '',
  }),
  inside: widget('nothing else', 'placed', shows('Another widget in it', '; in it ')),
  buttons: list(
    buttonEntry,
    { most: 2, one: 'button', none: 'no button' },
    { label: 'Buttons', paragraph: 'click', before: 'Buttons: ', written: true },
  ),
  small: text(300, 'none', { label: 'Small print', paragraph: 'words', before: '. Small print: ', written: true }),
}

export const picturePlacing = {
  picturePlace: choice({ above: 'above the words', before: 'before the words', after: 'behind the words' }, 'above', {
    label: 'Where the picture is',
    paragraph: 'layout',
    before: '; the picture ',
    when: (s) => s.picture !== '',
  }),
  pictureFocus: choice(
    { center: 'its middle', top: 'its upper part', bottom: 'its lower part', left: 'its left', right: 'its right' },
    'center',
    {
      label: 'What of the picture stays in sight',
      paragraph: 'layout',
      before: ', keeping ',
      when: (s) => s.picture !== '',
    },
  ),
}

export interface MessageSettings {
  heading: string
  body: RichText
  /** Left out of kinds that have none. */
  picture?: string
  pictureAlt?: string
  picturePlace?: 'above' | 'before' | 'after'
  pictureFocus?: 'center' | 'top' | 'bottom' | 'left' | 'right'
  inside?: string
  buttons: Button[]
  small: string
}
