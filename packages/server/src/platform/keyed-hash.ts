import { createHmac, timingSafeEqual } from 'node:crypto'

// HMAC-SHA-256 (RFC 2104) in base64url: what is hashed cannot be tried out by whoever has the database alone.

export const keyedHash = (key: string, text: string): string =>
  createHmac('sha256', key).update(text).digest('base64url')

/** A short keyed hash of anything. */
export const shortHash = (key: string, ...about: readonly unknown[]): string =>
  keyedHash(key, JSON.stringify(about)).slice(0, 40)

/** By which something is counted about somebody, without saying who. */
export const counterKey = (key: string, what: string, ...about: readonly string[]): string =>
  `${what} ${shortHash(key, ...about)}`

export const sign = (key: string, ...about: readonly (string | number)[]): string =>
  keyedHash(key, JSON.stringify(about))

export const isSigned = (key: string, signature: string, ...about: readonly (string | number)[]): boolean => {
  const [a, b] = [Buffer.from(sign(key, ...about)), Buffer.from(signature)]
  return a.length === b.length && timingSafeEqual(a, b)
}
