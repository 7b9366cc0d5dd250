import { describe, expect, it } from 'vitest'
import { duration, listed } from './index'

describe('duration', () => {
  it.each([
    [0, '0 min'],
    [45, '45 min'],
    [60, '1 h'],
    [150, '2 h 30 min'],
    [360, '6 h'],
    [1440, '24 h'],
    [10_080, '7 days'],
    [3121, '2 days 4 h'],
  ])('%i minutes are %s', (minutes, words) => expect(duration(minutes)).toBe(words))
})

describe('listed', () => {
  it('joins with commas and one last word', () => {
    expect(listed([], 'or')).toBe('')
    expect(listed(['a'], 'or')).toBe('a')
    expect(listed(['a', 'b', 'c'], 'and')).toBe('a, b and c')
  })
})
