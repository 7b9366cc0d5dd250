import type { Order, Rule, RuleKind } from '../../sieve'
import { choice, onOff, wordList } from '../setting'
import { handPickedGroup } from './hand-picked'
import { keywordsGroup } from './keywords'
import { mostsGroup } from './mosts'

interface ReviewSieveSettings {
  count: number
  stars: '1' | '2' | '3' | '4' | '5'
  unrated: boolean
  onlyWithText: boolean
  onlyWithPicture: boolean
  include: string[]
  exclude: string[]
  among: 'all' | 'first'
  authorsOut: string[]
  languages: string[]
  labelled: string[]
  notOlder: 'any' | '180' | '365' | '730'
  first: string[]
  hidden: string[]
  mosts: { id: string; most: number }[]
  order: Extract<Order, 'newest' | 'oldest' | 'best' | 'longest' | 'shuffled'>
}

const handPicked = handPickedGroup('review')

/** Which of the reviews are shown, and in what order. */
export const reviewSieveGroup = {
  shape: {
    stars: choice(
      { '1': 'any rating', '2': '2 stars and up', '3': '3 stars and up', '4': '4 stars and up', '5': '5 stars only' },
      '1',
      { label: 'Lowest rating', paragraph: 'shows', before: ', ' },
    ),
    unrated: onOff({ on: 'and those without stars', off: 'leaving out those without stars' }, true, {
      label: 'Without stars',
      paragraph: 'shows',
      before: ' ',
      when: (s) => s.stars !== '1',
    }),
    onlyWithText: onOff({ on: 'only with text', off: 'with or without text' }, true, {
      label: 'Only with text',
      paragraph: 'shows',
      before: ', ',
    }),
    onlyWithPicture: onOff({ on: 'only with a picture', off: 'with or without a picture' }, false, {
      label: 'Only with a picture',
      paragraph: 'shows',
      before: ', ',
    }),
    ...keywordsGroup.shape,
    authorsOut: wordList('none', { label: 'Authors left out', paragraph: 'shows', before: ', authors left out: ' }),
    languages: wordList('any language', {
      label: 'Languages, such as en or pt',
      paragraph: 'shows',
      before: ', in ',
    }),
    labelled: wordList('or not', { label: 'Labels', paragraph: 'shows', before: ', labelled ' }),
    notOlder: choice(
      {
        any: 'however old',
        '180': 'from the last half year',
        '365': 'from the last year',
        '730': 'from the last two years',
      },
      'any',
      { label: 'Not older than', paragraph: 'shows', before: ', ' },
    ),
    order: choice(
      {
        newest: 'newest first',
        oldest: 'oldest first',
        best: 'best first',
        longest: 'longest first',
        shuffled: 'shuffled anew each day',
      },
      'newest',
      { label: 'Order', paragraph: 'shows', before: ', ' },
    ),
    ...handPicked.shape,
    ...mostsGroup.shape,
  },
  rules: (s: ReviewSieveSettings): Rule[] =>
    keywordsGroup.last(
      s,
      [
        { kind: 'unique' },
        ...handPicked.hiding(s),
        ...(s.stars === '1'
          ? []
          : [{ kind: 'rating-from', stars: Number(s.stars), unrated: s.unrated ? 'kept' : 'out' } as const]),
        ...(s.onlyWithText ? [{ kind: 'with-text' } as const] : []),
        ...(s.onlyWithPicture ? [{ kind: 'with-picture' } as const] : []),
        ...keywordsGroup.excluding(s),
        ...(s.authorsOut.length ? [{ kind: 'authors-out', names: s.authorsOut } as const] : []),
        ...(s.languages.length ? [{ kind: 'language', languages: s.languages } as const] : []),
        ...(s.labelled.length ? [{ kind: 'labels', labels: s.labelled } as const] : []),
        ...(s.notOlder === 'any' ? [] : [{ kind: 'not-older', days: Number(s.notOlder) } as const]),
        ...handPicked.ordering(s),
      ],
      mostsGroup.rules(s),
    ),
  order: (s: ReviewSieveSettings): Order => s.order,
  loosened: ({ kind }: Rule): Record<string, unknown> | null => loosened[kind] ?? null,
}

const loosened: Partial<Record<RuleKind, Partial<ReviewSieveSettings>>> = {
  ...keywordsGroup.loosened,
  ...mostsGroup.loosened,
  hidden: { hidden: [] },
  'rating-from': { stars: '1' },
  'with-text': { onlyWithText: false },
  'with-picture': { onlyWithPicture: false },
  'authors-out': { authorsOut: [] },
  language: { languages: [] },
  labels: { labelled: [] },
  'not-older': { notOlder: 'any' },
}
