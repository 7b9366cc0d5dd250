import { describe, expect, it } from 'vitest'
import { meanWords, summarise } from './index'

describe('what ratings come to', () => {
  // NIST/SEMATECH e-Handbook of Statistical Methods, section 1.3.5.1: the mean is the sum of the points over their number.
  it('is their plain mean, those without a rating left out', () => {
    const { mean, count } = summarise([5, 4, null, 3, 5])
    expect([mean, count]).toEqual([4.25, 4])
  })
  it('counts how many have each number of stars, halves for the star above', () =>
    expect(summarise([5, 4.5, 4.4, 1, 2.5, 1.2]).byStar).toEqual([2, 0, 1, 1, 2]))
  it('is nothing where nothing is rated', () =>
    expect(summarise([null])).toEqual({ mean: null, count: 0, byStar: [0, 0, 0, 0, 0] }))
  it.each([
    [4.25, 'en-GB', '4.3'],
    [4.95, 'en-GB', '5.0'],
    [4, 'en-GB', '4.0'],
    [4.35, 'de-DE', '4,4'],
    [3.04, 'fr-FR', '3,0'],
  ])('%d in %s is said %s', (mean, locale, words) => expect(meanWords(mean, locale)).toBe(words))
})
