import type { Order, Rule } from '../../sieve'
import { choice, onOff, wordList } from '../setting'

interface ReviewSieveSettings {
  stars: '1' | '2' | '3' | '4' | '5'
  unrated: boolean
  onlyWithText: boolean
  onlyWithPicture: boolean
  include: string[]
  exclude: string[]
  authorsOut: string[]
  notOlder: 'any' | '180' | '365' | '730'
  order: Extract<Order, 'newest' | 'oldest' | 'best' | 'longest' | 'shuffled'>
}

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
    include: wordList('anything', { label: 'Keywords to include', paragraph: 'shows', before: ', mentioning ' }),
    exclude: wordList('nothing', { label: 'Keywords to exclude', paragraph: 'shows', before: ', leaving out ' }),
    authorsOut: wordList('none', { label: 'Authors left out', paragraph: 'shows', before: ', authors left out: ' }),
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
  },
  rules: (s: ReviewSieveSettings): Rule[] => [
    { kind: 'unique' },
    ...(s.stars === '1'
      ? []
      : [{ kind: 'rating-from', stars: Number(s.stars), unrated: s.unrated ? 'kept' : 'out' } as const]),
    ...(s.onlyWithText ? [{ kind: 'with-text' } as const] : []),
    ...(s.onlyWithPicture ? [{ kind: 'with-picture' } as const] : []),
    ...(s.include.length ? [{ kind: 'include', words: s.include } as const] : []),
    ...(s.exclude.length ? [{ kind: 'exclude', words: s.exclude } as const] : []),
    ...(s.authorsOut.length ? [{ kind: 'authors-out', names: s.authorsOut } as const] : []),
    ...(s.notOlder === 'any' ? [] : [{ kind: 'not-older', days: Number(s.notOlder) } as const]),
  ],
  order: (s: ReviewSieveSettings): Order => s.order,
}
