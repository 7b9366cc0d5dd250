import { catalogue } from '@pebblestrand/core/verify'
import { describe, expect, it } from 'vitest'
import type { WaitingThing } from '../../api/types'
import { grouped } from './groups'

const thing = (more: Partial<WaitingThing>) =>
  ({ id: 'x', status: 'needs-a-hand', hands: 'look', ...more }) as WaitingThing

describe('Today is grouped by what the hands do', () => {
  it('puts quick things first and what was only planned under Paste', () => {
    const groups = grouped([
      thing({ id: 'a', hands: 'paste' }),
      thing({ id: 'b', hands: 'cache' }),
      thing({ id: 'c', status: 'planned', hands: null }),
      thing({ id: 'd', status: 'pasted', hands: null }),
      thing({ id: 'e', hands: 'publish' }),
    ])
    expect(groups.map((g) => [g.name, g.things.map((t) => t.id)])).toEqual([
      ['Clear a cache', ['b']],
      ['Publish there', ['e']],
      ['Paste', ['a', 'c']],
      ['Check', ['d']],
    ])
  })
  it('has a place for every finding there is, and loses none', () => {
    const all = Object.values(catalogue).map((entry, i) => thing({ id: String(i), hands: entry.hands }))
    expect(grouped(all).flatMap((g) => g.things)).toHaveLength(all.length)
  })
  it('still shows a fault whose finding is gone', () =>
    expect(grouped([thing({ hands: null })])[0]!.name).toBe('Look at'))
})
