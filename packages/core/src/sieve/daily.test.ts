import { describe, expect, it } from 'vitest'
import { articleItem } from '../items'
import { changesDaily } from './daily'
import type { Order } from './order'
import { ruleKinds, type Rule } from './rules'
import { sift } from './sift'

const items = Array.from({ length: 9 }, (_, at) =>
  articleItem(`a:${at}`, { title: `Entry ${at}`, publishedAt: `2026-11-0${at + 1}T08:00:00.000Z`, language: 'en' }),
)
const rules: Rule[] = [
  { kind: 'unique' },
  { kind: 'include', words: ['entry'] },
  { kind: 'exclude', words: ['rope'] },
  { kind: 'with-text' },
  { kind: 'with-picture' },
  { kind: 'not-older', days: 30 },
  { kind: 'hidden', ids: ['a:3'] },
  { kind: 'rating-from', stars: 4, unrated: 'kept' },
  { kind: 'authors-out', names: ['Ida'] },
  { kind: 'language', languages: ['en'] },
  { kind: 'labels', labels: ['news'] },
  { kind: 'per-source', mosts: { a: 5 } },
  { kind: 'pinned', ids: ['a:4'] },
  { kind: 'cap', most: 3 },
]
const orders: Order[] = ['newest', 'oldest', 'best', 'longest', 'shuffled', 'as-given']

/** What comes out on each of forty days in a row, each different answer once. */
const answers = (through: readonly Rule[], order: Order) =>
  new Set(
    Array.from({ length: 40 }, (_, day) => {
      const now = new Date(Date.UTC(2026, 10, 20 + day, 12))
      return sift(items, through, order, now)
        .items.map(({ id }) => id)
        .join()
    }),
  ).size

describe('what changes when only a day has passed', () => {
  it('is known of every rule', () =>
    expect(rules.map(({ kind }) => kind).sort()).toEqual(Object.keys(ruleKinds).sort()))
  it.each(rules)('$kind', (rule) => expect(changesDaily([rule], 'newest')).toBe(answers([rule], 'newest') > 1))
  it.each(orders)('in the order %s', (order) => expect(changesDaily([], order)).toBe(answers([], order) > 1))
})
