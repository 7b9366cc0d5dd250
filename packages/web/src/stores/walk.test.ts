// @vitest-environment happy-dom
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useWalk } from './walk'

const waiting: ((ids: string[]) => void)[] = []
vi.mock('../queries/installs', () => ({ idsOf: () => new Promise((resolve) => waiting.push(resolve)) }))

beforeEach(() => {
  sessionStorage.clear()
  waiting.length = 0
  setActivePinia(createPinia())
})

describe('the list that [ and ] walk along', () => {
  it('is the one asked for last, whichever answer comes last', async () => {
    const walk = useWalk()
    const [first, second] = [walk.along({ q: 'a' }), walk.along({ q: 'b' })]
    waiting[1]!(['b1', 'b2'])
    await second
    waiting[0]!(['a1'])
    await first
    expect(walk.ids).toEqual(['b1', 'b2'])
  })
  it('is there after a reload, without what was removed', () => {
    sessionStorage.setItem('pebblestrand-walk', '["a","b","c"]')
    const walk = useWalk()
    walk.leaveOut('b')
    expect(walk.ids).toEqual(['a', 'c'])
    expect(JSON.parse(sessionStorage.getItem('pebblestrand-walk')!)).toEqual(['a', 'c'])
  })
})
