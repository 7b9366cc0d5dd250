import { z } from 'zod'
import { DayHours, SpecialDays, type Week } from '../../hours'
import { localeGroup, lookGroup } from '../groups'
import { labelTexts } from '../label-texts'
import { choice, list, number, onOff, sources, text, week } from '../setting'

/** Until somebody types them: as shops often are, from Monday to Friday. */
const usual: Week = Array.from({ length: 7 }, (_, at) => (at < 5 ? [{ opens: '09:00', closes: '17:00' }] : []))

const isTable = (s: Record<string, unknown>) => s.style === 'table'

/** Special days as they are typed: `from` is empty until a day is chosen, and they mean nothing until then. */
const TypedDays = z
  .strictObject({
    from: z.union([z.literal(''), z.iso.date()], 'must begin on a day like 2026-12-24'),
    until: z.union([z.literal(''), z.iso.date()], 'must end on a day like 2026-12-26'),
    name: SpecialDays.shape.name,
    spans: DayHours,
  })
  .refine(({ from, until }) => !from || !until || until >= from, 'must not end before they begin')

/** Settings of the kind opening hours. The order here is the order of the brief. */
export const OpeningHoursSettings = z.strictObject({
  sources: sources(
    1,
    { label: 'Where the hours come from', paragraph: 'shows', before: 'Shows the hours ' },
    { none: 'typed in here', of: 'of ' },
  ),
  week: week(usual, {
    label: 'Week',
    paragraph: 'shows',
    before: ': open ',
    written: true,
    when: (s) => !(s.sources as string[]).length,
  }),
  special: list(
    {
      schema: TypedDays,
      control: {
        type: 'object',
        saidBy: 'from',
        parts: {
          from: { label: 'First day', control: { type: 'day', none: 'no day' } },
          until: { label: 'Last day', control: { type: 'day', none: 'the same day' } },
          spans: { label: 'Hours', control: { type: 'hours' } },
          name: { label: 'Name', control: { type: 'text', most: 60, none: 'no name' } },
        },
      },
      blank: { from: '', until: '', name: '', spans: [] },
    },
    { most: 40, one: 'holiday', none: 'no holidays' },
    { label: 'Holidays and special days', paragraph: 'shows', before: '; other hours on ', written: true },
  ),
  style: choice({ table: 'table of the week', line: 'line', badge: 'badge' }, 'table', {
    label: 'Style',
    paragraph: 'layout',
    before: 'As a ',
  }),
  state: onOff({ on: 'shown', off: 'off' }, true, {
    label: 'Open now',
    paragraph: 'layout',
    before: '; whether it is open now ',
    when: isTable,
  }),
  joined: onOff({ on: 'in one row', off: 'in a row each' }, true, {
    label: 'Days with the same hours',
    paragraph: 'layout',
    before: ', days with the same hours ',
    when: isTable,
  }),
  ahead: number(
    { min: 0, max: 8, byDefault: 3 },
    { label: 'Holidays listed', paragraph: 'layout', before: ', and the next ', after: ' holidays', when: isTable },
  ),

  ...lookGroup.shape({}),

  title: text(80, 'nothing', { label: 'Title', paragraph: 'words', before: 'Headed by ' }),
  ...localeGroup.shape,
  labels: labelTexts(
    {
      openUntil: { label: 'While it is open', says: 'openUntil' },
      alwaysOpen: { label: 'Never closed', says: 'alwaysOpen' },
      opensToday: { label: 'Opens later today', says: 'opensToday' },
      opensTomorrow: { label: 'Opens tomorrow', says: 'opensTomorrow' },
      opensOn: { label: 'Opens on another day', says: 'opensOn' },
      closedTodayOpensOn: { label: 'Closed all day', says: 'closedTodayOpensOn' },
      closed: { label: 'Closed', says: 'closedDay' },
      unknown: { label: 'Without a script', says: 'openingHours' },
    },
    { most: 80, saidBy: 'openUntil' },
    { label: 'Words on it', paragraph: 'words', before: '; in words like ' },
  ),
})
export type OpeningHoursSettings = z.infer<typeof OpeningHoursSettings>
