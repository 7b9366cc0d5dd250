import { z } from 'zod'
import { datesGroup, lookGroup, pictureShapeGroup, profileWords, sourcesGroup } from '../groups'
import { choice, number, onOff } from '../setting'
import { labelTexts } from '../label-texts'

export const sources = sourcesGroup('profile', 1, 'The profile of ')

const shown = (label: string, before: string, byDefault = true) =>
  onOff({ on: 'shown', off: 'off' }, byDefault, { label, paragraph: 'layout', before })
const hasPosts = (s: Record<string, unknown>) => (s.count as number) > 0

/** Settings of the kind profile card. The order here is the order of the brief. */
export const ProfileCardSettings = z.strictObject({
  ...sources.shape,
  count: number(
    { min: 0, max: 12, byDefault: 3 },
    { label: 'Newest posts', paragraph: 'shows', before: ', with its newest ', after: ' posts', hints: ['rows'] },
  ),
  arranged: choice({ centred: 'centred', line: 'in a line where there is room' }, 'centred', {
    label: 'How the card is arranged',
    paragraph: 'layout',
    before: 'It stands ',
  }),
  face: shown('Picture', '; picture '),
  faceSize: number(
    { min: 40, max: 160, step: 8, unit: 'px', byDefault: 80 },
    {
      label: 'Size of the picture',
      paragraph: 'layout',
      before: ' at ',
      when: (s) => s.face === true,
    },
  ),
  name: shown('Name', ', name '),
  handle: shown('Handle', ', handle '),
  bio: shown('Its words', ', its words '),
  counts: shown('Numbers', ', numbers '),
  follow: shown('Button to the profile', ', button '),
  columns: number(
    { min: 1, max: 6, byDefault: 3 },
    {
      label: 'Columns of posts',
      paragraph: 'layout',
      before: '; posts in ',
      after: ' columns',
      hints: ['cell', 'rows'],
      when: hasPosts,
    },
  ),
  gap: number(
    { min: 0, max: 24, step: 2, unit: 'px', byDefault: 6 },
    { label: 'Gap', paragraph: 'layout', before: ', ', after: ' apart', when: hasPosts },
  ),
  ...pictureShapeGroup.shape('square'),
  ...lookGroup.shape(lookGroup.buttons),
  click: choice({ original: 'opens the original', nothing: 'does nothing' }, 'original', {
    label: 'A click on a post',
    paragraph: 'click',
    before: 'On a post it ',
  }),
  ...datesGroup.localeShape,
  labels: labelTexts(
    { ...profileWords, post: { label: 'A post, said aloud', says: 'post', names: true } },
    { most: 60, saidBy: 'follow' },
    { label: 'Words on it', paragraph: 'words', before: '; in words like ' },
  ),
})

export type ProfileCardSettings = z.infer<typeof ProfileCardSettings>
