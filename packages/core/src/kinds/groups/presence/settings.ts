import { z } from 'zod'
import type { devices as deviceIds } from '../../../presence'
import { Trigger } from '../../../presence'
import {
  choice,
  localTime,
  number,
  onOff,
  paths,
  several,
  settingRegistry,
  text,
  timeOfDay,
  wordList,
} from '../../setting'
import { countries, visitorLanguages } from './regions'

const place = (label: string, before: string) => ({ label, paragraph: 'presence' as const, before })
const has = (key: string) => (s: Record<string, unknown>) => (s[key] as unknown[]).length > 0

const deviceNames = { phone: 'phones', tablet: 'tablets', desktop: 'desktops' } satisfies Record<
  (typeof deviceIds)[number],
  string
>
const weekdays = {
  '1': 'Mondays',
  '2': 'Tuesdays',
  '3': 'Wednesdays',
  '4': 'Thursdays',
  '5': 'Fridays',
  '6': 'Saturdays',
  '7': 'Sundays',
}

/** Triggers that are pressed, asked for or called by name: what they are bound to is theirs to know. */
const MOST_TRIGGERS = 6

/** When something over the page appears. The order here is the order of the brief. */
export const presenceShape = (byDefault: {
  triggers: z.input<typeof Trigger>[]
  perVisit: number
  days: number
  beside: boolean
}) => ({
  triggers: z
    .array(Trigger)
    .min(1, 'needs one trigger at least: without one it would never appear')
    .max(MOST_TRIGGERS, `takes ${MOST_TRIGGERS} triggers at most`)
    .default(byDefault.triggers as never)
    .register(settingRegistry, {
      ...place('What sets it off', 'It appears '),
      control: { type: 'triggers', most: MOST_TRIGGERS },
    }),
  combine: choice({ any: 'one of these is enough', all: 'all of these together' }, 'any', {
    ...place('One or all', ', '),
    when: (s) => (s.triggers as unknown[]).length > 1,
  }),
  pages: paths(50, 'every page it is installed on', place('Pages', '; on ')),
  notPages: paths(50, 'none', { ...place('Pages left out', ', but for ') }),
  devices: several(deviceNames, ['tablet', 'desktop'], 'no device', {
    ...place('Devices', '; on '),
    hints: ['phones'],
  }),
  languages: several(visitorLanguages, [], 'any language', place('Languages of visitors', ', to visitors of ')),
  countries: several(countries, [], 'any country', place('Countries', ' and ')),
  whereUnknown: onOff({ on: 'also where nobody knows the country', off: 'not where nobody knows the country' }, true, {
    ...place('Where the country is not known', ', '),
    when: has('countries'),
  }),
  visits: choice(
    { all: 'on every visit', first: 'on the first visit only', returning: 'to who has been here before' },
    'all',
    {
      ...place('First or later visits', ', '),
    },
  ),
  campaign: text(200, 'any campaign', place('Campaign', ', from ')),
  cameFrom: wordList('anywhere', place('Came from', ', coming from ')),
  from: localTime('now', place('From', '; from ')),
  until: localTime('no end', place('Until', ' until ')),
  days: several(weekdays, [], 'every day', place('Days', ', on ')),
  hoursFrom: timeOfDay('all hours', place('Hours, from', ', ')),
  hoursUntil: timeOfDay('midnight', { ...place('Hours, until', ' to '), when: (s) => s.hoursFrom !== '' }),
  daysAfterClosing: number(
    { min: 0, max: 366, byDefault: byDefault.days },
    { ...place('Days after it was closed', '. Once closed, not again for '), after: ' days', hints: ['closing'] },
  ),
  onceAnswered: onOff({ on: 'never again', off: 'again as before' }, true, {
    ...place('Once it was answered', '; once answered, '),
  }),
  perVisit: number(
    { min: 0, max: 20, byDefault: byDefault.perVisit },
    { ...place('Times a visit (0 for any)', '; at most '), after: ' times a visit' },
  ),
  inAll: number(
    { min: 0, max: 1000, byDefault: 0 },
    { ...place('Times in all (0 for any)', ' and '), after: ' in all (0: as often as may be)' },
  ),
  afterDoing: onOff({ on: 'only once the visitor has done something', off: 'at once if need be' }, false, {
    ...place('Before the visitor has done anything', ', '),
  }),
  beside: onOff({ on: 'beside whatever else is open', off: 'only while nothing else is open' }, byDefault.beside, {
    ...place('Beside others', ', '),
  }),
  priority: number(
    { min: 0, max: 9, byDefault: 5 },
    {
      ...place('Priority', ', with priority '),
      after: ' of 9',
      when: (s) => s.beside === false,
    },
  ),
})

export type PresenceSettings = z.infer<z.ZodObject<ReturnType<typeof presenceShape>>>
