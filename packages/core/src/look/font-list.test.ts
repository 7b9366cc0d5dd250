import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fontFamilies, fontList } from './font-list'

describe('a list of fonts', () => {
  it.each([
    ['Cabin, sans-serif', 'Cabin, sans-serif'],
    [`'Zilla Slab', Georgia , serif`, '"Zilla Slab", Georgia, serif'],
    ['Source Sans 3', null],
    ['"Source Sans 3", Ünicode', '"Source Sans 3", Ünicode'],
    ['"open', null],
    ['a /* comment', null],
    ['url(', null],
    ['a, , b', null],
    ['', null],
    ['x;} body{display:none', null],
  ])('%s is read as %s', (given, written) => {
    expect(fontFamilies(given)?.join(', ') ?? null).toBe(written)
    expect(fontList(given)).toBe(written ?? 'system-ui, sans-serif')
  })
  it('never opens what it does not close', () =>
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom('a', '"', "'", '/', '*', '(', ')', 'url(', ',', ' ', '\\', ';', '<') }),
        (given) => {
          const written = fontList(given)
          return /^[^\\;{}<>()/*']*$/.test(written) && (written.match(/"/g)?.length ?? 0) % 2 === 0
        },
      ),
    ))
})
