/** Bytes to text, by the order RFC 7303 section 3 gives: byte-order mark, then the media type's charset, then the XML declaration, then UTF-8. */
export function decodeBytes(bytes: Uint8Array, contentType = ''): string {
  const label = byteOrderMark(bytes) ?? charsetOf(contentType) ?? xmlEncoding(bytes) ?? htmlCharset(bytes) ?? 'utf-8'
  const decoder = decoderFor(label)
  const text = decoder.decode(bytes)
  return decoder.encoding === 'windows-1252' ? withWindowsLetters(text) : text
}

function decoderFor(label: string): TextDecoder {
  try {
    return new TextDecoder(label)
  } catch {
    return new TextDecoder('utf-8') // an encoding nobody knows: better some wrong letters than no feed
  }
}

function byteOrderMark(b: Uint8Array): string | null {
  if (b[0] === 0xef && b[1] === 0xbb && b[2] === 0xbf) return 'utf-8'
  if (b[0] === 0xfe && b[1] === 0xff) return 'utf-16be'
  if (b[0] === 0xff && b[1] === 0xfe) return 'utf-16le'
  return null
}

function charsetOf(contentType: string): string | null {
  return /charset\s*=\s*"?([\w.:-]+)/i.exec(contentType)?.[1] ?? null
}

const head = (bytes: Uint8Array, length: number) => new TextDecoder('latin1').decode(bytes.subarray(0, length))

function xmlEncoding(bytes: Uint8Array): string | null {
  return /^\s*<\?xml[^>]*\sencoding\s*=\s*["']([\w.:-]+)["']/i.exec(head(bytes, 200))?.[1] ?? null
}

/** The HTML standard's prescan looks at the first 1024 bytes. */
function htmlCharset(bytes: Uint8Array): string | null {
  return /<meta[^>]+charset\s*=\s*["']?([\w.:-]+)/i.exec(head(bytes, 1024))?.[1] ?? null
}

/** Encoding standard, index windows-1252, 0x80 to 0x9F. Some decoders give the control characters of ISO 8859-1 there instead. */
const windowsLetters = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ'

const withWindowsLetters = (text: string) =>
  text.replace(/[\u0080-\u009f]/g, (c) => windowsLetters[c.charCodeAt(0) - 0x80]!)
