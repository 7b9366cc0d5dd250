import { expect, it } from 'vitest'
import { isSamePage } from './same-page'

const at = 'https://ferries.example'
it.each([
  ['/timetable', '/timetable/'],
  ['/timetable', '/timetable?from=mail'],
  ['/%C3%BCber', '/%c3%bcber'], // RFC 3986, section 6.2.2.1
  ['/~mara', '/%7Emara'], // RFC 3986, section 2.3
  ['/u%CC%88ber', '/%C3%BCber'], // the same letter, composed and decomposed (Unicode, UAX 15)
  ['/', '/index.html'],
  ['/timetable;jsessionid=1A2B', '/timetable'],
  ['/Timetable', '/timetable'],
  ['/100%', '/100%25'],
])('%s and %s are one page', (a, b) => expect(isSamePage(at + a, at + b)).toBe(true))
it.each([
  ['/timetable', '/sailings'],
  ['/', '/timetable'],
  ['/a/b', '/a%2Fb/c'],
])('%s and %s are two', (a, b) => expect(isSamePage(at + a, at + b)).toBe(false))
it('scheme and www do not count, host and port do', () => {
  expect(isSamePage('http://ferries.example/', 'https://www.ferries.example/')).toBe(true)
  expect(isSamePage('https://ferries.example/', 'https://ferries.example:8443/')).toBe(false)
  expect(isSamePage('https://ferries.example/', 'https://old.example/')).toBe(false)
})
