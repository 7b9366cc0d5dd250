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
  ownLinksGroup,
  pictureShapeGroup,
  profileGroup,
  profileWords,
  sourcesGroup,
} from '../groups'
import { choice, colour, number, onOff, wordList } from '../setting'
import { labelTexts } from '../label-texts'

export const amount = amountGroup({ max: 200, byDefault: 12 })
export const sources = sourcesGroup('posts', 10, ' posts from ')
export const handPicked = handPickedGroup('post')
export const ownLinks = ownLinksGroup('post')

/** Which of the posts are shown. */
const sieve = {
  labelled: wordList('any tag', { label: 'Tags', paragraph: 'shows', before: ', with ' }),
  ...keywordsGroup.shape,
  order: choice({ newest: 'newest first', oldest: 'oldest first', shuffled: 'shuffled anew each day' }, 'newest', {
    label: 'Order',
    paragraph: 'shows',
    before: ', ',
  }),
  ...handPicked.shape,
  ...mostsGroup.shape,
}

const has =
  (key: string, ...values: unknown[]) =>
  (s: Record<string, unknown>) =>
    values.includes(s[key])

/** What of a post is shown. */
const cell = {
  caption: choice({ none: 'no caption', below: 'captions below' }, 'none', {
    label: 'Captions',
    paragraph: 'layout',
    before: '; ',
  }),
  captionLines: number(
    { min: 1, max: 6, byDefault: 2 },
    {
      label: 'Lines of a caption',
      paragraph: 'layout',
      before: ' of ',
      after: ' lines',
      when: has('caption', 'below'),
    },
  ),
  counts: onOff({ on: 'with likes and comments', off: 'without likes and comments' }, false, {
    label: 'Likes and comments',
    paragraph: 'layout',
    before: ', ',
  }),
  hover: choice(
    { none: 'nothing', caption: 'the caption', counts: 'likes and comments', both: 'caption, likes and comments' },
    'caption',
    { label: 'Layer under the pointer', paragraph: 'look', before: '; under the pointer ' },
  ),
  hoverColour: colour('#1D2B34', null, {
    label: 'Colour of the layer',
    paragraph: 'look',
    before: ' on ',
    when: (s) => s.hover !== 'none',
  }),
  hoverOpacity: number(
    { min: 20, max: 100, step: 5, unit: '%', byDefault: 75 },
    {
      label: 'Opacity of the layer',
      paragraph: 'look',
      before: ', ',
      after: ' opaque',
      when: (s) => s.hover !== 'none',
    },
  ),
}

/** Settings of the kind photo wall. The order here is the order of the brief. */
export const PhotoWallSettings = z.strictObject({
  ...amount.shape,
  ...sources.shape,
  ...sieve,
  ...arrangementGroup.shape(['grid', 'masonry', 'large-first', 'carousel', 'one', 'list'], 'grid', {
    columns: 4,
    gap: 8,
  }),
  ...pictureShapeGroup.shape('square'),
  ...moreGroup.shape,
  ...profileGroup.shape,
  ...lookGroup.shape(lookGroup.buttons),
  ...cell,
  click: choice({ enlarge: 'enlarges it', original: 'opens the original', nothing: 'does nothing' }, 'enlarge', {
    label: 'A click on a post',
    paragraph: 'click',
    before: 'It ',
  }),
  target: choice({ same: 'the same tab', new: 'a new tab' }, 'new', {
    label: 'Where a click opens',
    paragraph: 'click',
    before: ' in ',
    when: has('click', 'original'),
  }),
  ...ownLinks.shape,
  ...headingGroup.shape,
  ...datesGroup.localeShape,
  labels: labelTexts(
    {
      more: { label: 'Button for more', says: 'showMore', names: true },
      likes: { label: 'How many likes', says: 'likes' },
      comments: { label: 'How many comments', says: 'comments' },
      clip: { label: 'On clips, said aloud', says: 'clip' },
      several: { label: 'On several pictures, said aloud', says: 'pictures' },
      by: { label: 'Whose post, said aloud', says: 'postBy', names: true },
      ...enlargeWords,
      ...profileWords,
      ...movingWords,
    },
    { most: 60, saidBy: 'more' },
    { label: 'Words on it', paragraph: 'words', before: '; in words like ' },
  ),
})

export type PhotoWallSettings = z.infer<typeof PhotoWallSettings>
