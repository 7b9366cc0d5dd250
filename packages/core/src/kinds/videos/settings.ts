import { z } from 'zod'
import {
  amountGroup,
  arrangementGroup,
  datesGroup,
  enlargeWords,
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
import { choice, number, onOff } from '../setting'
import { labelTexts } from '../label-texts'

export const amount = amountGroup({ max: 60, byDefault: 6 })
export const sources = sourcesGroup('films', 10, ' films from ')
export const handPicked = handPickedGroup('film')

/** Settings of the kind videos. The order here is the order of the brief. */
export const VideosSettings = z.strictObject({
  ...amount.shape,
  ...sources.shape,
  ...keywordsGroup.shape,
  order: choice({ newest: 'newest first', oldest: 'oldest first', shuffled: 'shuffled anew each day' }, 'newest', {
    label: 'Order',
    paragraph: 'shows',
    before: ', ',
  }),
  ...handPicked.shape,
  ...mostsGroup.shape,
  ...arrangementGroup.shape(['grid', 'list', 'large-first', 'carousel', 'one'], 'grid', { columns: 3, gap: 16 }),
  ...pictureShapeGroup.shape('landscape'),
  titleLines: number(
    { min: 1, max: 4, byDefault: 2 },
    { label: 'Lines of a title', paragraph: 'layout', before: '; titles of ', after: ' lines' },
  ),
  length: onOff({ on: 'shown', off: 'off' }, true, {
    label: 'How long it is',
    paragraph: 'layout',
    before: ', length ',
  }),
  date: onOff({ on: 'shown', off: 'off' }, true, { label: 'Date', paragraph: 'layout', before: ', date ' }),
  ...moreGroup.shape,
  ...lookGroup.shape(lookGroup.buttons),
  click: choice({ enlarge: 'plays it over the page', original: 'opens the original' }, 'enlarge', {
    label: 'A click on a film',
    paragraph: 'click',
    before: 'It ',
  }),
  target: choice({ same: 'the same tab', new: 'a new tab' }, 'new', {
    label: 'Where a click opens',
    paragraph: 'click',
    before: ' in ',
    when: (s) => s.click === 'original',
  }),
  ...headingGroup.shape,
  ...datesGroup.shape,
  labels: labelTexts(
    {
      more: { label: 'Button for more', says: 'showMore', names: true },
      play: { label: 'Play, said aloud', says: 'play', names: true },
      asks: {
        label: 'Who is asked when it plays',
        says: 'playsFrom',
      },
      ...enlargeWords,
      ...movingWords,
    },
    { most: 80, saidBy: 'more' },
    { label: 'Words on it', paragraph: 'words', before: '; in words like ' },
  ),
})

export type VideosSettings = z.infer<typeof VideosSettings>
