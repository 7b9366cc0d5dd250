import { describe, expect, it } from 'vitest'
import { inOrder } from '../sieve'
import { articleItem } from './article'
import { gather } from './gather'
import { sourceOf, type Entry } from './item'

const entry = (key: string, publishedAt: string | null = null): Entry => {
  const { id: _id, ...rest } = articleItem('x:y', { title: key, publishedAt })
  return { key, ...rest }
}
const stored = [
  { sourceId: 'b', entries: [entry('1'), entry('2', '2026-11-20T00:00:00.000Z')] },
  { sourceId: 'a', entries: [entry('1'), entry('urn:x:3')] },
]

describe('gathering', () => {
  it('names every item by source and key, the same with one source as with several', () => {
    expect(gather(['a'], stored).map((i) => i.id)).toEqual(['a:1', 'a:urn:x:3'])
    expect(gather(['a', 'b'], stored).map((i) => i.id)).toEqual(['a:1', 'a:urn:x:3', 'b:1', 'b:2'])
  })
  it('follows the settings, not the order in which sources were stored', () =>
    expect(gather(['b', 'a'], stored).map((i) => i.id)).toEqual(['b:1', 'b:2', 'a:1', 'a:urn:x:3']))
  it('leaves undated items of several sources where they were, behind the dated', () =>
    expect(inOrder(gather(['a', 'b'], stored), 'newest').map((i) => i.id)).toEqual(['b:2', 'a:1', 'a:urn:x:3', 'b:1']))
  it('reads each source once, and passes over one that is gone', () =>
    expect(gather(['a', 'a', 'gone'], stored)).toHaveLength(2))
  it('an id tells its source, whatever the key holds', () => expect(sourceOf('a:urn:x:3')).toBe('a'))
})
