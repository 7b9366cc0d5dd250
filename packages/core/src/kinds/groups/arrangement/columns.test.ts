import { describe, expect, it } from 'vitest'
import { kindList, settingsOf } from '../..'
import { shownIn } from './columns'

describe('rows, and more by a button', () => {
  it('so many rows are shown where all comes at once', () => {
    expect(shownIn({ layout: 'grid', rows: '1' }, 4)).toBe(4)
    expect(shownIn({ layout: 'large-first', rows: '2', more: 'no' }, 4)).toBe(5)
    expect(shownIn({ layout: 'list', rows: '1' }, 1)).toBe(Infinity)
  })
  it('never hide what a button brings', () => {
    for (const layout of ['grid', 'large-first'] as const)
      expect(shownIn({ layout, rows: '1', more: '6' }, 4)).toBe(Infinity)
  })
  it('are not offered together, of any kind', () => {
    const both = Object.values(kindList).filter((kind) => {
      const keys = settingsOf(kind).map(({ key }) => key)
      return keys.includes('rows') && keys.includes('more')
    })
    expect(both.length).toBeGreaterThanOrEqual(3)
    for (const kind of both) {
      const rows = settingsOf(kind).find(({ key }) => key === 'rows')!
      const isOffered = (more: string) => rows.meta.when?.({ layout: 'grid', more })
      expect([isOffered('no'), isOffered('6')], kind.id).toEqual([true, false])
    }
  })
})
