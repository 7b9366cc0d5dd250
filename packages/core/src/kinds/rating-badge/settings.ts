import { z } from 'zod'
import { localeGroup, lookGroup, sourcesGroup } from '../groups'
import { choice, link, number, onOff, text } from '../setting'
import { labelTexts } from '../label-texts'

/** Its brief begins with what it sums up. */
export const sources = sourcesGroup('reviews', 10, 'What the reviews come to at ')

const shown = (label: string, before: string, byDefault = true) =>
  onOff({ on: 'shown', off: 'off' }, byDefault, { label, paragraph: 'layout', before })

/** Settings of the kind rating badge. The order here is the order of the brief. */
export const RatingBadgeSettings = z.strictObject({
  ...sources.shape,
  shape: choice({ line: 'line of text', pill: 'pill', tile: 'tile', stone: 'round stone' }, 'pill', {
    label: 'Shape',
    paragraph: 'layout',
    before: 'As a ',
  }),
  stands: choice(
    {
      here: 'in its place',
      left: 'over the page, in its lower left corner',
      right: 'over the page, in its lower right corner',
    },
    'here',
    { label: 'Where it stands', paragraph: 'layout', before: ', ' },
  ),
  closes: onOff({ on: 'that can be closed', off: 'that stays' }, true, {
    label: 'Can be closed',
    paragraph: 'layout',
    before: ' ',
    when: (s) => s.stands !== 'here',
  }),
  picture: shown('Picture of the place', '; picture of the place ', false),
  mean: shown('Mean', ', mean '),
  stars: shown('Stars', ', stars '),
  count: shown('How many', ', how many '),
  ...lookGroup.shape(lookGroup.stars),
  click: choice({ nothing: 'nothing', link: 'an address', panel: 'a panel with reviews' }, 'nothing', {
    label: 'What a click opens',
    paragraph: 'click',
    before: 'It opens ',
  }),
  link: link('none yet', {
    label: 'Where a click leads',
    paragraph: 'click',
    before: ', ',
    when: (s) => s.click === 'link',
  }),
  target: choice({ same: 'the same tab', new: 'a new tab' }, 'same', {
    label: 'Where a click opens',
    paragraph: 'click',
    before: ', in ',
    when: (s) => s.click !== 'nothing',
  }),
  panelCount: number(
    { min: 1, max: 20, byDefault: 5 },
    { label: 'Reviews in the panel', paragraph: 'click', before: ', the newest ', when: (s) => s.click === 'panel' },
  ),
  label: text(40, 'no words', { label: 'Words before it', paragraph: 'words', before: 'Begun with ' }),
  ...localeGroup.shape,
  labels: labelTexts(
    {
      stars: { label: 'Stars, said aloud', says: 'stars', names: true },
      count: { label: 'How many', says: 'reviews' },
      open: { label: 'To open the panel, said aloud', says: 'readThem', names: true },
      close: { label: 'To close', says: 'close', names: true },
    },
    { most: 60, saidBy: 'count' },
    { label: 'Words on it', paragraph: 'words', before: '; in words like ' },
  ),
})

export type RatingBadgeSettings = z.infer<typeof RatingBadgeSettings>
