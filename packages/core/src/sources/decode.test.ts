import { describe, expect, it } from 'vitest'
import { decodeBytes } from './decode'

const latin1 = (text: string) => Uint8Array.from([...text].map((c) => c.charCodeAt(0)))
const utf8 = (text: string) => new TextEncoder().encode(text)

// The order of RFC 7303 section 3: byte-order mark, charset of the media type, XML declaration, UTF-8.
describe('bytes to text', () => {
  it('believes a byte-order mark before everything', () => {
    const bytes = Uint8Array.from([0xef, 0xbb, 0xbf, ...utf8('smørrebrød')])
    expect(decodeBytes(bytes, 'text/xml; charset=iso-8859-1')).toBe('smørrebrød')
  })
  it('reads UTF-16 by its mark', () => {
    expect(decodeBytes(Uint8Array.from([0xff, 0xfe, 0x61, 0x00, 0xf8, 0x00]))).toBe('aø')
    expect(decodeBytes(Uint8Array.from([0xfe, 0xff, 0x00, 0x61, 0x00, 0xf8]))).toBe('aø')
  })
  it('believes the media type before the document', () => {
    expect(decodeBytes(utf8('<?xml version="1.0" encoding="iso-8859-1"?>ø'), 'text/xml; charset="utf-8"')).toMatch(/ø$/)
  })
  it('reads the XML declaration', () => {
    expect(
      decodeBytes(latin1('<?xml version="1.0" encoding="ISO-8859-1"?><t>Caf\u00e9</t>'), 'application/xml'),
    ).toContain('Café')
  })
  it('reads the Windows characters that pages call latin1', () => {
    expect(decodeBytes(latin1('<?xml version="1.0" encoding="ISO-8859-1"?>\u0093x\u0094'))).toMatch(/“x”$/)
  })
  it("reads a page's meta charset", () => {
    expect(decodeBytes(latin1('<html><head><meta charset="windows-1252"></head>\u00e9'), 'text/html')).toMatch(/é$/)
  })
  it('takes UTF-8 where nothing is said, and where the name is nonsense', () => {
    expect(decodeBytes(utf8('ø'))).toBe('ø')
    expect(decodeBytes(utf8('ø'), 'text/xml; charset=klingon')).toBe('ø')
  })
})
