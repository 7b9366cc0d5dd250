import { describe, expect, it } from 'vitest'
import { allows, directiveFor, readPolicies } from '.'

const page = new URL('https://example.com/page')
const fits = (sources: string, url: string, more = {}) =>
  allows(sources.split(' ').filter(Boolean), { url: new URL(url), page, ...more })

// CSP Level 3, section 6.7.2: how a URL is matched against a source list, with the examples of sections 2.3.1 and 6.7.2.8.
describe('a source list', () => {
  it.each([
    ["'none'", 'https://example.com/', false],
    ['', 'https://example.com/', false],
    ['*', 'https://anything.example/x', true],
    ['*', 'data:text/html,x', false],
    ['https:', 'https://a.example/', true],
    ['https:', 'http://a.example/', false],
    ['http:', 'https://a.example/', true],
    ["'self'", 'https://example.com/a.js', true],
    ["'self'", 'https://www.example.com/a.js', false],
    ["'self'", 'https://example.com:8443/a.js', false],
    ['example.com', 'https://example.com/a.js', true],
    ['example.com', 'http://example.com/a.js', false], // the page's own scheme is meant
    ['http://example.com', 'https://example.com/', true],
    ['https://example.com:443', 'https://example.com/', true],
    ['https://example.com', 'https://example.com:8000/', false],
    ['https://example.com:*', 'https://example.com:8000/', true],
    ['http://example.com:80', 'https://example.com/', true],
    ['*.example.com', 'https://a.b.example.com/', true],
    ['*.example.com', 'https://example.com/', false],
    ['https://example.com/path/', 'https://example.com/path/to/file.js', true],
    ['https://example.com/path', 'https://example.com/path/to/file.js', false],
    ['https://example.com/path/to/file.js', 'https://example.com/path/to/file.js', true],
    ['https://example.com/', 'https://example.com/anything', true],
    ['EXAMPLE.com', 'https://example.com/', true],
  ])('%s, %s: %s', (sources, url, wanted) => expect(fits(sources, url)).toBe(wanted))

  it('lets a script in by its nonce, and with strict-dynamic by that alone', () => {
    const url = 'https://cdn.example/a.js'
    expect(fits("'nonce-abc'", url, { nonce: 'abc' })).toBe(true)
    expect(fits("'nonce-abc'", url, { nonce: 'xyz' })).toBe(false)
    expect(fits("'strict-dynamic' 'nonce-abc' https:", url, { nonce: '' })).toBe(false)
    expect(fits("'strict-dynamic' 'nonce-abc'", url, { nonce: 'abc' })).toBe(true)
  })
  it('lets a script in by its integrity value', () => {
    const hash = 'sha384-oqVuAfXRKap7fdgcCY5uykM6+R9GqQ8K/uxy9rx7HNQlGYl1kPzQho1wx4JwY8wC'
    expect(fits(`'${hash}'`, 'https://cdn.example/a.js', { integrity: hash })).toBe(true)
    expect(fits(`'${hash}'`, 'https://cdn.example/a.js', { integrity: `${hash} sha256-other` })).toBe(false)
  })
})

describe('a policy', () => {
  it('takes the first of two directives of one name, and several policies apart', () => {
    const [one, two] = readPolicies("script-src 'self'; script-src *, default-src 'none'")
    expect(directiveFor(one!, 'script-src')).toEqual({ name: 'script-src', sources: ["'self'"] })
    expect(directiveFor(two!, 'frame-src')).toEqual({ name: 'default-src', sources: ["'none'"] })
  })
  it('falls back in the order of section 6.8.3', () => {
    const [policy] = readPolicies(
      "child-src a.example; default-src 'none'; script-src-elem b.example; script-src c.example",
    )
    expect(directiveFor(policy!, 'frame-src')!.name).toBe('child-src')
    expect(directiveFor(policy!, 'script-src')!.name).toBe('script-src-elem')
    expect(directiveFor(policy!, 'connect-src')!.name).toBe('default-src')
    expect(directiveFor(readPolicies("img-src 'self'")[0]!, 'connect-src')).toBeNull()
  })
})
