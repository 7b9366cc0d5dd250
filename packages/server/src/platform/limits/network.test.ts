import { BlockList, isIPv6 } from 'node:net'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { neighboursOf, subscriberOf } from './network'

describe('whom an address counts as', () => {
  it.each([
    ['198.51.100.7', '198.51.100.7/32', '198.51.100.0/24'],
    ['2001:db8:1:2:3:4:5:6', '2001:db8:1:2::/64', '2001:db8:1::/48'],
    ['::ffff:198.51.100.7', '198.51.100.7/32', '198.51.100.0/24'],
    // Found by the property below, seed -354833247 (IPv4-compatible addresses: RFC 4291, section 2.5.5.1).
    ['::0.0.0.0', '::/64', '::/48'],
    ['::198.51.100.7', '::/64', '::/48'],
    ['fe80::1%eth0', 'fe80::/64', 'fe80::/48'],
    ['nonsense', 'unknown', 'unknown'],
  ])('%s', (address, subscriber, neighbours) => {
    expect([subscriberOf(address), neighboursOf(address)]).toEqual([subscriber, neighbours])
  })
  it('is the network that Node.js finds it in', () =>
    fc.assert(
      fc.property(fc.oneof(fc.ipV4(), fc.ipV6()), (address) => {
        for (const network of [subscriberOf(address), neighboursOf(address)]) {
          const [begin, bits] = network.split('/')
          const list = new BlockList()
          list.addSubnet(begin!, Number(bits), isIPv6(begin!) ? 'ipv6' : 'ipv4')
          expect(list.check(address, isIPv6(address) ? 'ipv6' : 'ipv4'), `${address} in ${network}`).toBe(true)
        }
      }),
    ))
})
