import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { URLPattern } from 'urlpattern-polyfill/urlpattern'
import { fixedBeginning, isPattern, matchesPattern, patternProblem, patternSource } from '.'

describe('a path', () => {
  it.each([
    ['/', '/', true],
    ['/news', '/news', true],
    ['/news', '/news/', true],
    ['/news/', '/news', true],
    ['/news', '/newsletter', false],
    ['/news', '/News', false],
    ['/a.b', '/axb', false],
    ['/*', '/anything/at/all', true],
    ['/news/*', '/news', false],
    ['/news/*', '/news/', true],
    ['/news/*', '/news/one/two', true],
    ['/news/:slug', '/news/one', true],
    ['/news/:slug', '/news/one/two', false],
    ['/news/:slug?', '/news', true],
    ['/news/:slug?', '/news/one', true],
    ['/news/:path+', '/news/a/b', true],
    ['/news/:path+', '/news', false],
    ['/news/:path*', '/news', true],
    ['{/en}?/news', '/news', true],
    ['{/en}?/news', '/en/news', true],
    ['{/en}?/news', '/de/news', false],
    ['/kiln-:year', '/kiln-2026', true],
  ])('%s for %s: %s', (path, pathname, fits) => expect(matchesPattern(path, pathname)).toBe(fits))

  it.each([
    ['news', 'begin with /'],
    ['/a b', 'have no spaces, ? or #'],
    ['/a?b=1', 'have no spaces, ? or #'],
    ['/a#b', 'have no spaces, ? or #'],
    ['/(\\d+)', 'have no expressions in parentheses'],
    ['/{a', 'close each { with a }, not one within another'],
    ['/{a{b}}', 'close each { with a }, not one within another'],
    ['/:a/:a', 'name each blank once'],
    ['/:', 'have a name after each :'],
    ['/*/*/*/*', 'have 3 blanks or fewer that may be of any length'],
    ['/:a/:b/:c/:d/:e/:f/:g', 'have 6 blanks or fewer'],
  ])('%s must %s', (path, problem) => {
    expect(patternProblem(path)).toBe(problem)
    expect(() => patternSource(path)).toThrow(SyntaxError)
  })
  it.each([
    ['/*', '/'],
    ['/news/:slug', '/news/'],
    ['{/en}?/news', '/'],
    ['/plain/path', '/plain/path'],
  ])('%s can be looked at by %s', (path, beginning) => expect(fixedBeginning(path)).toBe(beginning))
  it('is a pattern where it has a blank', () => {
    expect(isPattern('/news/:slug')).toBe(true)
    expect(isPattern('/plain-path_1.html')).toBe(false)
  })
})

// WHATWG URL Pattern, by its reference implementation: what is a pattern here says the same there.
describe('against the reference', () => {
  const word = fc
    .string({ unit: fc.constantFrom(...'ab-.1'), minLength: 1, maxLength: 4 })
    .filter((text) => !/^\.+$/.test(text))
  const piece = fc.oneof(
    word,
    fc.constant('*'),
    fc.constantFrom(':x', ':y?', ':z+', ':w*'),
    word.map((text) => `{${text}}?`),
  )
  const patterns = fc
    .array(piece, { minLength: 1, maxLength: 4 })
    .map((pieces) => `/${pieces.join('/')}`)
    .filter((path) => patternProblem(path) === null && isPattern(path))
  const pathnames = fc.array(fc.oneof(word, fc.constant('')), { maxLength: 5 }).map((parts) => `/${parts.join('/')}`)
  // A segment of dots alone means another one in an address, and never reaches a pattern. Two slashes at the beginning the
  // reference takes for a host.
  const asAddress = (pathname: string) => new URL(`https://a.example${pathname}`).pathname

  it('any pattern fits the same pathnames', () => {
    fc.assert(
      fc.property(
        patterns,
        pathnames.map(asAddress).filter((one) => !one.startsWith('//')),
        (path, pathname) => {
          const reference = new URLPattern({ pathname: path })
          expect(matchesPattern(path, pathname)).toBe(reference.test(`https://a.example${pathname}`))
        },
      ),
      { numRuns: 2000 },
    )
  })
  it('a wicked pattern takes no longer', () =>
    expect(matchesPattern('/:a*/:b*/:c*/x', `/${'a/'.repeat(200)}`)).toBe(false))
})
