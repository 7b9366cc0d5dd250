import { describe, expect, it } from 'vitest'
import { contentDigest, hmacSignature, signatureBase } from './message-signature'

describe('a signed request', () => {
  it('is signed as RFC 9421 does it, appendix B.2.5', () => {
    // The shared secret of appendix B.1.5.
    const secret = 'uzvJfB4u3N0Jy4T7NZ75MDVcr8zSTInedJtkgcu46YW4XByzNJjxBdtjUkdJPBtbmHhIDi6pcl8jsasjlTMtDQ=='
    const { base } = signatureBase(
      [
        ['date', 'Tue, 20 Apr 2021 02:07:55 GMT'],
        ['@authority', 'example.com'],
        ['content-type', 'application/json'],
      ],
      { created: 1618884473, keyId: 'test-shared-secret' },
    )
    expect(hmacSignature(base, Buffer.from(secret, 'base64'))).toBe('pxcQw6G3AjtMBQjwo8XzkZf/bws5LelbaMk5rGIGtE8=')
  })
  it('has a digest of its body as RFC 9530 does it, appendix B.1', () => {
    // Of the request in appendix B.6 of RFC 9421 too.
    expect(contentDigest('{"hello": "world"}\n')).toBe('sha-256=:RK/0qy18MlBSVnWgjwz6lZEWjP/lF5HF9bvEF8FabDg=:')
  })
})
