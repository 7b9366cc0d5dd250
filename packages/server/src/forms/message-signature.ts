import { createHash, createHmac } from 'node:crypto'

// A request signed as RFC 9421 (HTTP Message Signatures) says, with hmac-sha256 (section 3.3.3) over a digest of its body (RFC 9530).

/** What a signature covers, each with its value: derived components begin with @ (RFC 9421, section 2.2). */
export type Covered = readonly (readonly [name: string, value: string])[]

/** The lines that are signed (RFC 9421, section 2.5), and the parameters they end with. */
export function signatureBase(
  covered: Covered,
  { created, keyId, alg }: { created: number; keyId: string; alg?: string },
) {
  const names = covered.map(([name]) => `"${name}"`).join(' ')
  const parameters = `(${names});created=${created};keyid="${keyId}"${alg ? `;alg="${alg}"` : ''}`
  const lines = [...covered.map(([name, value]) => `"${name}": ${value}`), `"@signature-params": ${parameters}`]
  return { base: lines.join('\n'), parameters }
}

export const hmacSignature = (base: string, secret: Buffer): string =>
  createHmac('sha256', secret).update(base).digest('base64')

/** Of a body (RFC 9530, section 2). */
export const contentDigest = (body: string): string => `sha-256=:${createHash('sha256').update(body).digest('base64')}:`

/** Headers that sign a request with a body. */
export function signedHeaders(
  { method, url, body, created }: { method: string; url: string; body: string; created: number },
  secret: string,
): Record<string, string> {
  const digest = contentDigest(body)
  const { base, parameters } = signatureBase(
    [
      ['@method', method],
      ['@target-uri', url],
      ['content-digest', digest],
    ],
    { created, keyId: 'pebblestrand', alg: 'hmac-sha256' },
  )
  return {
    'content-digest': digest,
    'signature-input': `pebblestrand=${parameters}`,
    signature: `pebblestrand=:${hmacSignature(base, Buffer.from(secret, 'utf8'))}:`,
  }
}
