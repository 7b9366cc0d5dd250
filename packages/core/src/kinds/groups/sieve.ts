import type { Order, Rule } from '../../sieve'
import { choice, onOff, wordList } from '../setting'

interface SieveSettings {
  onlyWithPicture: boolean
  include: string[]
  exclude: string[]
  order: Order
}

/** Which of the items are shown, and in what order. */
export const sieveGroup = {
  shape: {
    onlyWithPicture: onOff({ on: 'only with a picture', off: 'with or without a picture' }, false, {
      label: 'Only with a picture',
      paragraph: 'shows',
      before: ', ',
    }),
    include: wordList('anything', { label: 'Keywords to include', paragraph: 'shows', before: ', mentioning ' }),
    exclude: wordList('nothing', { label: 'Keywords to exclude', paragraph: 'shows', before: ', leaving out ' }),
    order: choice({ newest: 'newest first', oldest: 'oldest first' }, 'newest', {
      label: 'Order',
      paragraph: 'shows',
      before: ', ',
    }),
  },
  rules: (s: SieveSettings): Rule[] => [
    { kind: 'unique' },
    ...(s.onlyWithPicture ? [{ kind: 'with-picture' } as const] : []),
    ...(s.include.length ? [{ kind: 'include', words: s.include } as const] : []),
    ...(s.exclude.length ? [{ kind: 'exclude', words: s.exclude } as const] : []),
  ],
  order: (s: SieveSettings): Order => s.order,
}
