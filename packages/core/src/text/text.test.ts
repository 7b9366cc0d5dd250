import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cutAtWord, upTo, withoutTrailing, withoutTrailingLetter } from '.'

const text = fc.string({ unit: fc.constantFrom('a', 'b', ' ', '\n', '/', '?', '#') })

describe('cuts say what the expression would that they stand for', () => {
  it('up to a mark', () =>
    fc.assert(fc.property(text, (one) => void expect(upTo(one, '?#')).toBe(one.replace(/[?#][^]*$/, '')))))
  it('without what stands at the end', () =>
    fc.assert(
      fc.property(text, (one) => {
        expect(withoutTrailingLetter(one, '/')).toBe(one.replace(/\/+$/, ''))
        expect(withoutTrailing(one, (letter) => /\s/.test(letter))).toBe(one.trimEnd())
      }),
    ))
  it('before the word that is not whole', () =>
    fc.assert(
      fc.property(
        text,
        fc.nat(12),
        (one, most) =>
          void expect(cutAtWord(one, most)).toBe(one.length <= most ? one : one.slice(0, most).replace(/\s+\S*$/, '')),
      ),
    ))
})
