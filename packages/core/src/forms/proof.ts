import { sha256 } from '@noble/hashes/sha2.js'

// Work that a visitor's browser does before a form that is under attack takes what it sends: cheap for one, dear for thousands
// (Dwork and Naor, "Pricing via Processing or Combatting Junk Mail", 1992). SHA-256: FIPS 180-4.

const encoder = new TextEncoder()

/** How many bits at the front are zero. */
export function zeroBits(hash: Uint8Array): number {
  let bits = 0
  for (const byte of hash) {
    if (byte === 0) {
      bits += 8
      continue
    }
    return bits + Math.clz32(byte) - 24
  }
  return bits
}

export const isSolved = (challenge: string, nonce: string, bits: number): boolean =>
  zeroBits(sha256(encoder.encode(`${challenge}.${nonce}`))) >= bits

/**
 * Tries numbers until one solves the challenge.
 * @param from the first that is tried
 * @param most how many are tried
 * @returns the one that solves it, or null where none of these does
 */
export function solve(challenge: string, bits: number, from: number, most: number): string | null {
  for (let at = from; at < from + most; at++) if (isSolved(challenge, String(at), bits)) return String(at)
  return null
}
