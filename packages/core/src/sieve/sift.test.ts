import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { articleItem, type Item } from '../items'
import { mentionsAny } from './keywords'
import { inOrder } from './order'
import type { Rule } from './rules'
import { sift } from './sift'

const now = new Date('2026-11-24T12:00:00Z')
const item = (id: string, more: Parameters<typeof articleItem>[1] = {}) => articleItem(id, { title: id, ...more })
const picture = { url: 'https://a.example/p.jpg', width: null, height: null, alt: '' }
const ids = (items: Item[]) => items.map((i) => i.id)

describe('order', () => {
  const items = [
    item('mid', { publishedAt: '2026-11-02T00:00:00.000Z' }),
    item('none'),
    item('new', { publishedAt: '2026-11-03T00:00:00.000Z' }),
    item('old', { publishedAt: '2026-11-01T00:00:00.000Z' }),
  ]
  it('puts the newest first and undated ones last', () =>
    expect(ids(inOrder(items, 'newest'))).toEqual(['new', 'mid', 'old', 'none']))
  it('puts the oldest first and undated ones last', () =>
    expect(ids(inOrder(items, 'oldest'))).toEqual(['old', 'mid', 'new', 'none']))
  it('leaves them as they came', () => expect(ids(inOrder(items, 'as-given'))).toEqual(['mid', 'none', 'new', 'old']))
  it('keeps the given order of equals', () =>
    expect(ids(inOrder([item('a'), item('b')], 'newest'))).toEqual(['a', 'b']))
})

describe('keywords', () => {
  it.each([
    [['ferry'], 'The Ferry is late', true],
    [['ferry'], 'Two ferries', false],
    [['ferr*'], 'Two ferries', true],
    [['cafe'], 'Le Café', true],
    [['Café'], 'the cafe', true],
    [['second ramp'], 'the second  ramp opens', true],
    [['ramp'], 'cramped', false],
    [['c++'], 'about c++ and rope', true],
    [['pier', 'rope'], 'rope only', true],
    [[], 'anything', false],
    [['*'], 'anything', false],
    [['ø'], 'Ø', true],
    [['12'], '1234', false],
  ])('%j in %j: %s', (keywords, text, matches) =>
    expect(mentionsAny(keywords as string[])(text as string)).toBe(matches),
  )

  it('takes any keyword literally', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1 }).filter((s) => s.trim() !== '' && !s.endsWith('*')),
        (word) => typeof mentionsAny([word])('some text') === 'boolean',
      ),
    )
  })
})

describe('the sieve', () => {
  const items = [
    item('a', {
      title: 'Ferry sails',
      text: 'words',
      picture,
      publishedAt: '2026-11-20T00:00:00.000Z',
      link: 'https://x.example/1',
    }),
    item('b', { title: 'Ferry stays', publishedAt: '2026-11-19T00:00:00.000Z', link: 'https://x.example/2' }),
    item('c', { title: 'A seal', text: 'words', picture, publishedAt: '2026-11-18T00:00:00.000Z', labels: ['ferry'] }),
    item('d', { title: 'Ferry sails', publishedAt: '2026-09-01T00:00:00.000Z', link: 'https://x.example/1' }),
  ]
  const run = (rules: Rule[]) => sift(items, rules, 'newest', now)

  it('counts after each rule, and says which rule took which items', () => {
    const {
      all,
      steps,
      items: left,
    } = run([
      { kind: 'unique' },
      { kind: 'include', words: ['ferry'] },
      { kind: 'with-text' },
      { kind: 'cap', most: 1 },
    ])
    expect(all).toBe(4)
    expect(steps.map((s) => [s.label, s.before, s.after, ids(s.taken)])).toEqual([
      ['no doubles', 4, 3, ['d']],
      ['mention ferry', 3, 3, []],
      ['with text', 3, 2, ['b']],
      ['the first 1', 2, 1, ['c']],
    ])
    expect(ids(left)).toEqual(['a'])
  })

  it('finds keywords in title, text and labels', () => {
    expect(ids(run([{ kind: 'include', words: ['ferry'] }]).items)).toEqual(['a', 'b', 'c', 'd'])
    expect(ids(run([{ kind: 'exclude', words: ['ferry'] }]).items)).toEqual([])
    expect(ids(run([{ kind: 'exclude', words: ['seal'] }]).items)).toEqual(['a', 'b', 'd'])
  })

  it('leaves out what is too old, but nothing without a date', () => {
    const { items: left } = sift([...items, item('undated')], [{ kind: 'not-older', days: 30 }], 'newest', now)
    expect(ids(left)).toEqual(['a', 'b', 'c', 'undated'])
  })

  it('hides single items and keeps those with pictures', () => {
    expect(ids(run([{ kind: 'hidden', ids: ['a'] }, { kind: 'with-picture' }]).items)).toEqual(['c'])
  })

  it('tells narrow-then-cap from cap-then-narrow', () => {
    const narrow: Rule = { kind: 'include', words: ['seal'] }
    const cap: Rule = { kind: 'cap', most: 2 }
    expect(ids(run([narrow, cap]).items)).toEqual(['c'])
    expect(ids(run([cap, narrow]).items)).toEqual([])
  })

  const anyRule: fc.Arbitrary<Rule> = fc.oneof(
    fc.constant<Rule>({ kind: 'unique' }),
    fc.constant<Rule>({ kind: 'with-text' }),
    fc.record({
      kind: fc.constant('include' as const),
      words: fc.array(fc.string({ minLength: 1 }), { maxLength: 3 }),
    }),
    fc.record({ kind: fc.constant('not-older' as const), days: fc.integer({ min: 0, max: 100 }) }),
    fc.record({ kind: fc.constant('cap' as const), most: fc.integer({ min: 0, max: 5 }) }),
  )
  it('loses nothing: what was taken and what is left are all of it, for any chain of rules', () => {
    fc.assert(
      fc.property(fc.array(anyRule, { maxLength: 6 }), (rules) => {
        const { steps, items: left, all } = run(rules)
        const taken = steps.flatMap((s) => s.taken)
        expect(taken.length + left.length).toBe(all)
        expect(new Set(ids([...taken, ...left])).size).toBe(all)
        steps.forEach((step, i) => expect(step.before).toBe(i ? steps[i - 1]!.after : all))
      }),
    )
  })
})

describe('so many from each source', () => {
  const items = ['loud:1', 'loud:2', 'quiet:1', 'loud:3', 'quiet:2', 'other:1'].map((id) => item(id))
  const rule: Rule = { kind: 'per-source', mosts: { loud: 2, quiet: 1 } }
  it('takes the first of each, and all of a source that is not named', () =>
    expect(ids(sift(items, [rule], 'as-given', now).items)).toEqual(['loud:1', 'loud:2', 'quiet:1', 'other:1']))
  it('counts what the rules before it let through', () => {
    const hidden: Rule = { kind: 'hidden', ids: ['loud:1'] }
    const { items: left, steps } = sift(items, [hidden, rule, { kind: 'cap', most: 3 }], 'as-given', now)
    expect(ids(left)).toEqual(['loud:2', 'quiet:1', 'loud:3'])
    expect(steps.map(({ label }) => label)).toContain('so many from each source')
  })
})
