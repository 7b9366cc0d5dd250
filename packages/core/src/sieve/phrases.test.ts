import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mentionsAny } from './keywords'
import { phrasesIn } from './phrases'

/** Of the characters that the texts are made of: the letters and digits (to write `\p{L}\p{N}` took six of its seven seconds). */
const IN_A_WORD = '[ab𝒶1]'

/** The engine of regular expressions as the second opinion: whole words by look-behind and look-ahead. */
const byPattern = (phrases: { text: string; open: boolean }[]) => {
  const escaped = phrases.map(
    ({ text, open }) =>
      `(?<!${IN_A_WORD})${text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}${open ? '' : `(?!${IN_A_WORD})`}`,
  )
  const any = new RegExp(escaped.join('|'), 'u')
  return (text: string) => any.test(text)
}

describe('phrases', () => {
  const letters = fc.string({ unit: fc.constantFrom('a', 'b', ' ', '-', '𝒶', '1'), minLength: 1, maxLength: 6 })
  it('are found where a regular expression finds them', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ text: letters, open: fc.boolean() }), { minLength: 1, maxLength: 5 }),
        fc.string({ unit: fc.constantFrom('a', 'b', ' ', '-', '𝒶', '1'), maxLength: 40 }),
        (phrases, text) => phrasesIn(phrases)(text) === byPattern(phrases)(text),
      ),
      { numRuns: 3000 },
    ))

  it('are found one by one where they are found in one pass', () => {
    const words = fc.string({
      unit: fc.constantFrom('a', 'b', 'é', ' ', '-', '.', '海', '1', '*'),
      minLength: 1,
      maxLength: 5,
    })
    fc.assert(
      fc.property(
        fc.array(words, { minLength: 1, maxLength: 4 }),
        fc.string({ unit: fc.constantFrom('a', 'b', 'é', ' ', '-', '.', '海', '1'), maxLength: 40 }),
        (keywords, text) => {
          const many = [...keywords, ...Array.from({ length: 31 }, (_, i) => `zz${i}`)]
          expect(mentionsAny(keywords)(text)).toBe(mentionsAny(many)(text))
        },
      ),
      { numRuns: 2000 },
    )
  })

  it('of many short words cost one pass over a long text', () => {
    // A feed of 4.8 MB and twenty such keywords kept everyone waiting for 25 s.
    const keywords = Array.from({ length: 20 }, (_, i) => `${'a '.repeat(40 + i)}b`)
    const text = 'a '.repeat(1_200_000)
    expect(mentionsAny(keywords)(text)).toBe(false)
    expect(mentionsAny(keywords)(`${text}b`)).toBe(true)
  })
  it('are found over any white space', () => {
    expect(mentionsAny(['tidal  mill'])('the Tidal\n mill')).toBe(true)
    expect(mentionsAny(['engrav*'])('Engraving')).toBe(true)
    expect(mentionsAny(['grav*'])('engraving')).toBe(false)
  })
})
