import { describe, expect, it } from 'vitest'
import { reviewItem } from '../items'
import { whatToLoosen } from './loosen'
import type { Rule } from './rules'
import { sift } from './sift'

const now = new Date('2026-11-26T00:00:00Z')
const items = [
  reviewItem('s:1', { rating: 5, text: 'A fine boat', labels: ['boats'], publishedAt: '2026-11-01T00:00:00.000Z' }),
  reviewItem('s:2', { rating: 3, text: 'An engraved cup', publishedAt: '2026-10-01T00:00:00.000Z' }),
  reviewItem('s:3', { rating: 3, text: 'Engraving of the first order', publishedAt: '2026-09-01T00:00:00.000Z' }),
  reviewItem('s:4', { rating: 4, text: '', publishedAt: '2026-08-01T00:00:00.000Z' }),
]
const ids = (rules: Rule[]) => sift(items, rules, 'newest', now).items.map(({ id }) => id)
const engraving: Rule = { kind: 'include', words: ['engrav*'] }
const four: Rule = { kind: 'rating-from', stars: 4, unrated: 'out' }

describe('what to loosen', () => {
  it('is each rule that alone would bring something back, the most first', () => {
    const rules: Rule[] = [{ kind: 'unique' }, four, engraving, { kind: 'cap', most: 6 }]
    expect(ids(rules)).toEqual([])
    expect(whatToLoosen(items, rules, 'newest', now)).toMatchObject([
      { label: '4 stars and up', more: 2 },
      { label: 'mention engrav*', more: 2 },
    ])
  })
  it('is nothing where no single rule helps', () =>
    expect(whatToLoosen(items, [four, engraving, { kind: 'labels', labels: ['cups'] }], 'newest', now)).toEqual([]))
  it('is never how many, and never the order', () =>
    expect(
      whatToLoosen(
        items,
        [
          { kind: 'pinned', ids: ['s:3'] },
          { kind: 'cap', most: 1 },
        ],
        'newest',
        now,
      ),
    ).toEqual([]))
})

describe('rules in an order', () => {
  it('a cap before the keywords narrows the newest; after them it takes the newest of the narrowed', () => {
    const cap: Rule = { kind: 'cap', most: 2 }
    expect(ids([cap, engraving])).toEqual(['s:2'])
    expect(ids([engraving, cap])).toEqual(['s:2', 's:3'])
  })
  it('labels, whatever their case', () => expect(ids([{ kind: 'labels', labels: ['BOATS'] }])).toEqual(['s:1']))
  it('what is put first by hand stands in that order, and what is gone by now is passed over', () =>
    expect(
      ids([
        { kind: 'pinned', ids: ['s:3', 's:gone', 's:2'] },
        { kind: 'cap', most: 3 },
      ]),
    ).toEqual(['s:3', 's:2', 's:1']))
  it('hidden ones are out', () => expect(ids([{ kind: 'hidden', ids: ['s:1', 's:4'] }])).toEqual(['s:2', 's:3']))
})
