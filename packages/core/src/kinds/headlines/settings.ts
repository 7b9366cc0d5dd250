import { z } from 'zod'
import {
  amountGroup,
  arrangementGroup,
  clickGroup,
  datesGroup,
  headingGroup,
  lookGroup,
  sieveGroup,
  movingWords,
  sourcesGroup,
} from '../groups'
import { choice, number, onOff } from '../setting'
import { labelTexts } from '../label-texts'

export const amount = amountGroup({ max: 20, byDefault: 5 })
export const sources = sourcesGroup('headlines', 40)

/** What of a headline is shown. */
const cell = {
  picture: choice({ none: 'no picture', left: 'picture at the left', top: 'picture on top' }, 'left', {
    label: 'Picture',
    paragraph: 'layout',
    before: '; ',
  }),
  excerpt: number(
    { min: 0, max: 400, step: 20, unit: 'letters', byDefault: 100 },
    { label: 'Excerpt length', paragraph: 'layout', before: ', excerpt of ' },
  ),
  author: onOff({ on: 'shown', off: 'off' }, false, { label: 'Author', paragraph: 'layout', before: '; author ' }),
  date: onOff({ on: 'shown', off: 'off' }, true, { label: 'Date', paragraph: 'layout', before: ', date ' }),
  from: onOff({ on: 'named', off: 'not named' }, false, {
    label: 'Which source it is from',
    paragraph: 'layout',
    before: ', its source ',
    when: (s) => s.from === true || (s.sources as string[]).length > 1,
  }),
}

/** Settings of the kind headlines. The order here is the order of the brief. */
export const HeadlinesSettings = z.strictObject({
  ...amount.shape,
  ...sources.shape,
  ...sieveGroup.shape,
  ...arrangementGroup.shape(['list', 'grid', 'large-first', 'carousel'], 'list'),
  ...cell,
  ...lookGroup.shape(lookGroup.buttons),
  ...clickGroup.shape,
  ...headingGroup.shape,
  ...datesGroup.shape,
  labels: labelTexts(
    movingWords,
    { most: 60, saidBy: 'next' },
    {
      label: 'Words on its buttons',
      paragraph: 'words',
      before: '; its buttons say words like ',
      when: arrangementGroup.isMoved,
    },
  ),
})

export type HeadlinesSettings = z.infer<typeof HeadlinesSettings>
