import { describe, expect, it } from 'vitest'
import { isMixed, permissionFor, withholds } from './index'

const page = new URL('https://ferry.example/home')
const ours = 'https://strand.example'
const isKept = (header: string, origin = ours) => withholds(header, 'fullscreen', origin, page)

// Mixed Content (W3C), section 5.1; Secure Contexts, section 3.1.
describe('mixed content', () => {
  it.each([
    ['https://ferry.example/', 'http://strand.example', true],
    ['https://ferry.example/', 'https://strand.example', false],
    ['http://ferry.example/', 'http://strand.example', false],
    ['https://ferry.example/', 'http://localhost:4600', false],
    ['https://ferry.example/', 'http://127.0.0.1:4600', false],
    ['https://ferry.example/', 'http://localhost.strand.example', true],
  ])('at %s, from %s: %s', (page, origin, mixed) => expect(isMixed(page, origin)).toBe(mixed))
})

// Permissions Policy (W3C), section 5.2: the allowlists of its examples; RFC 8941 for how they are written.
describe('a permissions policy', () => {
  it('keeps a feature from whoever its list does not name', () => {
    expect(isKept('fullscreen=()')).toBe(true)
    expect(isKept('fullscreen=(self)')).toBe(true)
    expect(isKept('fullscreen=self')).toBe(true)
    expect(isKept('fullscreen=(self "https://other.example")')).toBe(true)
    expect(isKept('geolocation=(), fullscreen=(self "https://strand.example")')).toBe(false)
    expect(isKept('fullscreen=*')).toBe(false)
    expect(isKept('fullscreen=(self)', 'https://ferry.example')).toBe(false)
  })
  it('says nothing of features it does not name, nor where it cannot be read', () => {
    expect(isKept('')).toBe(false)
    expect(isKept('geolocation=()')).toBe(false)
    expect(isKept('fullscreen=(self')).toBe(false)
    expect(isKept("fullscreen 'none'")).toBe(false)
  })
  it('names all hosts below one by a wildcard, and not the one above', () => {
    expect(isKept('fullscreen=("https://*.strand.example")', 'https://a.strand.example')).toBe(false)
    expect(isKept('fullscreen=("https://*.strand.example")')).toBe(true)
    expect(isKept('fullscreen=("https://*.strand.example")', 'http://a.strand.example')).toBe(true)
  })
  it('is given what is missing, beside what it names already', () => {
    expect(permissionFor('fullscreen=(self), camera=()', 'fullscreen', [ours], page)).toBe(
      'fullscreen=(self "https://strand.example")',
    )
    expect(permissionFor('fullscreen=()', 'fullscreen', [ours, 'https://films.example'], page)).toBe(
      'fullscreen=("https://strand.example" "https://films.example")',
    )
  })
})
