import { languageTag } from './language-tag'
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

// BCP 47 (RFC 5646, section 2.1.1: case carries no meaning; sections 4.5 and Appendix A: canonical forms and examples).
it.each([
  ['mn-cYRL-mn', 'mn-Cyrl-MN'],
  ['en_GB', 'en-GB'],
  [' de-at ', 'de-AT'],
  ['iw', 'he'],
  ['', null],
  [null, null],
  ['no language', null],
  ['a-DE', null],
])('%j as a language tag is %j', (text, tag) => expect(languageTag(text)).toBe(tag))
