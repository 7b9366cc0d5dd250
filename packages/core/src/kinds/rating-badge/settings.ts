import { z } from 'zod'
import { localeGroup, lookGroup, sourcesGroup } from '../groups'
import { choice, colour, onOff, text, texts } from '../setting'

/** Its brief begins with what it sums up. */
export const sources = sourcesGroup('reviews', 10, 'What the reviews come to at ')

const shown = (label: string, before: string) =>
  onOff({ on: 'shown', off: 'off' }, true, { label, paragraph: 'layout', before })

/** Settings of the kind rating badge. The order here is the order of the brief. */
export const RatingBadgeSettings = z.strictObject({
  ...sources.shape,
  shape: choice({ line: 'line of text', pill: 'pill', tile: 'tile' }, 'pill', {
    label: 'Shape',
    paragraph: 'layout',
    before: 'As a ',
  }),
  mean: shown('Mean', '; mean '),
  stars: shown('Stars', ', stars '),
  count: shown('How many', ', how many '),
  ...lookGroup.shape,
  starColour: colour('#B07A00', null, { label: 'Colour of the stars', paragraph: 'look', before: ', stars ' }),
  link: text(300, 'nothing', { label: 'Where a click leads', paragraph: 'click', before: 'A click leads to ' }),
  target: choice({ same: 'the same tab', new: 'a new tab' }, 'same', {
    label: 'Where a click opens',
    paragraph: 'click',
    before: ', in ',
    when: (s) => s.link !== '',
  }),
  label: text(40, 'no words', { label: 'Words before it', paragraph: 'words', before: 'Begun with ' }),
  ...localeGroup('Language of numbers').shape,
  labels: texts(
    {
      stars: { label: 'Stars, said aloud', byDefault: '{n} of 5 stars' },
      count: { label: 'How many', byDefault: '{n} reviews' },
    },
    { most: 60, saidBy: 'count' },
    { label: 'Words on it', paragraph: 'words', before: '; in words like ' },
  ),
})

export type RatingBadgeSettings = z.infer<typeof RatingBadgeSettings>
