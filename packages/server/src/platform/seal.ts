import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto'
import { AppError } from './errors'

// What visitors write, as it lies in the database: AES-256 in Galois/counter mode (NIST SP 800-38D), with a nonce of 96 bits drawn
// anew for each text and a tag of 128 bits, so that a text that was tampered with is refused.

const MARK = 'sealed1:'
const NONCE = 12
const TAG = 16

/** @param key of 32 bytes; null leaves the text as it is */
export function seal(text: string, key: Buffer | null): string {
  if (!key) return text
  const nonce = randomBytes(NONCE)
  const cipher = createCipheriv('aes-256-gcm', key, nonce)
  const whole = Buffer.concat([nonce, cipher.update(text, 'utf8'), cipher.final()])
  return MARK + Buffer.concat([whole, cipher.getAuthTag()]).toString('base64')
}

/** The text again. What was stored before there was a key is read as it is. @throws AppError 'sealed' without the key it was sealed with */
export function unseal(stored: string, key: Buffer | null): string {
  if (!stored.startsWith(MARK)) return stored
  if (!key) throw new AppError('sealed')
  try {
    const bytes = Buffer.from(stored.slice(MARK.length), 'base64')
    const decipher = createDecipheriv('aes-256-gcm', key, bytes.subarray(0, NONCE))
    decipher.setAuthTag(bytes.subarray(-TAG))
    return Buffer.concat([decipher.update(bytes.subarray(NONCE, -TAG)), decipher.final()]).toString('utf8')
  } catch {
    throw new AppError('sealed')
  }
}
