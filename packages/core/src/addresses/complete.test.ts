import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { linkTarget } from '../markup'
import { completeAddress, completeWebAddress } from './complete'

describe('what a person types where an address belongs', () => {
  it.each([
    ['https://example.org/a?b#c', 'https://example.org/a?b#c'],
    ['  HTTPS://Example.org ', 'https://Example.org'],
    ['//cdn.example.org/x', 'https://cdn.example.org/x'],
    ['example.org', 'https://example.org'],
    ['www.example.org/orders?now', 'https://www.example.org/orders?now'],
    ['example.org:8080/x', 'https://example.org:8080/x'],
    ['localhost:4700/x', 'https://localhost:4700/x'],
    ['bücher.example', 'https://bücher.example'],
    ['例え.テスト', 'https://例え.テスト'],
    ['192.0.2.7', 'https://192.0.2.7'],
    ['192.0.2.7:8080/x', 'https://192.0.2.7:8080/x'],
    ['01.23.45.67.89', 'tel:0123456789'],
    ['020 794 600 12', 'tel:02079460012'],
    ['/orders', '/orders'],
    ['/', '/'],
    ['#opening-hours', '#opening-hours'],
    ['menu.pdf', '/menu.pdf'],
    ['contact.html#map', '/contact.html#map'],
    ['mailto:ida@example.org?subject=Hello', 'mailto:ida@example.org?subject=Hello'],
    ['ida@example.org', 'mailto:ida@example.org'],
    ['tel:+441632960001', 'tel:+441632960001'],
    ['+44 (1632) 960-001', 'tel:+441632960001'],
    ['01632 960001', 'tel:01632960001'],
  ])('%s is %s', (typed, whole) => expect(completeAddress(typed)).toBe(whole))

  // WHATWG URL standard, section 1.2 and 4.4: what its parser gives for inputs of its own examples (from memory).
  it.each([
    ['https:example.org', 'https://example.org'],
    ['https://////example.com///', 'https://example.com///'],
    ['https://example.com/././foo', 'https://example.com/././foo'],
    ['https://example.org:', 'https://example.org:'],
  ])('%s, as browsers take it', (typed, whole) => {
    expect(completeAddress(typed)).toBe(whole)
    expect(new URL(whole).href).toBe(new URL(typed).href)
  })
  it.each([
    'https://ex ample.org/',
    'https://',
    'https:///',
    'https://example.org:80x/',
    'https://[::1',
    'https://256.256.256.256',
  ])('%s is none, for browsers either', (typed) => {
    expect(URL.canParse(typed) && new URL(typed).hostname !== '').toBe(false)
    expect(completeAddress(typed)).toBeNull()
  })
  it.each([
    '',
    'orders',
    'our shop',
    'javascript:alert(1)',
    'java\nscript:alert(1)',
    'data:text/html,x',
    'vbscript:x',
    'file:///etc/passwd',
    'ftp://example.org',
    'mailto:',
    'mailto:nobody',
    'tel:',
    '12345',
    '\\\\server\\x',
    'a@b',
    'https://example.org/'.padEnd(2001, 'x'),
  ])('%s leads nowhere', (typed) => expect(completeAddress(typed)).toBeNull())

  it('whatever is typed: what comes out may stand in a link, and is whole already', () =>
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.webUrl(), fc.emailAddress(), fc.domain(), fc.webPath()), (typed) => {
        const whole = completeAddress(typed)
        if (whole === null) return
        expect(linkTarget(whole)).not.toBe('')
        expect(completeAddress(whole)).toBe(whole)
      }),
    ))
  it.each([
    ['example.org/cover.jpg', 'https://example.org/cover.jpg'],
    ['ida@example.org', 'ida@example.org'],
    ['cover.jpg', 'cover.jpg'],
  ])('where only the web will do, %s is %s', (typed, whole) => expect(completeWebAddress(typed)).toBe(whole))
  it('every domain, web address and plain mailbox is taken', () =>
    fc.assert(
      fc.property(fc.domain(), fc.webUrl(), (domain, url) => {
        expect(completeAddress(url)).not.toBeNull()
        expect(completeAddress(domain)).toBe(`https://${domain}`)
        expect(completeAddress(`ida@${domain}`)).toBe(`mailto:ida@${domain}`)
      }),
    ))
})
