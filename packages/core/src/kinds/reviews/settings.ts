import { z } from 'zod'
import {
  amountGroup,
  arrangementGroup,
  clickGroup,
  datesGroup,
  headingGroup,
  lookGroup,
  movingWords,
  reviewSieveGroup,
  sourcesGroup,
} from '../groups'
import { choice, link, list, number, onOff } from '../setting'
import { labelTexts } from '../label-texts'

export const amount = amountGroup({ max: 200, byDefault: 6 })
export const sources = sourcesGroup('reviews', 10)

/** What of a review is shown. */
const cell = {
  name: choice(
    { full: 'their full name', short: 'first name and initial', initials: 'initials', none: 'no name' },
    'short',
    { label: 'Author', paragraph: 'layout', before: '; by ' },
  ),
  avatar: choice({ own: 'their picture', initials: 'initials on a colour', none: 'no picture' }, 'initials', {
    label: 'Picture of the author',
    paragraph: 'layout',
    before: ' with ',
  }),
  date: onOff({ on: 'shown', off: 'off' }, true, { label: 'Date', paragraph: 'layout', before: ', date ' }),
  pictures: onOff({ on: 'shown', off: 'off' }, true, {
    label: 'Pictures sent along',
    paragraph: 'layout',
    before: ', pictures sent along ',
  }),
  from: onOff({ on: 'said', off: 'not said' }, true, {
    label: 'Where it was written',
    paragraph: 'layout',
    before: ', where it was written ',
  }),
  letters: number(
    { min: 0, max: 1000, step: 20, unit: 'letters', byDefault: 240 },
    { label: 'Text before “read more”', paragraph: 'layout', before: '; ', after: ' of the text, 0 for all of it' },
  ),
  reply: onOff({ on: 'shown', off: 'off' }, true, {
    label: 'Owner’s answer',
    paragraph: 'layout',
    before: ', the owner’s answer ',
  }),
  phrases: choice({ off: 'left out', found: 'worked out here', own: 'chosen by hand' }, 'off', {
    label: 'What many say',
    paragraph: 'layout',
    before: '; what many say ',
    hints: ['phrases'],
  }),
  phrasesMost: number(
    { min: 1, max: 8, byDefault: 4 },
    {
      label: 'Phrases at most',
      paragraph: 'layout',
      before: ', ',
      after: ' at most',
      when: (s) => s.phrases === 'found',
    },
  ),
  phrasesOwn: list(
    { schema: z.string().trim().min(1).max(60), control: { type: 'text', most: 60, none: 'nothing yet' }, blank: '' },
    { most: 8, one: 'phrase', none: 'none yet' },
    { label: 'Phrases', paragraph: 'layout', before: ': ', when: (s) => s.phrases === 'own' },
  ),
  summary: onOff({ on: 'above them', off: 'off' }, true, {
    label: 'What they come to',
    paragraph: 'layout',
    before: '; mean, count and bars ',
  }),
}

/** Settings of the kind reviews. The order here is the order of the brief. */
export const ReviewsSettings = z.strictObject({
  ...amount.shape,
  ...sources.shape,
  ...reviewSieveGroup.shape,
  ...arrangementGroup.shape(['list', 'grid', 'large-first', 'carousel', 'one'], 'list'),
  ...cell,
  ...lookGroup.shape({ ...lookGroup.buttons, ...lookGroup.stars }),
  ...clickGroup.shape,
  writeLink: link('no link', {
    label: 'Address to write a review at',
    paragraph: 'click',
    before: '. To write a review: ',
  }),
  ...headingGroup.shape,
  markup: onOff({ on: 'marked up', off: 'not marked up' }, false, {
    label: 'Marked up for search engines',
    paragraph: 'words',
    before: '; ',
    after: ' for search engines',
    hints: ['markup'],
  }),
  ...datesGroup.shape,
  labels: labelTexts(
    {
      stars: { label: 'Stars, said aloud', says: 'stars', names: true },
      count: { label: 'How many', says: 'reviews' },
      phrases: { label: 'Before what many say', says: 'manySay' },
      more: { label: 'Read more', says: 'readMore', names: true },
      reply: { label: 'Owner’s answer', says: 'answer' },
      write: { label: 'Write a review', says: 'writeReview', names: true },
      source: { label: 'Where it was written', says: 'onSource' },
      picture: { label: 'Pictures, said aloud', says: 'pictureBy', names: true },
      ...movingWords,
    },
    { most: 60, saidBy: 'count' },
    { label: 'Words on it', paragraph: 'words', before: '; in words like ' },
  ),
})

export type ReviewsSettings = z.infer<typeof ReviewsSettings>
