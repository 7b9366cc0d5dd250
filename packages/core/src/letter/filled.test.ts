import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { filled, stretchesOf } from './filled'

describe('what stands in braces', () => {
  it.each([
    ['Hello {name}.', { name: 'Isla' }, 'Hello Isla.'],
    ['Hello {name}.', { name: '' }, 'Hello.'],
    ['Hello {name}, welcome', { name: '' }, 'Hello, welcome'],
    ['{name} wrote', { name: '' }, ' wrote'],
    ['Hello {name}.', {}, 'Hello {name}.'],
    ['Hello {constructor}.', {}, 'Hello {constructor}.'],
  ])('%s with %j', (text, given, whole) => {
    expect(filled(text, given)).toBe(whole)
    expect(
      stretchesOf(text, {}, given)
        .map((one) => one.text)
        .join(''),
    ).toBe(whole)
  })
  it('is the same in one piece and in stretches, whatever is given', () =>
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('Hello', ' ', '.', '{a}', '{b}', '{c}', '{', '}'), { maxLength: 12 }),
        fc.constantFrom('', 'Isla', ' '),
        (parts, a) => {
          const text = parts.join('')
          const stretches = stretchesOf(text, { a }, { b: 'B' })
          expect(stretches.map((one) => one.text).join('')).toBe(filled(text, { a, b: 'B' }))
        },
      ),
    ))
})
