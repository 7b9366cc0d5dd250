import type { Rule } from '../../sieve'
import { sourceMosts } from '../setting'

interface Mosts {
  mosts: { id: string; most: number }[]
}

/** How many of each source at most, so that a loud one does not crowd out the rest. */
export const mostsGroup = {
  shape: {
    mosts: sourceMosts(
      { most: 40 },
      {
        label: 'At most of each source',
        paragraph: 'shows',
        before: ', ',
        when: (s) => (s.sources as string[]).length > 1,
      },
    ),
  },
  rules: ({ mosts }: Mosts): Rule[] =>
    mosts.length ? [{ kind: 'per-source', mosts: Object.fromEntries(mosts.map(({ id, most }) => [id, most])) }] : [],
  loosened: { 'per-source': { mosts: [] } },
}
