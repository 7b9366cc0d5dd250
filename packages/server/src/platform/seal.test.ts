import { randomBytes } from 'node:crypto'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seal, unseal } from './seal'

const key = randomBytes(32)

describe('what is sealed', () => {
  it('is opened again as it was, whatever it was, and looks otherwise each time', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        const [one, other] = [seal(text, key), seal(text, key)]
        expect(unseal(one, key)).toBe(text)
        expect(one).not.toBe(other)
        if (text.length > 3) expect(one).not.toContain(text)
      }),
    ))
  it('is not opened with another key, without one, or after a change of one bit', () => {
    const sealed = seal('Isla Fearn', key)
    for (const [text, with_] of [
      [sealed, randomBytes(32)],
      [sealed, null],
      [sealed.slice(0, -6) + (sealed.at(-6) === 'A' ? 'B' : 'A') + sealed.slice(-5), key],
      [sealed.slice(0, 12), key],
    ] as const)
      expect(() => unseal(text, with_)).toThrow('encrypted')
  })
  it('from before there was a key is read as it is', () => {
    expect(seal('plain', null)).toBe('plain')
    expect(unseal('plain', key)).toBe('plain')
  })
})
