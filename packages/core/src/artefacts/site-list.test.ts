import { describe, expect, it } from 'vitest'
import { siteListOf } from './site-list'

describe('what a site’s tag brings', () => {
  it('by pages, place and room, patterns as expressions that any browser knows', () => {
    const list = siteListOf([
      { id: 'a', path: '/news/:slug', selector: 'aside', heights: { height: 300 } },
      { id: 'b', path: '/*', selector: null, heights: { height: 80 } },
    ])
    expect(list.v).toBe(1)
    const [first, second] = list.shows
    expect(first).toMatchObject({ id: 'a', at: 'aside', room: '300px' })
    expect(new RegExp(first!.on, 'u').test('/news/one')).toBe(true)
    expect(new RegExp(first!.on, 'u').test('/news/one/two')).toBe(false)
    expect(second).toMatchObject({ at: null, room: '' }) // what stands over the page takes no room in it
  })
  it('nothing where nothing is planned', () => expect(siteListOf([])).toEqual({ v: 1, shows: [] }))
})
