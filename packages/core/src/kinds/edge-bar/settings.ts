import { z } from 'zod'
import { formGroup, localeGroup, lookGroup, messageGroup, overPageGroup, presenceGroup } from '../groups'
import { choice, localTime, number } from '../setting'

const { inside: _, picture: _p, pictureAlt: _a, ...message } = messageGroup.shape
const place = (label: string, before: string) => ({ label, paragraph: 'layout' as const, before })

/** Settings of the kind edge bar: one line, so neither a picture nor another widget. The order here is the order of the brief. */
export const EdgeBarSettings = z.strictObject({
  ...message,
  ...formGroup.shape,
  countdown: localTime('none', { label: 'Counts down to', paragraph: 'shows', before: '; it counts down to ' }),
  edge: choice({ top: 'at the top', bottom: 'at the bottom' }, 'top', place('Edge', 'A bar ')),
  stays: choice(
    { stays: 'that stays in sight', away: 'that scrolls away with the page' },
    'stays',
    place('Stays or scrolls away', ', '),
  ),
  room: choice(
    { over: 'lying over the page', push: 'for which the page makes room' },
    'push',
    place('Over the page or beside it', ', '),
  ),
  contentWidth: number(
    { min: 400, max: 2000, step: 20, unit: 'px', byDefault: 1100 },
    place('Width of what is in it', ', its words as wide as '),
  ),
  align: choice(
    { centre: 'in the middle', start: 'where lines begin', spread: 'spread over it' },
    'centre',
    place('Words', ', '),
  ),
  ...overPageGroup.motion({ enter: 'slide', from: 'top' }),
  ...lookGroup.shape(lookGroup.buttons, "the site's own"),
  ...localeGroup.shape,
  ...overPageGroup.labels,
  ...presenceGroup.shape({ triggers: [{ on: 'arrival' }], perVisit: 0, days: 7, beside: false }),
})

export type EdgeBarSettings = z.infer<typeof EdgeBarSettings>
