import { describe, expect, it } from 'vitest'
import { specialPurpose } from './special-addresses'

// IANA IPv4 and IPv6 Special-Purpose Address Registries (RFC 6890, section 2.2, and later entries): first and last of each block.
describe('special addresses are known', () => {
  it.each([
    ['0.0.0.0', '0.255.255.255'], // RFC 791, this network
    ['10.0.0.0', '10.255.255.255'], // RFC 1918
    ['100.64.0.0', '100.127.255.255'], // RFC 6598
    ['127.0.0.0', '127.255.255.255'], // RFC 1122
    ['169.254.0.0', '169.254.255.255'], // RFC 3927
    ['172.16.0.0', '172.31.255.255'], // RFC 1918
    ['192.0.0.0', '192.0.0.255'], // RFC 6890
    ['192.0.2.0', '192.0.2.255'], // RFC 5737
    ['192.88.99.0', '192.88.99.255'], // RFC 7526
    ['192.168.0.0', '192.168.255.255'], // RFC 1918
    ['198.18.0.0', '198.19.255.255'], // RFC 2544
    ['198.51.100.0', '198.51.100.255'], // RFC 5737
    ['203.0.113.0', '203.0.113.255'], // RFC 5737
    ['224.0.0.0', '239.255.255.255'], // RFC 5771
    ['240.0.0.0', '255.255.255.255'], // RFC 1112, RFC 8190
    ['::1', '::1'], // RFC 4291
    ['::', '::'], // RFC 4291
    ['::ffff:0:0', '::ffff:0.255.255.255'], // RFC 4291, IPv4-mapped: seen through to the IPv4 block
    ['64:ff9b::', '64:ff9b::ffff:ffff'], // RFC 6052
    ['64:ff9b:1::', '64:ff9b:1:ffff:ffff:ffff:ffff:ffff'], // RFC 8215
    ['100::', '100::ffff:ffff:ffff:ffff'], // RFC 6666
    ['2001::', '2001:1ff:ffff:ffff:ffff:ffff:ffff:ffff'], // RFC 2928
    ['2001:db8::', '2001:db8:ffff:ffff:ffff:ffff:ffff:ffff'], // RFC 3849
    ['2002::', '2002:ffff:ffff:ffff:ffff:ffff:ffff:ffff'], // RFC 3056
    ['3fff::', '3fff:fff:ffff:ffff:ffff:ffff:ffff:ffff'], // RFC 9637
    ['5f00::', '5f00:ffff:ffff:ffff:ffff:ffff:ffff:ffff'], // RFC 9602
    ['fc00::', 'fdff:ffff:ffff:ffff:ffff:ffff:ffff:ffff'], // RFC 4193
    ['fe80::', 'febf:ffff:ffff:ffff:ffff:ffff:ffff:ffff'], // RFC 4291
    ['ff00::', 'ffff:ffff:ffff:ffff:ffff:ffff:ffff:ffff'], // RFC 4291
  ])('%s to %s', (first, last) => {
    expect(specialPurpose(first)).not.toBeNull()
    expect(specialPurpose(last)).not.toBeNull()
  })

  it.each(['::ffff:127.0.0.1', '::ffff:10.1.2.3', '::ffff:7f00:1', '64:ff9b::7f00:1'])('sees through %s', (address) =>
    expect(specialPurpose(address)).not.toBeNull(),
  )
  it.each([
    '9.255.255.255',
    '11.0.0.0',
    '100.63.255.255',
    '100.128.0.0',
    '172.15.255.255',
    '172.32.0.0',
    '192.0.1.0',
    '223.255.255.255',
    '2a00::1',
    '::ffff:9.255.255.255',
  ])('lets %s through', (address) => expect(specialPurpose(address)).toBeNull())
  it('trusts nothing that is no address', () => expect(specialPurpose('localhost')).not.toBeNull())
})
