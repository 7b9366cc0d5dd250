import type { Rule } from '../../sieve'
import { items } from '../setting'

interface HandPicked {
  first: string[]
  hidden: string[]
}

const MOST = 100

/** Single items that a person puts to the front, in an order, or hides. */
export const handPickedGroup = (one: string) => ({
  shape: {
    first: items(
      { most: MOST, one, none: 'none in particular' },
      {
        label: 'Put first, by hand',
        paragraph: 'shows',
        before: ', ',
        after: ' put first by hand',
        when: (s) => (s.first as string[]).length > 0,
      },
    ),
    hidden: items(
      { most: MOST, one, none: 'none' },
      {
        label: 'Hidden, by hand',
        paragraph: 'shows',
        before: ', ',
        after: ' hidden by hand',
        when: (s) => (s.hidden as string[]).length > 0,
      },
    ),
  },
  hiding: ({ hidden }: HandPicked): Rule[] => (hidden.length ? [{ kind: 'hidden', ids: hidden }] : []),
  ordering: ({ first }: HandPicked): Rule[] => (first.length ? [{ kind: 'pinned', ids: first }] : []),
})
