import { z } from 'zod'
import {
  amountGroup,
  arrangementGroup,
  datesGroup,
  handPickedGroup,
  headingGroup,
  keywordsGroup,
  lookGroup,
  moreGroup,
  mostsGroup,
  movingWords,
  pictureShapeGroup,
  sourcesGroup,
} from '../groups'
import { choice, number, onOff, wordList } from '../setting'
import { labelTexts } from '../label-texts'

export const amount = amountGroup({ max: 200, byDefault: 12 })
export const sources = sourcesGroup('picks', 10, ' picks from ')
export const handPicked = handPickedGroup('pick')

const shown = (s: Record<string, unknown>) => s.words !== 'none'

/** Settings of the kind picks. The order here is the order of the brief. */
export const PicksSettings = z.strictObject({
  ...amount.shape,
  ...sources.shape,
  labelled: wordList('anything', { label: 'Labels', paragraph: 'shows', before: ', labelled ' }),
  ...keywordsGroup.shape,
  order: choice(
    {
      'as-given': "in the collection's own order",
      newest: 'newest first',
      oldest: 'oldest first',
      shuffled: 'shuffled anew each day',
    },
    'as-given',
    { label: 'Order', paragraph: 'shows', before: ', ' },
  ),
  ...handPicked.shape,
  ...mostsGroup.shape,
  ...arrangementGroup.shape(['grid', 'list', 'masonry', 'large-first', 'carousel', 'one'], 'grid', {
    columns: 3,
    gap: 20,
  }),
  cover: choice({ on: 'with covers', off: 'without covers' }, 'on', {
    label: 'Covers',
    paragraph: 'layout',
    before: '; ',
  }),
  ...pictureShapeGroup.shape('landscape'),
  coverWidth: number(
    { min: 0, max: 480, step: 20, unit: 'px', byDefault: 0 },
    {
      label: 'Width of the covers',
      paragraph: 'layout',
      before: ', covers ',
      after: ' wide (0: as their place is)',
      when: (s) => s.cover === 'on',
    },
  ),
  words: choice(
    {
      beneath: 'title and note beneath',
      beside: 'title and note beside',
      card: 'title and note on a card that comes with the pointer or the focus',
      none: 'no title and no note',
    },
    'beneath',
    { label: 'Where the words stand', paragraph: 'layout', before: ', ', when: (s) => s.cover === 'on' },
  ),
  titleLines: number(
    { min: 1, max: 4, byDefault: 2 },
    { label: 'Lines of a title', paragraph: 'layout', before: '; titles of ', after: ' lines', when: shown },
  ),
  noteLines: number(
    { min: 0, max: 8, byDefault: 3 },
    { label: 'Lines of a note', paragraph: 'layout', before: ', notes of ', after: ' lines', when: shown },
  ),
  site: onOff({ on: 'said', off: 'not said' }, true, {
    label: 'Which site it leads to',
    paragraph: 'layout',
    before: ', its site ',
    when: shown,
  }),
  date: onOff({ on: 'shown', off: 'off' }, false, {
    label: 'Date',
    paragraph: 'layout',
    before: ', date ',
    when: shown,
  }),
  ...moreGroup.shape,
  ...lookGroup.shape(lookGroup.buttons),
  click: choice({ original: 'opens what was picked', nothing: 'does nothing' }, 'original', {
    label: 'A click on a pick',
    paragraph: 'click',
    before: 'It ',
  }),
  target: choice({ same: 'the same tab', new: 'a new tab' }, 'same', {
    label: 'Where a click opens',
    paragraph: 'click',
    before: ' in ',
    when: (s) => s.click === 'original',
  }),
  ...headingGroup.shape,
  ...datesGroup.shape,
  labels: labelTexts(
    { more: { label: 'Button for more', says: 'showMore', names: true }, ...movingWords },
    { most: 60, saidBy: 'more' },
    { label: 'Words on it', paragraph: 'words', before: '; in words like ' },
  ),
})

export type PicksSettings = z.infer<typeof PicksSettings>
