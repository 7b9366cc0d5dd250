import { randomBytes } from 'node:crypto'

/** Letters and digits that are not taken for one another when read out. 31 of them. */
const letters = '23456789abcdefghjkmnpqrstuvwxyz'

/** An id for public places: 20 characters of 31, about 99 bits, in groups; it tells nothing and cannot be guessed. */
export function publicId(): string {
  const picked: string[] = []
  while (picked.length < 20) {
    for (const byte of randomBytes(32)) {
      if (byte < 248 && picked.length < 20) picked.push(letters[byte % 31]!) // 248 = 8 * 31: no letter is likelier
    }
  }
  return picked.join('').replace(/(.{5})(?=.)/g, '$1-')
}

/** A secret for cookies and keys: 256 bits, URL-safe. */
export const secret = () => randomBytes(32).toString('base64url')
