import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { kindList } from './list'
import { readSettings } from './read-settings'
import { labelTexts } from './label-texts'
import { list, number, text } from './setting'

const place = { label: 'x', paragraph: 'shows', before: '' } as const
const few = { most: 3, one: 'link', none: 'no links' }
/** Version 3 of a kind that once had `amount`, then `many`. */
const kind = {
  version: 3,
  settings: z.strictObject({
    count: number({ min: 1, max: 9, byDefault: 4 }, place),
    title: text(10, 'none', place),
  }),
  upgrade: {
    1: ({ amount, ...rest }: Record<string, unknown>) => ({ ...rest, many: amount }),
    2: ({ many, ...rest }: Record<string, unknown>) => ({ ...rest, count: many }),
  },
}

describe('stored settings', () => {
  it('are brought up from any older version', () => {
    expect(readSettings(kind, { amount: 7, title: 'A' }, 1)).toEqual({ count: 7, title: 'A' })
    expect(readSettings(kind, { many: 7 }, 2)).toEqual({ count: 7, title: '' })
    expect(readSettings(kind, { count: 7 }, 3)).toEqual({ count: 7, title: '' })
  })
  it('lose what the kind does not know, and nothing else', () =>
    expect(readSettings(kind, { count: 2, colour: 'red' }, 3)).toEqual({ count: 2, title: '' }))
  it('have the default in place of what it cannot take', () =>
    expect(readSettings(kind, { count: 99, title: 5 }, 3)).toEqual({ count: 4, title: '' }))
  it('lose it as well where it stands deeper, in one of several texts or in an entry of a list', () => {
    const names = labelTexts({ a: { label: 'A', says: 'more' as never } }, { most: 9, saidBy: 'a' }, place)
    const entry = z.strictObject({ words: z.string() })
    const links = list(
      { schema: entry, control: { type: 'text', most: 9, none: '' }, blank: { words: '' } },
      few,
      place,
    )
    const deep = { version: 1, upgrade: {}, settings: z.strictObject({ names, links }) }
    const stored = { names: { a: 'mine', b: 'old' }, links: [{ words: 'one' }, { words: 'two', since: 1 }] }
    expect(deep.settings.safeParse(stored).success).toBe(false)
    expect(readSettings(deep, stored, 1)).toEqual({ names: { a: 'mine' }, links: [{ words: 'one' }, { words: 'two' }] })
  })
  it('that are damaged so that a step cannot take them are read as they are', () => {
    const upgrade = { 1: (stored: Record<string, unknown>) => ({ count: (stored.old as { n: number }).n }) }
    expect(readSettings({ ...kind, version: 2, upgrade }, { count: 3 }, 1)).toEqual({ count: 3, title: '' })
  })
  it('are strict when written all the same', () =>
    expect(kind.settings.safeParse({ count: 2, colour: 'red' }).success).toBe(false))

  it.each(Object.values(kindList).map((k) => [k.id, k] as const))(
    'of %s can be read whatever they hold',
    (_id, real) => {
      fc.assert(
        fc.property(
          fc.dictionary(fc.constantFrom(...Object.keys(real.settings.shape), 'x'), fc.jsonValue()),
          (stored) => {
            expect(real.settings.safeParse(readSettings(real, stored, 1)).success).toBe(true)
          },
        ),
      )
    },
  )
})
