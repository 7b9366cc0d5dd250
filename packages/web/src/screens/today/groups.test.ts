import { catalogue } from '@pebblestrand/core/verify/words'
import { describe, expect, it } from 'vitest'
import type { WaitingInstall } from '../../api/types'
import { grouped } from './groups'

const install = (more: Partial<WaitingInstall>) =>
  ({ id: 'x', status: 'needs-a-hand', nextAction: 'look', ...more }) as WaitingInstall

describe('Today is grouped by what the nextAction do', () => {
  it('puts quick installs first and what was only planned under Paste', () => {
    const groups = grouped([
      install({ id: 'a', nextAction: 'paste' }),
      install({ id: 'b', nextAction: 'cache' }),
      install({ id: 'c', status: 'planned', nextAction: null }),
      install({ id: 'd', status: 'pasted', nextAction: null }),
      install({ id: 'e', nextAction: 'publish' }),
    ])
    expect(groups.map((g) => [g.name, g.installs.map((t) => t.id)])).toEqual([
      ['Clear a cache', ['b']],
      ['Publish there', ['e']],
      ['Paste', ['a', 'c']],
      ['Check', ['d']],
    ])
  })
  it('has a place for every finding there is, and loses none', () => {
    const all = Object.values(catalogue).map((entry, i) => install({ id: String(i), nextAction: entry.nextAction }))
    expect(grouped(all).flatMap((g) => g.installs)).toHaveLength(all.length)
  })
  it('still shows a fault whose finding is gone', () =>
    expect(grouped([install({ nextAction: null })])[0]!.name).toBe('Look at'))
})
