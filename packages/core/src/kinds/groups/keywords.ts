import type { Rule } from '../../sieve'
import { choice, wordList } from '../setting'

interface Keywords {
  count: number
  include: string[]
  exclude: string[]
  among: 'all' | 'first'
}

/** Words that items are kept or left out by, and whether that comes before they are counted off or after. */
export const keywordsGroup = {
  shape: {
    include: wordList('anything', { label: 'Keywords to include', paragraph: 'shows', before: ', mentioning ' }),
    among: choice({ all: 'the first {count} that do', first: 'those of the first {count} that do' }, 'all', {
      label: 'Narrowed before or after they are counted',
      paragraph: 'shows',
      before: ' (',
      after: ')',
      when: (s) => (s.include as string[]).length > 0,
    }),
    exclude: wordList('nothing', { label: 'Keywords to exclude', paragraph: 'shows', before: ', leaving out ' }),
  },
  /**
   * What is left out by words comes before; keywords to include and the most of them stand in either order.
   * @param mosts of each source, which stand beside the most of all
   */
  last({ count, include, among }: Keywords, before: Rule[], mosts: Rule[] = []): Rule[] {
    const caps: Rule[] = [...mosts, { kind: 'cap', most: count }]
    if (!include.length) return [...before, ...caps]
    const narrow: Rule = { kind: 'include', words: include }
    return among === 'first' ? [...before, ...caps, narrow] : [...before, narrow, ...caps]
  },
  excluding: ({ exclude }: Keywords): Rule[] => (exclude.length ? [{ kind: 'exclude', words: exclude }] : []),
  loosened: { include: { include: [] }, exclude: { exclude: [] } },
}
