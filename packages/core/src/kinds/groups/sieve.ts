import type { Order, Rule, RuleKind } from '../../sieve'
import { choice, onOff } from '../setting'
import { handPickedGroup } from './hand-picked'
import { keywordsGroup } from './keywords'
import { mostsGroup } from './mosts'

interface SieveSettings {
  count: number
  onlyWithPicture: boolean
  include: string[]
  exclude: string[]
  among: 'all' | 'first'
  first: string[]
  hidden: string[]
  order: Order
  mosts: { id: string; most: number }[]
}

const handPicked = handPickedGroup('item')

/** Which of the items are shown, and in what order. */
export const sieveGroup = {
  shape: {
    onlyWithPicture: onOff({ on: 'only with a picture', off: 'with or without a picture' }, false, {
      label: 'Only with a picture',
      paragraph: 'shows',
      before: ', ',
    }),
    ...keywordsGroup.shape,
    order: choice({ newest: 'newest first', oldest: 'oldest first' }, 'newest', {
      label: 'Order',
      paragraph: 'shows',
      before: ', ',
    }),
    ...handPicked.shape,
    ...mostsGroup.shape,
  },
  rules: (s: SieveSettings): Rule[] =>
    keywordsGroup.last(
      s,
      [
        { kind: 'unique' },
        ...handPicked.hiding(s),
        ...(s.onlyWithPicture ? [{ kind: 'with-picture' } as const] : []),
        ...keywordsGroup.excluding(s),
        ...handPicked.ordering(s),
      ],
      mostsGroup.rules(s),
    ),
  order: (s: SieveSettings): Order => s.order,
  loosened: ({ kind }: Rule): Record<string, unknown> | null =>
    (
      ({
        ...keywordsGroup.loosened,
        ...mostsGroup.loosened,
        'with-picture': { onlyWithPicture: false },
        hidden: { hidden: [] },
      }) as Partial<Record<RuleKind, Partial<SieveSettings>>>
    )[kind] ?? null,
}
