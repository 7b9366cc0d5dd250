import { describe, expect, it } from 'vitest'
import { reviewItem, type Item } from '../items'
import { inOrder } from './order'
import type { Rule } from './rules'
import { sift } from './sift'

const now = new Date('2026-11-25T12:00:00Z')
const review = (id: string, more: Parameters<typeof reviewItem>[1] = {}) => reviewItem(`s:${id}`, more)
const ids = (items: readonly Item[]) => items.map(({ id }) => id.slice(2))
const through = (items: Item[], ...rules: Rule[]) => ids(sift(items, rules, 'as-given', now).items)

describe('rules for reviews', () => {
  const items = [
    review('five', { rating: 5, text: 'Fine', author: 'Ada Fenwick', language: 'en' }),
    review('half', { rating: 3.5, author: 'Élodie Marsh', language: 'fr-CA' }),
    review('words', { text: 'No stars given', author: null }),
  ]
  it('lets stars through from a number on, with or without those that have none', () => {
    expect(through(items, { kind: 'rating-from', stars: 4, unrated: 'kept' })).toEqual(['five', 'words'])
    expect(through(items, { kind: 'rating-from', stars: 4, unrated: 'out' })).toEqual(['five'])
    expect(through(items, { kind: 'rating-from', stars: 3, unrated: 'out' })).toEqual(['five', 'half'])
  })
  it('leaves out authors whatever their accents, and nobody unnamed', () =>
    expect(through(items, { kind: 'authors-out', names: ['elodie marsh'] })).toEqual(['five', 'words']))
  it('keeps a language in all its forms, and what says none', () =>
    expect(through(items, { kind: 'language', languages: ['fr'] })).toEqual(['half', 'words']))
  it('counts the same words by the same author from two sources once', () =>
    expect(
      through(
        [
          review('a', { author: 'Ada', text: 'So  good' }),
          review('b', { author: 'ADA', text: 'so good' }),
          review('c', { author: 'Bea', text: 'So good' }),
          review('d', { author: 'Ada' }),
          review('e', { author: 'Ada' }),
        ],
        { kind: 'unique' },
      ),
    ).toEqual(['a', 'c', 'd', 'e']))
  it('pins to the front, in the order of the pins, and takes nothing', () => {
    const { steps, items: left } = sift(
      items,
      [{ kind: 'pinned', ids: ['s:words', 's:gone', 's:half'] }],
      'as-given',
      now,
    )
    expect(ids(left)).toEqual(['words', 'half', 'five'])
    expect(steps[0]!.taken).toEqual([])
  })
})

describe('orders of reviews', () => {
  const items = [
    review('old', { rating: 5, text: 'x', publishedAt: '2026-01-01T00:00:00.000Z' }),
    review('none', { text: 'a longer text than the others' }),
    review('new', { rating: 5, publishedAt: '2026-02-01T00:00:00.000Z' }),
    review('low', { rating: 2, text: 'xy' }),
  ]
  it('best first, of equals the newest, those without stars last', () =>
    expect(ids(inOrder(items, 'best'))).toEqual(['new', 'old', 'low', 'none']))
  it('longest first', () => expect(ids(inOrder(items, 'longest'))).toEqual(['none', 'low', 'old', 'new']))
  it('shuffled: steady within a day, another the next, nothing lost', () => {
    const many = Array.from({ length: 30 }, (_, i) => review(String(i)))
    const on = (time: string) => ids(inOrder(many, 'shuffled', new Date(time)))
    expect(on('2026-11-25T00:00:00Z')).toEqual(on('2026-11-25T23:59:59Z'))
    expect(on('2026-11-25T12:00:00Z')).not.toEqual(on('2026-11-26T12:00:00Z'))
    expect([...on('2026-11-25T12:00:00Z')].sort()).toEqual(ids(many).sort())
  })
  it('shuffled puts each anywhere, about as often (chi-square, 1 % of 9 degrees of freedom: 21.67, NIST e-Handbook 1.3.6.7.4)', () => {
    const ten = Array.from({ length: 10 }, (_, i) => review(String(i)))
    const places = Array<number>(10).fill(0)
    const days = 2000
    for (let day = 0; day < days; day++)
      places[ids(inOrder(ten, 'shuffled', new Date(Date.UTC(2020, 0, day)))).indexOf('0')]!++
    const expected = days / 10
    expect(places.reduce((sum, n) => sum + (n - expected) ** 2 / expected, 0)).toBeLessThan(21.67)
  })
})
